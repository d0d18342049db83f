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
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.timing.Climate;
import java.text.Collator;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants, stock plants, lots and places of the current nursery. */
@Service
public class Stock {

    private final Plants plants;
    private final Sorts sorts;
    private final PlaceRepository places;
    private final StockPlantRepository stock;
    private final HarvestRepository harvests;
    private final StockLookRepository looks;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Seen seen;
    private final Today today;

    Stock(
            Plants plants,
            Sorts sorts,
            PlaceRepository places,
            StockPlantRepository stock,
            HarvestRepository harvests,
            StockLookRepository looks,
            Guide guide,
            CurrentNursery nursery,
            Seen seen,
            Today today) {
        this.plants = plants;
        this.sorts = sorts;
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
        return plants.all();
    }

    /** The plant of the name; made, as free to propagate, if unknown. */
    @Transactional
    public PlantView plantNamed(String name, String groupIfNew) {
        return plants.named(name, groupIfNew);
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
     * @throws InvalidField if the plant is new and neither its group nor its kind is known
     */
    @Transactional
    public StockPlantView add(StockPlantForm form) {
        return add(form, null, null);
    }

    /** Adds a stock plant that was a young plant of a batch, and of a piece of it where that is known. */
    @Transactional
    public StockPlantView add(StockPlantForm form, UUID fromBatch, Integer fromPiece) {
        Plant plant = plants.named(form);
        StockPlant added = new StockPlant(plant, nextCode(form.name().plant()), fromBatch, fromPiece);
        describe(added, form);
        return view(stock.save(added));
    }

    /**
     * Changes what is known of a stock plant and of its plant, for all stock plants and batches of that.
     *
     * @throws InvalidField if another plant has the name, or the group or the kind is unknown
     */
    @Transactional
    public StockPlantView change(UUID id, StockPlantForm form) {
        StockPlant known = toChange(id);
        plants.change(known.plant(), form);
        describe(known, form);
        return view(known);
    }

    /**
     * Pieces were cut from it, or taken from the lot, on a day.
     *
     * @param sort key of the sort of piece
     * @param pieces how much of that
     * @param hard whether a hard cut was meant; more than it bears well is one anyway
     */
    @Transactional
    public void cut(UUID id, String sort, int pieces, LocalDate day, boolean hard) {
        StockPlant plant = toChange(id);
        PlantGroup.Rhythm rhythm = sorts.rhythm(plant.plant().view().group(), sort);
        harvests.save(new Harvest(id, sort, day, pieces, plant.cut(sort, pieces, day, hard, rhythm)));
    }

    /**
     * Pieces of a way were cut: what the way draws on goes down by that.
     *
     * @param method by which the pieces are made
     * @param pieces how many
     * @param each how many of what the plant bears went with each of them; null for what is usual for its kind
     */
    @Transactional
    public void cutFor(UUID id, String method, int pieces, Integer each, LocalDate day) {
        int usual = guide.each(toChange(id).plant().view().grown(), method);
        cut(id, guide.sortOf(method).key(), pieces * (each == null ? usual : each), day, false);
    }

    /** The same of the sort that its commonest way draws on. */
    @Transactional
    public void cut(UUID id, int pieces, LocalDate day, boolean hard) {
        cut(id, sorts.usual(toChange(id).plant().view().grown()), pieces, day, hard);
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
        return look(id, day, pieces, Map.of(), shoots, state, note);
    }

    /**
     * The same with what it bears counted sort by sort.
     *
     * @param pieces of the sort that its commonest way draws on, or null
     * @param counts of other sorts, by key
     */
    @Transactional
    public StockPlantView look(
            UUID id,
            LocalDate day,
            Integer pieces,
            Map<String, Integer> counts,
            Integer shoots,
            StockState state,
            String note) {
        StockPlant plant = toChange(id);
        counts.forEach((sort, number) -> refuseCount("count-" + sort, number));
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
        count(plant, pieces, counts, day);
        plant.looksLike(state);
        return view(plant);
    }

    /** What was counted on a plant's stock plants before its kind was known was of the sort that its commonest way draws on. */
    @Transactional
    public void countedOf(PlantView plant) {
        String usual = sorts.usual(plant.grown());
        stock.findByPlantId(plant.id()).forEach(s -> s.countedOf(usual));
    }

    private void count(StockPlant plant, Integer pieces, Map<String, Integer> counts, LocalDate day) {
        if (pieces != null) {
            plant.counted(sorts.usual(plant.plant().view().grown()), pieces, day);
        }
        counts.forEach((sort, number) -> {
            if (number != null && guide.sort(sort).isPresent()) {
                plant.counted(sort, number, day);
            }
        });
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
        plant.describe(place(form.stands().place(), climate), form);
        counted(plant, form);
    }

    /** The form shows estimates: what is left as it was shown, nobody has counted. */
    private void counted(StockPlant plant, StockPlantForm form) {
        StockPlantView shown = view(plant);
        String usual = sorts.usual(plant.plant().view().grown());
        Map<String, Integer> typed = new LinkedHashMap<>(form.condition().counts());
        if (form.condition().pieces() != null) {
            typed.putIfAbsent(usual, form.condition().pieces());
        }
        typed.keySet().retainAll(allSorts());
        shown.counts().stream().filter(b -> b.isCounted()).forEach(b -> {
            if (b.pieces().equals(typed.get(b.sort()))) {
                typed.remove(b.sort());
            } else {
                typed.putIfAbsent(b.sort(), null);
            }
        });
        typed.forEach((sort, number) -> {
            refuseCount("pieces", number);
            plant.counted(sort, number, today.date());
        });
    }

    private Set<String> allSorts() {
        Set<String> all = guide.sorts().stream().map(PieceSort::key).collect(Collectors.toSet());
        all.add(Sorts.ANY);
        return all;
    }

    private StockPlantView view(StockPlant plant) {
        return plant.view(today.date(), sorts);
    }

    private Place place(String name, Climate climateIfNew) {
        return places.findByName(name)
                .orElseGet(() -> places.save(new Place(name, climateIfNew, (int) places.count() + 1)));
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
