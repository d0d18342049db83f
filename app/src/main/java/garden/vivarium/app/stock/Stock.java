package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.timing.Climate;
import java.text.Collator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants, stock plants and places of the current nursery. */
@Service
public class Stock {

    private final PlantRepository plants;
    private final PlaceRepository places;
    private final StockPlantRepository stock;
    private final Guide guide;

    Stock(PlantRepository plants, PlaceRepository places, StockPlantRepository stock, Guide guide) {
        this.plants = plants;
        this.places = places;
        this.stock = stock;
        this.guide = guide;
    }

    @Transactional(readOnly = true)
    public List<StockPlantView> all() {
        return stock.allWithPlants().stream().map(StockPlant::view).toList();
    }

    @Transactional(readOnly = true)
    public Optional<StockPlantView> find(UUID id) {
        return stock.withPlant(id).map(StockPlant::view);
    }

    /** The stock plant of that code or, if there is just one of them, of the plant of that name. */
    @Transactional(readOnly = true)
    public Optional<StockPlantView> named(String codeOrPlant) {
        return stock.findByCode(codeOrPlant).map(StockPlant::view).or(() -> {
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
                .orElseGet(() -> plants.save(new Plant(name, groupIfNew, Protection.FREE)))
                .view();
    }

    /** Whether two spellings name one plant: the database passes over capitals and accents, and so must we. */
    public boolean isSamePlant(String one, String other) {
        Collator letters = Collator.getInstance(Locale.ROOT);
        letters.setStrength(Collator.PRIMARY);
        return letters.equals(one, other);
    }

    /** The place of the name; made at the end of the walk if unknown. */
    @Transactional
    public PlaceView placeNamed(String name, Climate climateIfNew) {
        return place(name, climateIfNew).view();
    }

    /**
     * Adds a stock plant. The plant and the place are made if they are new.
     *
     * @throws Problem if the group is unknown, or differs from the one that the plant already has
     */
    @Transactional
    public StockPlantView add(StockPlantForm form) {
        Plant plant = plants.findByName(form.plant())
                .map(known -> sameGroup(known, form))
                .orElseGet(() -> plants.save(new Plant(form.plant(), group(form), form.protection())));
        StockPlant added = new StockPlant(plant, nextCode(form.plant()));
        describe(added, form);
        return stock.save(added).view();
    }

    /** Changes what is known of a stock plant; its plant stays. */
    @Transactional
    public StockPlantView change(UUID id, StockPlantForm form) {
        StockPlant known = stock.withPlant(id).orElseThrow(() -> new Missing("no such stock plant"));
        describe(known, form);
        return known.view();
    }

    /** Pieces were cut from it. */
    @Transactional
    public void cut(UUID id, int pieces) {
        stock.findById(id).orElseThrow(() -> new Missing("no such stock plant")).cut(pieces);
    }

    private void describe(StockPlant plant, StockPlantForm form) {
        Climate climate = form.climate() == null ? Climate.OPEN : form.climate();
        plant.describe(
                place(form.place(), climate),
                form.origin(),
                form.pieces(),
                form.state(),
                form.quarantineUntil(),
                form.note());
    }

    private Place place(String name, Climate climateIfNew) {
        return places.findByName(name)
                .orElseGet(() -> places.save(new Place(name, climateIfNew, (int) places.count() + 1)));
    }

    private String group(StockPlantForm form) {
        return guide.group(form.group())
                .orElseThrow(() -> new Problem("group", "That group is not in the guide; choose one from the list."))
                .key();
    }

    private Plant sameGroup(Plant known, StockPlantForm form) {
        if (!known.view().group().equals(group(form))) {
            String words = guide.group(known.view().group()).map(g -> g.words()).orElse("another group");
            throw new Problem(
                    "group",
                    "%s is already here as %s; choose that, or give this plant another name."
                            .formatted(form.plant(), words));
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
