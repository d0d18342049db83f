package garden.vivarium.app.technique;

import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.timing.Window;
import java.util.Optional;

/**
 * A way that has data, as Technique lists it.
 *
 * @param key its name in addresses
 * @param doing what its pieces do: strike, or take
 * @param way what it is
 * @param done batches and pieces done so
 * @param strike mean rate with its evidence
 * @param time days to ready
 * @param firstSign days to first sign, where it has one
 * @param gives young plants that come of it
 * @param guide what the guide said
 */
public record WayLine(
        String key,
        String doing,
        Way way,
        Done done,
        StrikeRate strike,
        RootingTime time,
        Optional<RootingTime> firstSign,
        Gives gives,
        ByGuide guide) {

    /**
     * What comes of it.
     *
     * @param settle share of ready pieces that settle
     * @param output young plants of a ready piece
     * @param perPiece young plants that settle, of a piece stuck
     * @param perTrayWeek the same of a tray of loose pieces in a week
     */
    public record Gives(double settle, double output, double perPiece, double perTrayWeek) {}

    /** Batches done so, pieces stuck in them, of which became ready, of which may yet. */
    public record Done(int batches, long pieces, long ready, long running) {}

    /** The guide's rate and days to ready. */
    public record ByGuide(double rate, Window ready) {

        /** The day by which half are ready. */
        public double median() {
            return Math.exp(ready.mu());
        }
    }

    public double low() {
        return strike.quantile(0.05);
    }

    public double high() {
        return strike.quantile(0.95);
    }

    /** The rate that the next batch may have, which scatters more than the mean is unsure: one in twenty below. */
    public double nextLow() {
        return strike.nextBatch().quantile(0.05);
    }

    public double nextHigh() {
        return strike.nextBatch().quantile(0.95);
    }
}
