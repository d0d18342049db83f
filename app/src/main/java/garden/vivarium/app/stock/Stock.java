package garden.vivarium.app.stock;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.timing.Climate;
import java.text.Collator;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants, stock plants, lots and places of the current nursery. */
@Service
public class Stock {

    private final PlantRepository plants;
    private final PlaceRepository places;
    private final StockPlantRepository stock;
    private final HarvestRepository harvests;
    private final StockLookRepository looks;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Seen seen;
    private final Today today;

    Stock(
            PlantRepository plants,
            PlaceRepository places,
            StockPlantRepository stock,
            HarvestRepository harvests,
            StockLookRepository looks,
            Guide guide,
            CurrentNursery nursery,
            Seen seen,
            Today today) {
        this.plants = plants;
        this.places = places;
        this.stock = stock;
        this.harvests = harvests;
        this.looks = looks;
        this.guide = guide;
        this.nursery = nursery;
        this.seen = seen;
        this.today = today;
    }

    @Transactional(readOnly = true)
    public List<StockPlantView> all() {
        return stock.allWithPlants().stream().map(this::view).toList();
    }

    /** Those from which something may still come. */
    @Transactional(readOnly = true)
    public List<StockPlantView> live() {
        return all().stream().filter(s -> !s.isRetired()).toList();
    }

    @Transactional(readOnly = true)
    public Optional<StockPlantView> find(UUID id) {
        return stock.withPlant(id).map(this::view);
    }

    /** The stock plant of that code or, if there is just one of them, of the plant of that name. */
    @Transactional(readOnly = true)
    public Optional<StockPlantView> named(String codeOrPlant) {
        return stock.findByCode(codeOrPlant).map(this::view).or(() -> {
            List<StockPlantView> same = all().stream()
                    .filter(s -> s.plant().name().equalsIgnoreCase(codeOrPlant))
                    .toList();
            return same.size() == 1 ? Optional.of(same.get(0)) : Optional.empty();
        });
    }

    @Transactional(readOnly = true)
    public List<PlaceView> places() {
        return places.findAllByOrderByWalkOrderAscNameAsc().stream()
                .map(Place::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<PlantView> plants() {
        return plants.findAllByOrderByName().stream().map(Plant::view).toList();
    }

    /** The plant of the name; made, as free to propagate, if unknown. */
    @Transactional
    public PlantView plantNamed(String name, String groupIfNew) {
        return plants.findByName(name)
                .orElseGet(() -> plants.save(new Plant(name, groupIfNew, Protection.FREE, flowersOnce(groupIfNew))))
                .view();
    }

    /** Whether two spellings name one plant: the database passes over capitals and accents, and so must we. */
    public boolean isSamePlant(String one, String other) {
        Collator letters = Collator.getInstance(Locale.ROOT);
        letters.setStrength(Collator.PRIMARY);
        return letters.equals(one, other);
    }

    /**
     * Says how many trays a place holds.
     *
     * @param trays above 0 and at most 10,000; null where nobody has measured
     * @throws InvalidField if it cannot be
     */
    @Transactional
    public void holds(UUID place, Double trays) {
        if (trays != null && (!(trays > 0) || trays > 10_000)) {
            throw new InvalidField("trays", Messages.text("Stock.place.holds.more.than"));
        }
        Place found = places.findById(place).orElseThrow(() -> new NotFound("no such place"));
        seen.check(found.mark(), found.version(), () -> {
            Double now = found.view().trays();
            return now == null
                    ? Messages.text(
                            "Stock.nobody.has.measured", "name", found.view().name())
                    : Messages.text(
                            "Stock.now.holds.trays", "name", found.view().name(), "now", now);
        });
        found.holds(trays);
    }

    /** The place of the name; made at the end of the walk if unknown. */
    @Transactional
    public PlaceView placeNamed(String name, Climate climateIfNew) {
        return place(name, climateIfNew).view();
    }

    /**
     * Adds a stock plant or lot. The plant and the place are made if they are new.
     *
     * @throws InvalidField if the group is unknown, or differs from the one that the plant already has
     */
    @Transactional
    public StockPlantView add(StockPlantForm form) {
        return add(form, null, null);
    }

    /** Adds a stock plant that was a young plant of a batch, and of a piece of it where that is known. */
    @Transactional
    public StockPlantView add(StockPlantForm form, UUID fromBatch, Integer fromPiece) {
        Plant plant = plants.findByName(form.name().plant())
                .map(known -> sameGroup(known, form))
                .orElseGet(() -> {
                    Plant made = new Plant(
                            form.name().plant(), group(form), form.rights().protection(), false);
                    describe(made, form, flowersOnce(group(form)) || form.name().flowersOnce());
                    return plants.save(made);
                });
        StockPlant added = new StockPlant(plant, nextCode(form.name().plant()), fromBatch, fromPiece);
        describe(added, form);
        return view(stock.save(added));
    }

    /** Changes what is known of a stock plant and of its plant; its name stays. */
    @Transactional
    public StockPlantView change(UUID id, StockPlantForm form) {
        StockPlant known = toChange(id);
        describe(known.plant(), form, form.name().flowersOnce());
        describe(known, form);
        return view(known);
    }

    /**
     * Pieces were cut from it, or taken from the lot, on a day.
     *
     * @param hard whether a hard cut was meant; more than it bears well is one anyway
     */
    @Transactional
    public void cut(UUID id, int pieces, LocalDate day, boolean hard) {
        StockPlant plant = toChange(id);
        harvests.save(new Harvest(id, day, pieces, plant.cut(pieces, day, hard, rhythm(plant))));
    }

    /** What was cut from it, the last first. */
    @Transactional(readOnly = true)
    public List<HarvestView> harvests(UUID id) {
        return harvests.findByStockPlantIdOrderByCutOnDesc(id).stream()
                .map(Harvest::view)
                .toList();
    }

    /**
     * Writes down a look at a stock plant.
     *
     * @param pieces what it bears, or null if not counted
     * @param shoots new shoots since a hard cut, or null if not counted
     * @throws InvalidField if a number or the day cannot be
     */
    @Transactional
    public StockPlantView look(UUID id, LocalDate day, Integer pieces, Integer shoots, StockState state, String note) {
        StockPlant plant = toChange(id);
        today.refuseFuture("lookedOn", day);
        refuseCount("pieces", pieces);
        refuseCount("shoots", shoots);
        if (note != null && note.length() > 500) {
            throw new InvalidField("note", Messages.text("Stock.shorten.note.characters"));
        }
        looks.save(new StockLook(
                id,
                day,
                pieces,
                shoots,
                state,
                note,
                nursery.person().map(SignedIn::name).orElse("Vivarium")));
        if (pieces != null) {
            plant.counted(pieces, day);
        }
        plant.looksLike(state);
        return view(plant);
    }

    private static void refuseCount(String field, Integer count) {
        if (count != null && (count < 0 || count > Limits.MOST_FROM_ONE_PLANT)) {
            throw new InvalidField(
                    field,
                    Messages.text(
                            "Stock.not.believable.give",
                            "count",
                            count,
                            "mostFromOnePlant",
                            Limits.MOST_FROM_ONE_PLANT));
        }
    }

    /** Looks at a stock plant, the last first. */
    @Transactional(readOnly = true)
    public List<StockLookView> looks(UUID id) {
        return looks.findByStockPlantIdOrderByLookedOnDesc(id).stream()
                .map(StockLook::view)
                .toList();
    }

    /** The day of the last look at each stock plant that was ever looked at. */
    @Transactional(readOnly = true)
    public Map<UUID, LocalDate> lastLooks() {
        return looks.last().stream()
                .collect(Collectors.toMap(
                        StockLookRepository.Last::getStockPlantId, StockLookRepository.Last::getLookedOn));
    }

    /** It has been seen that it may be cut again. */
    @Transactional
    public void restSeen(UUID id) {
        toChange(id).restSeen(today.date());
    }

    /** Sets the first day out of quarantine; null lifts it. */
    @Transactional
    public void quarantine(UUID id, LocalDate until) {
        toChange(id).quarantine(until);
    }

    /** The stock plant, for whoever changes it; whoever saw another state of it is told. */
    private StockPlant toChange(UUID id) {
        StockPlant plant = stock.withPlant(id).orElseThrow(() -> new NotFound("no such stock plant"));
        seen.check(plant.mark(), plant.version(), () -> {
            StockPlantView now = view(plant);
            return Messages.text(
                    "Stock.now.stands.bears",
                    "code",
                    now.code(),
                    "name",
                    now.place().name(),
                    "state",
                    now.state().words(),
                    "then",
                    now.piecesNow() == null ? "a number that nobody has counted" : now.piecesNow());
        });
        return plant;
    }

    private void describe(StockPlant plant, StockPlantForm form) {
        if (form.came().arrivedOn() != null) {
            today.refuseFuture("arrivedOn", form.came().arrivedOn());
        }
        Climate climate =
                form.stands().climate() == null ? Climate.OPEN : form.stands().climate();
        plant.describe(place(form.stands().place(), climate), form, today.date(), rhythm(plant));
    }

    private void describe(Plant plant, StockPlantForm form, boolean flowersOnce) {
        plant.describe(
                group(form),
                form.rights().protection(),
                form.rights().licence(),
                !form.name().nameUnsure(),
                form.name().confirmWhen(),
                flowersOnce);
    }

    private StockPlantView view(StockPlant plant) {
        return plant.view(today.date(), rhythm(plant));
    }

    private PlantGroup.Rhythm rhythm(StockPlant plant) {
        return rhythm(plant.plant().view().group());
    }

    /** How stock plants of the group bear being cut. */
    public PlantGroup.Rhythm rhythm(String group) {
        return guide.group(group).orElseGet(() -> guide.groups().get(0)).rhythm();
    }

    private boolean flowersOnce(String group) {
        return guide.group(group).map(PlantGroup::flowersOnce).orElse(false);
    }

    private Place place(String name, Climate climateIfNew) {
        return places.findByName(name)
                .orElseGet(() -> places.save(new Place(name, climateIfNew, (int) places.count() + 1)));
    }

    private String group(StockPlantForm form) {
        return guide.group(form.name().group())
                .orElseThrow(() -> new InvalidField("group", Messages.text("Stock.group.not.guide.choose")))
                .key();
    }

    private Plant sameGroup(Plant known, StockPlantForm form) {
        if (!known.view().group().equals(group(form))) {
            String words = guide.group(known.view().group()).map(g -> g.words()).orElse("another group");
            throw new InvalidField(
                    "group",
                    Messages.text(
                            "Stock.already.here.as.choose", "plant", form.name().plant(), "words", words));
        }
        return known;
    }

    /** "FUC-3": three letters of the plant and the next free number. */
    private String nextCode(String plantName) {
        String letters = plantName.replaceAll("[^\\p{L}]", "").toUpperCase(Locale.ROOT);
        String stem = letters.isEmpty() ? "SP" : letters.substring(0, Math.min(3, letters.length()));
        int number = 1;
        while (stock.findByCode(stem + "-" + number).isPresent()) {
            number++;
        }
        return stem + "-" + number;
    }
}
