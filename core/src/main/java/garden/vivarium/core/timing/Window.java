package garden.vivarium.core.timing;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The days within which most pieces reach a milestone: the tenth and ninetieth percentile, counted from the day stuck.
 *
 * @param d10 day by which one in ten is there, above 0
 * @param d90 day by which nine in ten are there, above {@code d10}
 */
public record Window(double d10, double d90) {

    private static final NormalDistribution NORMAL = new NormalDistribution();

    /** The distance between the tenth and the ninetieth percentile of a standard normal variable. */
    public static final double NORMAL_SPAN = 2.563103131089201;

    public Window {
        if (!(d10 > 0) || !(d90 > d10) || Double.isInfinite(d90)) {
            throw new IllegalArgumentException("a window needs 0 < d10 < d90, not %s to %s".formatted(d10, d90));
        }
    }

    /** Mean of ln(days) of the log-normal time with these percentiles: (ln d10 + ln d90)/2. */
    public double mu() {
        return (Math.log(d10) + Math.log(d90)) / 2;
    }

    /** Standard deviation of ln(days): (ln d90 − ln d10)/2.563103. */
    public double sigma() {
        return (Math.log(d90) - Math.log(d10)) / NORMAL_SPAN;
    }

    /** Share of pieces by a day, 0 to 1: log-normal, with the tenth and the ninetieth part at its ends. */
    public double by(double day) {
        return day <= 0 ? 0 : NORMAL.cumulativeProbability((Math.log(day) - mu()) / sigma());
    }

    /** The same window with every time multiplied by the factor (above 0), as out of season. */
    public Window slowedBy(double factor) {
        return new Window(d10 * factor, d90 * factor);
    }
}
