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
        Map<UUID, BatchBook.Kin> kin =
                batches.kin().stream().collect(Collectors.toMap(BatchBook.Kin::id, Function.identity()));
        if (!plants.containsKey(id)) {
            throw new NotFound("no such stock plant");
        }
        Map<UUID, UUID> parents = new HashMap<>();
        kin.values().forEach(k -> parents.put(k.id(), k.fromBatchId() != null ? k.fromBatchId() : k.stockPlantId()));
        plants.values().forEach(p -> parents.put(p.id(), p.came().batch()));
        UUID eldest = eldest(id, parents);
        Set<UUID> members = descendants(eldest, parents);
        List<FamilyTree.Member> family = new ArrayList<>();
        for (UUID member : members) {
            UUID parent = parents.get(member);
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

    private static UUID eldest(UUID from, Map<UUID, UUID> parents) {
        Set<UUID> seen = new HashSet<>();
        UUID at = from;
        while (parents.get(at) != null && parents.containsKey(parents.get(at)) && seen.add(at)) {
            at = parents.get(at);
        }
        return at;
    }

    private static Set<UUID> descendants(UUID eldest, Map<UUID, UUID> parents) {
        Map<UUID, List<UUID>> children = new HashMap<>();
        parents.forEach((child, parent) -> {
            if (parent != null) {
                children.computeIfAbsent(parent, p -> new ArrayList<>()).add(child);
            }
        });
        Set<UUID> found = new HashSet<>();
        List<UUID> open = new ArrayList<>(List.of(eldest));
        while (!open.isEmpty()) {
            UUID next = open.remove(open.size() - 1);
            if (found.add(next)) {
                open.addAll(children.getOrDefault(next, List.of()));
            }
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
