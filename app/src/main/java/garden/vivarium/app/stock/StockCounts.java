package garden.vivarium.app.stock;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Shoots;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stock plants bear: looks that count it, and harvests that lower it. */
@Service
public class StockCounts {

    private final StockKeeper keeper;
    private final StockPlantRepository stock;
    private final HarvestRepository harvests;
    private final StockLookRepository looks;
    private final Sorts sorts;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Today today;

    StockCounts(
            StockKeeper keeper,
            StockPlantRepository stock,
            HarvestRepository harvests,
            StockLookRepository looks,
            Sorts sorts,
            Guide guide,
            CurrentNursery nursery,
            Today today) {
        this.keeper = keeper;
        this.stock = stock;
        this.harvests = harvests;
        this.looks = looks;
        this.sorts = sorts;
        this.guide = guide;
        this.nursery = nursery;
        this.today = today;
    }

    /**
     * Pieces were cut from it, or taken from the lot, on a day.
     *
     * @param sort key of the sort of piece
     * @param pieces how much of that
     * @param hard whether a hard cut was meant; more than it bears well is one anyway
     * @throws InvalidField if that is more than is left of what was counted
     */
    @Transactional
    public void cut(UUID id, String sort, int pieces, LocalDate day, boolean hard) {
        refuseMoreThanIsLeft(keeper.toChange(id), sort, pieces, day);
        harvest(id, sort, pieces, day, hard, null);
    }

    /** What was counted and not cut since bounds the next cut; whoever has more than that counts first, and is heard. */
    private void refuseMoreThanIsLeft(StockPlant plant, String sort, int pieces, LocalDate day) {
        plant.left(sort, day, sorts.rhythm(plant.plant().view().group(), sort))
                .filter(left -> pieces > left)
                .ifPresent(left -> {
                    throw new InvalidField(
                            "pieces",
                            Messages.text(
                                    "StockCounts.more.than.is.left",
                                    "pieces",
                                    pieces,
                                    "left",
                                    sorts.count(sort, plant.plant().view().group(), left),
                                    "code",
                                    keeper.view(plant).code()));
                });
    }

    private void harvest(UUID id, String sort, int pieces, LocalDate day, boolean hard, UUID batch) {
        StockPlant plant = keeper.toChange(id);
        PlantView of = plant.plant().view();
        harvests.save(new Harvest(
                        id, sort, day, pieces, plant.cut(sort, pieces, day, hard, sorts.rhythm(of.group(), sort)))
                .of(batch));
        shared(plant, sort)
                .ifPresent(other -> plant.cut(
                        other,
                        sorts.shoots(of.grown()).usedUp(sort, pieces),
                        day,
                        hard,
                        sorts.rhythm(of.group(), other)));
    }

    /** The sort that is cut from the same shoots, where it was counted too. */
    private static Optional<String> shared(StockPlant plant, String sort) {
        return Shoots.other(sort).filter(plant::hasShootsCounted);
    }

    /**
     * What became a batch.
     *
     * @param plant the stock plant that it was cut from
     * @param method by which the pieces are made
     * @param batch which it became; null where it is not known
     */
    public record ForBatch(UUID plant, String method, LocalDate day, UUID batch) {}

    /**
     * So much was cut of what a way draws on, for a batch.
     *
     * @param growths in all, of whatever the plant bears
     */
    @Transactional
    public void cutFor(ForBatch cut, int growths) {
        harvest(cut.plant(), guide.sortOf(cut.method()).key(), growths, cut.day(), false, cut.batch());
    }

    /**
     * Pieces of a way were cut: what the way draws on goes down by that.
     *
     * @param pieces how many
     * @param each how many of what the plant bears went with each of them; null for what is usual for its kind
     */
    @Transactional
    public void cutFor(ForBatch cut, int pieces, Integer each) {
        int usual = guide.each(keeper.toChange(cut.plant()).plant().view().grown(), cut.method());
        cutFor(cut, pieces * (each == null ? usual : each));
    }

    /**
     * What became a batch was not cut after all: what it was taken off stands as before, unless it was counted or cut since.
     *
     * @param pieces of the batch, for harvests written down before they knew their batch
     * @return how much of what the plant bears that was; empty where no such harvest is written down
     */
    @Transactional
    public OptionalInt takeBack(ForBatch cut, int pieces) {
        Optional<StockPlant> plant = stock.withPlant(cut.plant());
        String sort = guide.sortOf(cut.method()).key();
        Optional<Harvest> harvest = plant.isEmpty() ? Optional.empty() : harvestOf(cut, sort, pieces);
        harvest.ifPresent(h -> {
            plant.get().takeBack(sort, h.pieces(), cut.day());
            shared(plant.get(), sort)
                    .ifPresent(other -> plant.get()
                            .takeBack(
                                    other,
                                    sorts.shoots(plant.get().plant().view().grown())
                                            .usedUp(sort, h.pieces()),
                                    cut.day()));
            harvests.delete(h);
        });
        return harvest.map(h -> OptionalInt.of(h.pieces())).orElse(OptionalInt.empty());
    }

    private Optional<Harvest> harvestOf(ForBatch cut, String sort, int pieces) {
        return harvests.findByStockPlantIdAndBatchId(cut.plant(), cut.batch()).stream()
                .findFirst()
                .or(() -> harvests.findByStockPlantIdAndSortAndCutOn(cut.plant(), sort, cut.day()).stream()
                        .filter(h -> h.batchId() == null && pieces > 0)
                        .filter(h -> h.pieces() >= pieces && h.pieces() % pieces == 0)
                        .min(Comparator.comparingInt(Harvest::pieces)));
    }

    /** The same of the sort that its commonest way draws on. */
    @Transactional
    public void cut(UUID id, int pieces, LocalDate day, boolean hard) {
        cut(id, sorts.usual(keeper.toChange(id).plant().view().grown()), pieces, day, hard);
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
        StockPlant plant = keeper.toChange(id);
        counts.forEach((sort, number) -> StockKeeper.refuseCount("count-" + sort, number));
        today.refuseFuture("lookedOn", day);
        StockKeeper.refuseCount("pieces", pieces);
        StockKeeper.refuseCount("shoots", shoots);
        if (note != null && note.length() > 500) {
            throw new InvalidField("note", Messages.text("Stock.shorten.note.characters"));
        }
        looks.save(new StockLook(
                id,
                day,
                counted(plant, pieces, counts),
                shoots,
                state,
                note,
                nursery.person().map(SignedIn::name).orElse("Vivarium")));
        counted(plant, pieces, counts).forEach((sort, number) -> plant.counted(sort, number, day));
        keeper.raise(plant);
        plant.looksLike(state);
        return keeper.view(plant);
    }

    /** What was counted on a plant's stock plants before its kind was known was of the sort that its commonest way draws on. */
    @Transactional
    public void countedOf(PlantView plant) {
        String usual = sorts.usual(plant.grown());
        stock.findByPlantId(plant.id()).forEach(s -> s.countedOf(usual));
    }

    /** How many of which sort were counted. */
    private Map<String, Integer> counted(StockPlant plant, Integer pieces, Map<String, Integer> counts) {
        Map<String, Integer> counted = new TreeMap<>();
        if (pieces != null) {
            counted.put(sorts.usual(plant.plant().view().grown()), pieces);
        }
        counts.forEach((sort, number) -> {
            if (number != null && guide.sort(sort).isPresent()) {
                counted.put(sort, number);
            }
        });
        return counted;
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
}
