package garden.vivarium.app.bench;

import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.batch.AsKnown;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.watch.Behind;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Which running batches are behind their usual, each judged once until it changes. */
@Component
class BehindBook {

    /** Running batches of all nurseries of a node; one that falls out is judged anew. */
    private static final int MOST_JUDGED = 20_000;

    private final Map<UUID, Judgement> judged = Caffeine.newBuilder()
            .maximumSize(MOST_JUDGED)
            .<UUID, Judgement>build()
            .asMap();

    /** Whether it is known already if a batch is behind, so that its looks need not be read again. */
    boolean isJudged(BatchView batch) {
        Judgement held = judged.get(batch.id());
        return held != null && held.changes() == batch.changes();
    }

    /**
     * Whether the batch is behind its usual, judged at each look that could know; empty before the first. It is dear to reckon
     * and follows from its looks and from what was expected when it was stuck alone, so it is kept until the batch changes.
     *
     * @param known asked only where it is not judged yet
     */
    Optional<Behind> of(BatchView batch, Outlook outlook, Supplier<AsKnown> known) {
        return judged.compute(batch.id(), (id, held) -> {
                    if (held != null && held.changes() == batch.changes()) {
                        return held;
                    }
                    Behind.Memory memory = held == null ? new Behind.Memory() : held.memory();
                    return new Judgement(
                            batch.changes(), judge(outlook.in(batch.season()), known.get(), memory), memory);
                })
                .behind();
    }

    private record Judgement(int changes, Optional<Behind> behind, Behind.Memory memory) {}

    private static Optional<Behind> judge(SeasonOutlook expected, AsKnown known, Behind.Memory memory) {
        return Behind.of(expected.prior(), expected.firstSignPrior(), known.ready(), known.firstSign(), memory);
    }

    @EventListener
    public void returned(NurseryReturned back) {
        judged.clear();
    }
}
