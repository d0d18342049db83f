package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
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
    private final StockKeeper keeper;
    private final StockChanges changes;
    private final Corrections corrections;
    private final Guide guide;
    private final Seen seen;
    private final Today today;

    Stock(
            Plants plants,
            Sorts sorts,
            PlaceRepository places,
            StockPlantRepository stock,
            StockKeeper keeper,
            StockChanges changes,
            Corrections corrections,
            Guide guide,
            Seen seen,
            Today today) {
        this.plants = plants;
        this.sorts = sorts;
        this.places = places;
        this.stock = stock;
        this.keeper = keeper;
        this.changes = changes;
        this.corrections = corrections;
        this.guide = guide;
        this.seen = seen;
        this.today = today;
    }

    @Transactional(readOnly = true)
    public List<StockPlantView> all() {
        return stock.allWithPlants().stream().map(keeper::view).toList();
    }

    /** Those from which something may still come. */
    @Transactional(readOnly = true)
    public List<StockPlantView> live() {
        return all().stream().filter(s -> !s.isRetired()).toList();
    }

    @Transactional(readOnly = true)
    public Optional<StockPlantView> find(UUID id) {
        return stock.withPlant(id).map(keeper::view);
    }

    /** The stock plant of that code or, if there is just one of them, of the plant of that name. */
    @Transactional(readOnly = true)
    public Optional<StockPlantView> named(String codeOrPlant) {
        return stock.findByCode(codeOrPlant).map(keeper::view).or(() -> {
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

    /** Whether it is not sure that the plant of this name is what it is called. */
    @Transactional(readOnly = true)
    public boolean isNameUnsure(String name) {
        return plants().stream().anyMatch(p -> p.name().equals(name) && !p.nameSure());
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
        Place found = places.findById(place).orElseThrow(() -> new NotFound(Messages.text("Stock.no.such.place")));
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
     * Adds what somebody typed into a form, as {@link #add(StockPlantForm)}; which kind it is they are asked where that is not clear.
     *
     * @throws InvalidField if it may be one of several kinds
     */
    @Transactional
    public StockPlantView addTyped(StockPlantForm form) {
        plants.refuseUnclear(form);
        return add(form);
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

    /**
     * Adds a stock plant of a list.
     *
     * @param code on its label; null for the next free one
     * @param countedOn when what it bears was counted; null for today
     */
    @Transactional
    public StockPlantView addListed(StockPlantForm form, String code, LocalDate countedOn) {
        Plant plant = plants.named(form);
        StockPlant added =
                new StockPlant(plant, code == null ? nextCode(form.name().plant()) : code, null, null);
        describe(added, form, countedOn == null ? today.date() : countedOn);
        return keeper.view(stock.save(added));
    }

    /** Removes a stock plant that nothing was ever done with; the database refuses any other. */
    @Transactional
    public void remove(UUID id) {
        stock.findById(id).ifPresent(stock::delete);
        stock.flush();
    }

    /** Removes a place in which nothing stands and never stood; the database refuses any other. */
    @Transactional
    public void removePlace(UUID id) {
        places.findById(id).ifPresent(places::delete);
        places.flush();
    }

    /** Makes a place; without an order it is at the end of the walk. */
    @Transactional
    public PlaceView makePlace(String name, Climate climate, Double trays, Integer walkOrder) {
        Place made = new Place(name, climate, walkOrder == null ? (int) places.count() + 1 : walkOrder);
        made.holds(trays);
        return places.save(made).view();
    }

    /** Adds a stock plant that was a young plant of a batch, and of a piece of it where that is known. */
    @Transactional
    public StockPlantView add(StockPlantForm form, UUID fromBatch, Integer fromPiece) {
        Plant plant = plants.named(form);
        StockPlant added = new StockPlant(plant, nextCode(form.name().plant()), fromBatch, fromPiece);
        describe(added, form, today.date());
        return keeper.view(stock.save(added));
    }

    /**
     * Changes what is known of a stock plant and of its plant, for all stock plants and batches of that.
     *
     * @throws InvalidField if another plant has the name, or the group or the kind is unknown
     */
    @Transactional
    public StockPlantView change(UUID id, StockPlantForm form) {
        StockPlant known = keeper.toChange(id);
        StockPlantView was = keeper.view(known);
        plants.change(known.plant(), form);
        describe(known, form, today.date());
        StockPlantView now = keeper.view(known);
        corrections.keep(id, changes.between(was, now), null);
        return now;
    }

    /** It has been seen that it may be cut again. */
    @Transactional
    public void restSeen(UUID id) {
        keeper.toChange(id).restSeen(today.date());
    }

    /** Sets the first day out of quarantine; null lifts it. */
    @Transactional
    public void quarantine(UUID id, LocalDate until) {
        keeper.toChange(id).quarantine(until);
    }

    private void describe(StockPlant plant, StockPlantForm form, LocalDate countedOn) {
        if (form.came().arrivedOn() != null) {
            today.refuseFuture("arrivedOn", form.came().arrivedOn());
        }
        Climate climate =
                form.stands().climate() == null ? Climate.OPEN : form.stands().climate();
        plant.describe(place(form.stands().place(), climate), form);
        counted(plant, form, countedOn);
    }

    /** The form shows estimates: what is left as it was shown, nobody has counted. */
    private void counted(StockPlant plant, StockPlantForm form, LocalDate countedOn) {
        StockPlantView shown = keeper.view(plant);
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
            StockKeeper.refuseCount("pieces", number);
            plant.counted(sort, number, countedOn);
            keeper.raise(plant);
        });
    }

    private Set<String> allSorts() {
        Set<String> all = guide.sorts().stream().map(PieceSort::key).collect(Collectors.toSet());
        all.add(Sorts.ANY);
        return all;
    }

    private Place place(String name, Climate climateIfNew) {
        return places.findByName(name)
                .orElseGet(() -> places.save(new Place(name, climateIfNew, (int) places.count() + 1)));
    }

    /** "FUC-3": three letters of the plant and the next free number. */
    private String nextCode(String plantName) {
        String letters = plantName.replaceAll("[^\\p{L}]", "").toUpperCase(Locale.ROOT);
        String stem = letters.isEmpty() ? "SP" : letters.substring(0, Math.min(3, letters.length()));
        Set<String> taken = Set.copyOf(stock.codes(stem + "-%"));
        int number = 1;
        while (taken.contains(stem + "-" + number)) {
            number++;
        }
        return stem + "-" + number;
    }
}
