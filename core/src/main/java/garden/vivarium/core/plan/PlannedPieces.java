package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.OutputRatio;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Pieces of one way, taken on a day for a day due: what any number of them would give, and how that depends on what the way's
 * batches share.
 */
public final class PlannedPieces {

    private final Way way;
    private final SharedDoubt doubt;
    private final SharedDoubt beforeRunning;
    private final UnaryOperator<NextBatch> stages;
    private final Optional<Double> days;
    private final OutputRatio output;
    private final int perPot;
    private final ReadyChance ready;
    private final Map<At, ReadyChance> atNodes = new HashMap<>();

    private record At(SharedDoubt.Node node, boolean besideRunning) {}

    /**
     * Planned pieces.
     *
     * @param way their way: plans and batches of the same way share what is not known of it
     * @param doubt what is not known of it, by all batches
     * @param beforeRunning the same by finished batches alone: beside running ones, whose looks then speak for themselves
     * @param stages what callus and settling make of a batch's rate
     * @param days days from the day stuck to the day due, less settling; empty for all the time they need
     * @param output young plants of a ready piece
     * @param perPot rooted pieces to a pot, 1 and up
     */
    PlannedPieces(
            Way way,
            SharedDoubt doubt,
            SharedDoubt beforeRunning,
            UnaryOperator<NextBatch> stages,
            Optional<Double> days,
            OutputRatio output,
            int perPot) {
        this.way = way;
        this.doubt = doubt;
        this.beforeRunning = beforeRunning;
        this.stages = stages;
        this.days = days;
        this.output = output;
        this.perPot = perPot;
        ReadyChance.OfRate rate = ReadyChance.of(stages.apply(doubt.strike().nextBatch()));
        this.ready = days.map(d -> rate.after(doubt.time(), d)).orElseGet(rate::withUnlimitedTime);
    }

    Way way() {
        return way;
    }

    /** What is shared, beside batches that run or not. */
    SharedDoubt doubt(boolean besideRunning) {
        return besideRunning ? beforeRunning : doubt;
    }

    /** The chance model of one of them. */
    public ReadyChance ready() {
        return ready;
    }

    /** Young plants of a ready piece. */
    public OutputRatio output() {
        return output;
    }

    /** Young plants that so many give, by themselves. */
    public Supply supply(int pieces) {
        return Supply.of(ready, pieces, output, perPot);
    }

    /** So many of them, to be put together with others. */
    public Prospect prospect(int pieces) {
        return Prospect.planned(
                way, this::doubt, (node, beside) -> supplyAt(node, beside, pieces), () -> supply(pieces));
    }

    /** Young plants that one piece gives on average. */
    double meanOfOne() {
        return ready.meanShare() * output.mean() / perPot;
    }

    /** Young plants that so many give where what the way shares has these values. */
    Supply supplyAt(SharedDoubt.Node node, boolean besideRunning, int pieces) {
        return Supply.of(readyAt(new At(node, besideRunning)), pieces, output, perPot);
    }

    private synchronized ReadyChance readyAt(At at) {
        return atNodes.computeIfAbsent(at, a -> {
            SharedDoubt shared = doubt(a.besideRunning());
            ReadyChance.OfRate rate = ReadyChance.roughly(stages.apply(shared.rate(a.node())));
            return days.map(d -> rate.after(shared.time(a.node()), d)).orElseGet(rate::withUnlimitedTime);
        });
    }
}
