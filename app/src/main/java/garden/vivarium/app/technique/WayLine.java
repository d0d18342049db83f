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
 * @param planted whether its pieces are planted and take, rather than being stuck and striking
 * @param way what it is
 * @param done batches and pieces done so
 * @param strike mean rate with its evidence
 * @param time days to ready
 * @param firstSign days to first sign, where it has one
 * @param gives young plants that come of it
 * @param guide what the guide said
 * @param doubt how far its rate may lie from its mean
 */
public record WayLine(
        String key,
        boolean planted,
        Way way,
        Done done,
        StrikeRate strike,
        RootingTime time,
        Optional<RootingTime> firstSign,
        Gives gives,
        ByGuide guide,
        Doubt doubt) {

    /** The day by which a tenth of the pieces is ready. */
    public double early() {
        return time.day(0.1);
    }

    /** The day by which nine tenths are. */
    public double late() {
        return time.day(0.9);
    }

    /** The mean rate nine times in ten, and the same of the next batch: dear to reckon, so once. */
    public record Doubt(double low, double high, double nextLow, double nextHigh) {

        static Doubt of(StrikeRate strike) {
            return new Doubt(
                    strike.quantile(0.05),
                    strike.quantile(0.95),
                    strike.nextBatch().quantile(0.05),
                    strike.nextBatch().quantile(0.95));
        }
    }

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
        return doubt.low();
    }

    public double high() {
        return doubt.high();
    }

    /** The rate that the next batch may have, which scatters more than the mean is unsure: one in twenty below. */
    public double nextLow() {
        return doubt.nextLow();
    }

    public double nextHigh() {
        return doubt.nextHigh();
    }
}
