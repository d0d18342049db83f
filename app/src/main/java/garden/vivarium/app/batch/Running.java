package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Today;
import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.RunningPieces;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** What is known of batches that run, from what finished ones have taught and every look at their own pieces. */
@Component
class Running {

    private static final double SURE = 0.9;
    private static final int AHEAD = 14;

    private final Evidence evidence;
    private final Today today;

    // As long as the record stands, so does what follows from it and a batch's own looks.
    private final Map<NurseryRecord, Map<Asked, RunningBatch>> known = Collections.synchronizedMap(new WeakHashMap<>());
    private final Map<NurseryRecord, Map<Asked, RunningPieces>> pieces =
            Collections.synchronizedMap(new WeakHashMap<>());

    Running(Evidence evidence, Today today) {
        this.evidence = evidence;
        this.today = today;
    }

    private record Asked(UUID batch, int changes) {}

    /** What is known of its pending pieces; empty where none is pending, or none was looked at in a way that could know. */
    Optional<RunningBatch> now(BatchView batch, Tallies ready) {
        return now(evidence.record(), batch, ready);
    }

    /** The same by a record that was read before. */
    Optional<RunningBatch> now(NurseryRecord record, BatchView batch, Tallies ready) {
        if (batch.isAsleep() || batch.counts().pending() == 0 || ready.lastDay() == 0) {
            return Optional.empty();
        }
        return Optional.of(known.computeIfAbsent(record, r -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        new Asked(batch.id(), batch.changes()),
                        a -> RunningBatch.of(record.prior(batch.way(), batch.season()), ready)));
    }

    /** Its pending pieces, to be put together with others of their way. */
    RunningPieces pieces(NurseryRecord record, BatchView batch, Tallies ready) {
        return pieces.computeIfAbsent(record, r -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        new Asked(batch.id(), batch.changes()),
                        a -> new RunningPieces(
                                batch.way(),
                                Evidence.beforeRunning(record, batch.way(), batch.season()),
                                record.prior(batch.way(), batch.season()).shown(),
                                ready));
    }

    /** What is still to come of a batch of which something waits and was looked at. */
    Optional<StillToCome> toCome(BatchView batch, Tallies ready) {
        return now(batch, ready).map(now -> {
            BatchPrior prior = evidence.record().prior(batch.way(), batch.season());
            LocalDate soon = today.date().plusDays(AHEAD);
            Supply ever = Supply.ofChances(now.more(Double.POSITIVE_INFINITY));
            Supply by = Supply.ofChances(
                    now.more(soon.toEpochDay() - batch.dayNought().toEpochDay()));
            int judgeable = batch.stuck() - batch.counts().sent();
            return new StillToCome(
                    batch.counts().pending(),
                    Math.round(100 * now.everReady()),
                    Math.round(ever.mean()),
                    ever.surely(SURE),
                    soon,
                    Math.round(by.mean()),
                    by.surely(SURE),
                    Math.round(now.asFinished(prior.rate(), judgeable)[1]));
        });
    }
}
