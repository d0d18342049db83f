package garden.vivarium.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.platform.NurseryReturned;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Moves of batches as they were read last, each as long as its batch was not changed: whatever is said of a move changes its batch
 * too. Whoever writes in the same transaction reads them all.
 */
@Component
class PottingShelf {

    private static final int MOST = 20_000;

    private final PottingRepository pottings;
    private final Cache<Mark, List<PottingView>> known =
            Caffeine.newBuilder().maximumSize(MOST).build();

    PottingShelf(PottingRepository pottings) {
        this.pottings = pottings;
    }

    private record Mark(UUID batch, int changes) {}

    /** The moves of each batch that has any, the first of each first; without those that left for elsewhere. */
    Map<UUID, List<PottingView>> of(Collection<BatchView> batches) {
        Set<Mark> marks =
                batches.stream().map(b -> new Mark(b.id(), b.changes())).collect(Collectors.toSet());
        Map<Mark, List<PottingView>> found = TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? known.getAll(marks, this::read)
                : read(marks);
        Map<UUID, List<PottingView>> moves = new HashMap<>();
        found.forEach((mark, of) -> {
            if (!of.isEmpty()) {
                moves.put(mark.batch(), of);
            }
        });
        return moves;
    }

    private Map<Mark, List<PottingView>> read(Set<? extends Mark> marks) {
        Map<UUID, List<PottingView>> read = read(marks.stream().map(Mark::batch).toList());
        return marks.stream().collect(Collectors.toMap(m -> m, m -> read.getOrDefault(m.batch(), List.of())));
    }

    /** The same by their ids, read anew. */
    Map<UUID, List<PottingView>> read(Collection<UUID> batches) {
        return batches.isEmpty()
                ? Map.of()
                : pottings.findByBatchIdInOrderByMovedOn(batches).stream()
                        .filter(p -> !p.isAway())
                        .map(Potting::view)
                        .collect(Collectors.groupingBy(PottingView::batchId));
    }

    @EventListener
    public void returned(NurseryReturned back) {
        known.invalidateAll();
    }
}
