package garden.vivarium.core.evidence;

import java.util.HashMap;
import java.util.Map;

/**
 * H(c): the share of failing pieces that have been seen lost by day c of a batch. How soon failures show themselves differs
 * from nursery to nursery and way to way: some rot in sight within days, others stand firm and bare for ever.
 */
public interface FailuresShown {

    /** How many equally likely values stand for what is not known of H. */
    int VALUES = 9;

    /**
     * What is known of the next batch's share by a day, as a Beta.
     *
     * @param day days since the day stuck, above 0
     */
    NextBatch by(double day);

    /**
     * The equally likely values of H by a day: the quantiles 1/18, 3/18 … 17/18. One place in the row stands for one batch
     * throughout, whatever the day.
     */
    default double[] values(double day) {
        double[] values = new double[VALUES];
        if (day <= 0) {
            return values;
        }
        NextBatch known = by(day);
        for (int i = 0; i < VALUES; i++) {
            values[i] = Math.max(LEAST, Math.min(1 - LEAST, known.quantile((2 * i + 1) / (2.0 * VALUES))));
        }
        return values;
    }

    /** No share is held to be quite 0 or 1: what was seen may be beyond what was thought. */
    double LEAST = 1e-9;

    /** The same, reckoning the values of a day once however often they are asked for; for one thread. */
    default FailuresShown remembered() {
        FailuresShown asked = this;
        Map<Double, double[]> known = new HashMap<>();
        return new FailuresShown() {
            @Override
            public NextBatch by(double day) {
                return asked.by(day);
            }

            @Override
            public double[] values(double day) {
                return known.computeIfAbsent(day, asked::values);
            }
        };
    }

    /** A share that is known, the same on every day; for judging what the uncertainty costs, and for tests. */
    static FailuresShown exactly(double share) {
        return new FailuresShown() {
            @Override
            public NextBatch by(double day) {
                throw new UnsupportedOperationException("a share that is known has no spread");
            }

            @Override
            public double[] values(double day) {
                return new double[] {share};
            }
        };
    }
}
