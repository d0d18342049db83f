package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is read of all batches at once, and of those alone that changed since it was read before. */
@Service
public class BatchChanges {

    /** No transaction writes for longer than this: what was written in one that ended later is found all the same. */
    private static final Duration LONGEST_WRITING = Duration.ofMinutes(2);

    private final BatchRepository batches;
    private final CurrentNursery nursery;

    BatchChanges(BatchRepository batches, CurrentNursery nursery) {
        this.batches = batches;
        this.nursery = nursery;
    }

    /**
     * How batches were done, as of a moment.
     *
     * @param writtenBy when any of them was last written; null before any was
     */
    public record Done(LocalDateTime writtenBy, Map<UUID, BatchFacts> batches) {

        /** Nothing was read yet. */
        public static final Done NOTHING = new Done(null, Map.of());
    }

    /**
     * How all batches that are stuck were done; of those that were read before and not changed since what was read then; the
     * same map where none was.
     *
     * @param before what was read before
     */
    @Transactional(readOnly = true)
    public Done done(Done before) {
        UUID of = nursery.required();
        // Read first: what is written meanwhile is then read again.
        LocalDateTime by = batches.lastWritten(of);
        if (before.writtenBy() == null) {
            return new Done(by, batches.facts().stream().collect(Collectors.toMap(BatchFacts::id, f -> f)));
        }
        List<UUID> changed = changedSince(of, before.writtenBy(), id -> {
                    BatchFacts known = before.batches().get(id);
                    return known == null ? null : known.changes();
                })
                .filter(row -> row.getStuck() == 1 || before.batches().containsKey(row.getId()))
                .map(BatchRepository.Written::getId)
                .toList();
        if (changed.isEmpty()) {
            return new Done(by, before.batches());
        }
        Map<UUID, BatchFacts> now = new HashMap<>(before.batches());
        changed.forEach(now::remove);
        batches.facts(changed).forEach(f -> now.put(f.id(), f));
        return new Done(by, now);
    }

    /**
     * Which batches gave young plants, as of a moment.
     *
     * @param writtenBy when any batch was last written; null before any was
     * @param changes how often each was changed: once more by whatever is said of its moves, and of looks at its young plants
     */
    public record Gave(LocalDateTime writtenBy, Map<UUID, Integer> changes) {

        /** Nothing was read yet. */
        public static final Gave NOTHING = new Gave(null, Map.of());
    }

    /**
     * Which batches gave young plants; the same map where none changed since what was read before.
     *
     * @param before what was read before
     */
    @Transactional(readOnly = true)
    public Gave gave(Gave before) {
        UUID of = nursery.required();
        LocalDateTime by = batches.lastWritten(of);
        if (before.writtenBy() == null) {
            return new Gave(by, numbers(batches.gave()));
        }
        List<UUID> changed = changedSince(of, before.writtenBy(), before.changes()::get)
                .filter(row -> row.getGave() > 0 || before.changes().containsKey(row.getId()))
                .map(BatchRepository.Written::getId)
                .toList();
        if (changed.isEmpty()) {
            return new Gave(by, before.changes());
        }
        Map<UUID, Integer> now = new HashMap<>(before.changes());
        changed.forEach(now::remove);
        now.putAll(numbers(batches.gave(changed)));
        return new Gave(by, now);
    }

    private static Map<UUID, Integer> numbers(List<BatchRepository.Changed> rows) {
        return rows.stream()
                .collect(Collectors.toMap(BatchRepository.Changed::getId, BatchRepository.Changed::getChanges));
    }

    /** Rows written since about a moment that were changed more often than is known, or are not known. */
    private Stream<BatchRepository.Written> changedSince(UUID of, LocalDateTime by, Function<UUID, Integer> known) {
        return batches.writtenSince(of, by.minus(LONGEST_WRITING)).stream()
                .filter(row -> !Integer.valueOf(row.getChanges()).equals(known.apply(row.getId())));
    }
}
