package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.HarvestView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockLookView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.Level;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantGroup;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stories of stock plants. */
@Service
class Stories {

    private final Stock stock;
    private final StockCounts counts;
    private final BatchBook batches;
    private final Evidence evidence;
    private final CareBook care;
    private final Guide guide;
    private final Says says;
    private final Today today;

    Stories(
            Stock stock,
            StockCounts counts,
            BatchBook batches,
            Evidence evidence,
            CareBook care,
            Guide guide,
            Says says,
            Today today) {
        this.stock = stock;
        this.counts = counts;
        this.batches = batches;
        this.evidence = evidence;
        this.care = care;
        this.guide = guide;
        this.says = says;
        this.today = today;
    }

    /** The whole sheet of a stock plant or lot. */
    @Transactional(readOnly = true)
    StorySheet sheet(UUID id) {
        List<StockPlantView> all = stock.all();
        StockPlantView plant = all.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("Stories.no.such.stock.plant")));
        PlantGroup group = guide.group(plant.plant().group()).orElseThrow();
        LocalDate day = today.date();
        List<StockPlantView> sisters = all.stream()
                .filter(s -> s.plant().id().equals(plant.plant().id()))
                .toList();
        Map<UUID, List<BatchBook.Kin>> byPlant =
                batches.kinOfStock(sisters.stream().map(StockPlantView::id).toList()).stream()
                        .collect(Collectors.groupingBy(BatchBook.Kin::stockPlantId));
        List<BatchBook.Kin> own = byPlant.getOrDefault(id, List.of());
        double usual = usual(sisters, byPlant);
        List<HarvestView> harvests = counts.harvests(id);
        List<StockLookView> looks = counts.looks(id);
        return new StorySheet(
                plant,
                group,
                new StorySheet.Cutting(plant.regrowth().restsUntil(), plant.mayCut(day, null)),
                new StorySheet.Past(harvests, looks, recovery(harvests, looks)),
                own.stream()
                        .sorted(Comparator.comparing(BatchBook.Kin::takenOn).reversed())
                        .toList(),
                gave(plant, own, usual),
                sisters.stream()
                        .filter(s -> !s.id().equals(id))
                        .map(s -> gave(s, byPlant.getOrDefault(s.id(), List.of()), usual))
                        .toList(),
                care.of(id),
                batches.kinOf(Stream.ofNullable(plant.came().batch()).toList()).stream()
                        .findFirst(),
                offspring(all, own));
    }

    /** Stock plants that were young plants of its batches. */
    private static List<StockPlantView> offspring(List<StockPlantView> all, List<BatchBook.Kin> own) {
        List<UUID> ids = own.stream().map(BatchBook.Kin::id).toList();
        return all.stream()
                .filter(s -> s.came().batch() != null && ids.contains(s.came().batch()))
                .toList();
    }

    private Optional<String> recovery(List<HarvestView> harvests, List<StockLookView> looks) {
        return harvests.stream().filter(HarvestView::hard).findFirst().map(cut -> {
            List<StockLookView> since = looks.stream()
                    .filter(l -> l.shoots() != null && !l.lookedOn().isBefore(cut.cutOn()))
                    .sorted(Comparator.comparing(StockLookView::lookedOn))
                    .toList();
            String cutOn =
                    Messages.text("Stories.cut.hard.pieces", "cutOn", says.day(cut.cutOn()), "pieces", cut.pieces());
            return since.isEmpty()
                    ? cutOn + " Nobody has counted new shoots since."
                    : cutOn
                            + since.stream()
                                    .map(l -> Messages.text(
                                            "Stories.day",
                                            "toEpochDay",
                                            l.lookedOn().toEpochDay()
                                                    - cut.cutOn().toEpochDay(),
                                            "shoots",
                                            l.shoots()))
                                    .collect(Collectors.joining());
        });
    }

    /** The share of all finished pieces of the plant that became ready, kept off 0 and 1; 0.7 where none is finished. */
    private static double usual(List<StockPlantView> sisters, Map<UUID, List<BatchBook.Kin>> byPlant) {
        List<BatchBook.Kin> finished = sisters.stream()
                .flatMap(s -> byPlant.getOrDefault(s.id(), List.of()).stream())
                .filter(k -> k.over() && k.stuck() > k.came().sent())
                .toList();
        double judged =
                finished.stream().mapToInt(k -> k.stuck() - k.came().sent()).sum();
        double ready = finished.stream().mapToInt(k -> k.came().ready()).sum();
        return judged == 0 ? 0.7 : Math.min(0.98, Math.max(0.02, ready / judged));
    }

    private StockYield gave(StockPlantView plant, List<BatchBook.Kin> own, double usual) {
        List<BatchCount> counts = own.stream()
                .filter(k -> k.over() && k.stuck() > k.came().sent())
                .map(k -> new BatchCount(
                        Math.min(k.came().ready(), k.stuck() - k.came().sent()),
                        k.stuck() - k.came().sent()))
                .toList();
        return new StockYield(
                plant,
                own.size(),
                own.stream().mapToInt(BatchBook.Kin::taken).sum(),
                own.stream().mapToInt(BatchBook.Kin::stuck).sum(),
                own.stream().mapToInt(k -> k.came().ready()).sum(),
                own.stream().mapToInt(k -> k.came().youngPlants()).sum(),
                counts.isEmpty()
                        ? Optional.empty()
                        : Optional.of(StrikeRate.of(
                                usual,
                                List.of(new Level(Closeness.THIS_STOCK_PLANT, counts)),
                                evidence.record().spread().rho())));
    }
}
