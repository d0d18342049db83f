package garden.vivarium.app.technique;

import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.timing.Window;

/**
 * A way that has data, as Technique lists it.
 *
 * @param key its name in addresses
 * @param doing what its pieces do: strike, or take
 * @param way what it is
 * @param batches batches done so
 * @param pieces pieces stuck in them
 * @param ready of which became ready
 * @param running of which may yet
 * @param strike mean rate with its evidence
 * @param time days to ready
 * @param guideRate what the guide said
 * @param guideReady what the guide said of days to ready
 */
public record WayLine(
        String key,
        String doing,
        Way way,
        int batches,
        long pieces,
        long ready,
        long running,
        StrikeRate strike,
        RootingTime time,
        double guideRate,
        Window guideReady) {

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
