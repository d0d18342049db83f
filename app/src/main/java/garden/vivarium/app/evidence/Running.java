package garden.vivarium.app.evidence;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Prognosis;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.RunningPieces;
import garden.vivarium.core.watch.GiveUp;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is known of batches that run, from what finished ones have taught and every look at their own pieces. */
@Service
public class Running implements Prognosis {

    private final Evidence evidence;

    // As long as the same batches are finished, what follows from them and a batch's own looks stands.
    private final Map<Object, Map<BatchState, RunningBatch>> known = Collections.synchronizedMap(new WeakHashMap<>());
    private final Map<Object, Map<BatchState, RunningPieces>> pieces = Collections.synchronizedMap(new WeakHashMap<>());

    Running(Evidence evidence) {
        this.evidence = evidence;
    }

    private record BatchState(UUID batch, int changes) {}

    /** What is known of its pending pieces; empty where none is pending, or none was looked at in a way that could know. */
    @Transactional(readOnly = true)
    public Optional<RunningBatch> now(BatchView batch, Tallies ready) {
        return now(evidence.record(), batch, ready);
    }

    /** The same by a record that was read before. */
    public Optional<RunningBatch> now(NurseryRecord record, BatchView batch, Tallies ready) {
        if (batch.isAsleep() || batch.counts().pending() == 0 || ready.lastDay() == 0) {
            return Optional.empty();
        }
        return Optional.of(known.computeIfAbsent(record.finishedOnly(), r -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        new BatchState(batch.id(), batch.changes()),
                        a -> RunningBatch.of(record.prior(batch.way(), batch.season()), ready)));
    }

    /** Its pending pieces, to be put together with others of their way. */
    public RunningPieces pieces(NurseryRecord record, BatchView batch, Tallies ready) {
        return pieces.computeIfAbsent(record.finishedOnly(), r -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        new BatchState(batch.id(), batch.changes()),
                        a -> new RunningPieces(
                                batch.way(),
                                Evidence.beforeRunning(record, batch.way(), batch.season()),
                                record.prior(batch.way(), batch.season()).shown(),
                                ready));
    }

    @Override
    @Transactional(readOnly = true)
    public Outlook outlook(Protocol protocol, Grown plant) {
        return evidence.outlook(protocol, plant);
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<GiveUp> hopeless(BatchView batch, Tallies ready) {
        return now(batch, ready).map(GiveUp::of).filter(g -> g.pieces() > 0);
    }
}
