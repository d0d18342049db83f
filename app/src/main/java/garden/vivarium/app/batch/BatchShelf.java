package garden.vivarium.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Batches as they were read last, each as long as its row stands as it did: a page with some hundred of them asks for their marks,
 * and reads those alone that it does not know. Whoever writes in the same transaction reads them all.
 */
@Component
class BatchShelf {

    private static final int MOST = 5000;

    private final BatchRepository batches;
    private final OutlookText outlooks;
    private final Cache<Mark, BatchBook.Entry> known =
            Caffeine.newBuilder().maximumSize(MOST).build();

    BatchShelf(BatchRepository batches, OutlookText outlooks) {
        this.batches = batches;
        this.outlooks = outlooks;
    }

    /**
     * By what a row is told from what it was. The name of its plant follows the plant, without another version.
     *
     * @param version raised whenever the row is written
     */
    record Mark(UUID id, long version, UUID plantId, String plantName, String plantKind, String plantGroup) {}

    /** Batches by their marks, in the same order; without those that are gone meanwhile. */
    List<BatchBook.Entry> of(List<Mark> marks) {
        Map<Mark, BatchBook.Entry> found = TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? known.getAll(marks, this::read)
                : read(marks);
        return marks.stream().filter(found::containsKey).map(found::get).toList();
    }

    private Map<Mark, BatchBook.Entry> read(Collection<? extends Mark> marks) {
        Map<UUID, Mark> by = marks.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        return batches.findAllById(Set.copyOf(by.keySet())).stream()
                .collect(Collectors.toMap(b -> by.get(b.getId()), this::entry));
    }

    BatchBook.Entry entry(Batch batch) {
        return new BatchBook.Entry(batch.view(), outlooks.read(batch.outlookText()));
    }
}
