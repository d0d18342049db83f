package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.family.FamilyTree;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Families: stock plant → batch → young plant → stock plant, from the eldest that is known. */
@Service
class Families {

    private final Stock stock;
    private final BatchBook batches;
    private final Says says;

    Families(Stock stock, BatchBook batches, Says says) {
        this.stock = stock;
        this.batches = batches;
        this.says = says;
    }

    /**
     * A line of the picture.
     *
     * @param kind plant, lot or batch
     * @param name what it is called
     * @param detail what it is, in words
     * @param address its sheet
     * @param stuck pieces set in its whole branch
     * @param ready of those became ready
     * @param running whether it is a batch that is not over yet
     * @param itself whether it is the one asked for
     */
    record FamilyRow(
            String id,
            int parent,
            String kind,
            String name,
            String detail,
            String address,
            int stuck,
            int ready,
            boolean running,
            boolean itself) {}

    /** The family of a stock plant; generations are counted in stock plants. */
    record Family(String eldest, int generations, List<FamilyRow> lines) {}

    /** The family of a stock plant, from the eldest ancestor that is known to the youngest. */
    @Transactional(readOnly = true)
    Family of(UUID id) {
        Map<UUID, StockPlantView> plants =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        if (!plants.containsKey(id)) {
            throw new NotFound(Messages.text("Families.no.such.stock.plant"));
        }
        Map<UUID, BatchBook.Kin> kin = new HashMap<>();
        UUID eldest = eldest(id, plants, kin);
        Set<UUID> members = descendants(eldest, plants, kin);
        List<FamilyTree.Member> family = new ArrayList<>();
        for (UUID member : members) {
            UUID parent = parent(member, plants, kin);
            String parentId = parent == null ? null : parent.toString();
            BatchBook.Kin batch = kin.get(member);
            family.add(
                    batch != null
                            ? new FamilyTree.Member(
                                    member.toString(),
                                    parentId,
                                    FamilyTree.Kind.BATCH,
                                    batch.takenOn() + batch.code(),
                                    batch.stuck() - batch.came().sent(),
                                    Math.min(
                                            batch.came().ready(),
                                            batch.stuck() - batch.came().sent()))
                            : new FamilyTree.Member(
                                    member.toString(),
                                    parentId,
                                    FamilyTree.Kind.STOCK_PLANT,
                                    plants.get(member).code(),
                                    0,
                                    0));
        }
        FamilyTree tree = FamilyTree.of(family);
        return new Family(
                plants.containsKey(eldest)
                        ? plants.get(eldest).code()
                        : kin.get(eldest).code(),
                tree.generations(),
                tree.lines().stream().map(l -> line(l, plants, kin, id)).toList());
    }

    /** From what a member came, as far as it is known. */
    private static UUID parent(UUID of, Map<UUID, StockPlantView> plants, Map<UUID, BatchBook.Kin> kin) {
        if (plants.containsKey(of)) {
            return plants.get(of).came().batch();
        }
        BatchBook.Kin batch = kin.get(of);
        return batch.fromBatchId() != null ? batch.fromBatchId() : batch.stockPlantId();
    }

    /** Up from a plant; what is met on the way is read and kept. */
    private UUID eldest(UUID from, Map<UUID, StockPlantView> plants, Map<UUID, BatchBook.Kin> kin) {
        Set<UUID> seen = new HashSet<>();
        UUID at = from;
        while (seen.add(at)) {
            UUID parent = parent(at, plants, kin);
            if (parent == null) {
                break;
            }
            if (!plants.containsKey(parent) && !kin.containsKey(parent)) {
                batches.kinOf(List.of(parent)).forEach(k -> kin.put(k.id(), k));
            }
            if (!plants.containsKey(parent) && !kin.containsKey(parent)) {
                break;
            }
            at = parent;
        }
        return at;
    }

    /** Down from the eldest, a generation at a time: a large nursery has many batches of other families. */
    private Set<UUID> descendants(UUID eldest, Map<UUID, StockPlantView> plants, Map<UUID, BatchBook.Kin> kin) {
        Set<UUID> found = new HashSet<>();
        Set<UUID> open = new HashSet<>(Set.of(eldest));
        while (!open.isEmpty()) {
            found.addAll(open);
            Set<UUID> of = open;
            List<BatchBook.Kin> cut = new ArrayList<>(batches.kinCutFrom(
                    of.stream().filter(m -> !plants.containsKey(m)).toList()));
            batches.kinOfStock(of.stream().filter(plants::containsKey).toList()).stream()
                    .filter(k -> k.fromBatchId() == null)
                    .forEach(cut::add);
            cut.forEach(k -> kin.put(k.id(), k));
            open = Stream.concat(
                            cut.stream().map(BatchBook.Kin::id),
                            plants.values().stream()
                                    .filter(p -> p.came().batch() != null
                                            && of.contains(p.came().batch()))
                                    .map(StockPlantView::id))
                    .filter(m -> !found.contains(m))
                    .collect(Collectors.toSet());
        }
        return found;
    }

    private FamilyRow line(
            FamilyTree.Placed l, Map<UUID, StockPlantView> plants, Map<UUID, BatchBook.Kin> kin, UUID asked) {
        UUID id = UUID.fromString(l.member().id());
        StockPlantView plant = plants.get(id);
        if (plant != null) {
            return new FamilyRow(
                    l.member().id(),
                    l.parentLine(),
                    plant.isLot() ? "lot" : "plant",
                    plant.code(),
                    plant.plant().name()
                            + (plant.isRetired() ? ", " + plant.state().words() : ""),
                    "/stock/" + id,
                    l.branchStuck(),
                    l.branchReady(),
                    false,
                    id.equals(asked));
        }
        BatchBook.Kin batch = kin.get(id);
        return new FamilyRow(
                l.member().id(),
                l.parentLine(),
                "batch",
                batch.code(),
                "%s, %s%s"
                        .formatted(
                                batch.way().method(),
                                says.day(batch.takenOn()),
                                batch.came().piecesPerPot() > 1
                                        ? Messages.text(
                                                "Families.pot",
                                                "piecesPerPot",
                                                batch.came().piecesPerPot())
                                        : ""),
                "/batches/" + batch.code(),
                l.branchStuck(),
                l.branchReady(),
                !batch.over(),
                false);
    }
}
