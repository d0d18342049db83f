package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.FailuresShown;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Tallies;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The pending pieces of a batch that runs: how many of them become ready by any day, and how that depends on what batches of
 * its way share.
 */
public final class RunningPieces {

    private final Way way;
    private final SharedDoubt doubt;
    private final FailuresShown shown;
    private final Tallies tallies;
    private final Map<SharedDoubt.Node, RunningBatch> atNodes = new ConcurrentHashMap<>();
    private final Map<Double, Prospect> byDay = new ConcurrentHashMap<>();
    private RunningBatch alone;

    /**
     * Pieces that run.
     *
     * @param way their way
     * @param doubt what is not known of the way, from finished batches alone
     * @param shown how soon failures show themselves
     * @param tallies of ready
     */
    public RunningPieces(Way way, SharedDoubt doubt, FailuresShown shown, Tallies tallies) {
        this.way = way;
        this.doubt = doubt;
        this.shown = shown;
        this.tallies = tallies;
    }

    /**
     * How many become ready by a day.
     *
     * @param day days since the day stuck; infinite for ever
     */
    public Prospect by(double day) {
        return byDay.computeIfAbsent(day, this::reckoned);
    }

    private Prospect reckoned(double day) {
        return Prospect.running(
                way,
                doubt,
                node -> {
                    RunningBatch batch = at(node);
                    return new Prospect.Given(batch.logEvidence(), Supply.ofChances(batch.more(day)));
                },
                () -> Supply.ofChances(alone().more(day)));
    }

    private RunningBatch at(SharedDoubt.Node node) {
        return atNodes.computeIfAbsent(
                node, n -> RunningBatch.roughly(new BatchPrior(doubt.rate(n), doubt.time(n), shown), tallies));
    }

    private synchronized RunningBatch alone() {
        if (alone == null) {
            alone = RunningBatch.of(new BatchPrior(doubt.strike().nextBatch(), doubt.time(), shown), tallies);
        }
        return alone;
    }
}
