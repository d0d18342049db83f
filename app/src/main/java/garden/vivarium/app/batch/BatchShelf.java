package garden.vivarium.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.core.plan.Outlook;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
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
    private final Cache<BatchMark, Read> known =
            Caffeine.newBuilder().maximumSize(MOST).build();

    BatchShelf(BatchRepository batches, OutlookText outlooks) {
        this.batches = batches;
        this.outlooks = outlooks;
    }

    /** A batch with what was expected of it and a letter for each piece: null where it was not looked at since such letters are kept. */
    record Read(BatchView batch, Outlook outlook, String drawn) {

        static Read of(Batch batch, OutlookText outlooks) {
            return new Read(batch.view(), outlooks.read(batch.outlookText()), batch.drawn());
        }
    }

    /** Batches by their marks, in the same order; without those that are gone meanwhile. */
    List<Read> of(List<BatchMark> marks) {
        Map<BatchMark, Read> found = TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? known.getAll(marks, this::read)
                : read(marks);
        return marks.stream().filter(found::containsKey).map(found::get).toList();
    }

    private Map<BatchMark, Read> read(Collection<? extends BatchMark> marks) {
        Map<UUID, BatchMark> by = marks.stream().collect(Collectors.toMap(BatchMark::id, Function.identity()));
        return batches.findAllById(Set.copyOf(by.keySet())).stream()
                .collect(Collectors.toMap(b -> by.get(b.getId()), b -> Read.of(b, outlooks)));
    }

    @EventListener
    public void returned(NurseryReturned back) {
        known.invalidateAll();
    }
}
