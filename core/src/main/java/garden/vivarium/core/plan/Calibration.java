package garden.vivarium.core.plan;

import java.util.List;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * Whether what was foretold with a chance came as often as was said. What came of n is a share with a 90% interval, Beta(k + ½,
 * n − k + ½) (Jeffreys); what was said is off where its mean chance lies outside.
 *
 * @param said the chance asked for or quoted, 0 to 1
 * @param expected mean of the chances really foretold, which whole numbers of pieces make a little greater
 * @param came how many came; a fraction where it is known only with a chance whether one did
 * @param of how many were foretold, 1 and up
 * @param low lower end of the interval
 * @param high upper end
 */
public record Calibration(double said, double expected, double came, int of, double low, double high) {

    private static final double TAIL = 0.05;

    /**
     * Something foretold, and whether it came.
     *
     * @param chance with which it was foretold
     * @param came 1 where it came, 0 where it did not, and between where what was seen tells it only with a chance
     */
    public record Forecast(double chance, double came) {

        /** Something of which it is known whether it came. */
        public static Forecast of(double chance, boolean came) {
            return new Forecast(chance, came ? 1 : 0);
        }
    }

    /**
     * Judges forecasts.
     *
     * @param said the chance that they share, as asked
     * @param forecasts one or more
     */
    public static Calibration of(double said, List<Forecast> forecasts) {
        if (forecasts.isEmpty()) {
            throw new IllegalArgumentException("nothing was foretold");
        }
        double came = forecasts.stream().mapToDouble(Forecast::came).sum();
        int of = forecasts.size();
        BetaDistribution share = new BetaDistribution(came + 0.5, of - came + 0.5);
        return new Calibration(
                said,
                forecasts.stream().mapToDouble(Forecast::chance).average().orElseThrow(),
                came,
                of,
                came == 0 ? 0 : share.inverseCumulativeProbability(TAIL),
                came == of ? 1 : share.inverseCumulativeProbability(1 - TAIL));
    }

    /** The share that came. */
    public double share() {
        return came / of;
    }

    /** Whether more was said than came, beyond chance. */
    public boolean saidTooMuch() {
        return expected > high;
    }

    /** Whether less was said than came, beyond chance. */
    public boolean saidTooLittle() {
        return expected < low;
    }
}
