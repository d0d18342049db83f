package garden.vivarium.core.watch;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The light of a place beside what stands there wants. Light is a share of full sun. A place is judged bright by the brightest hour of a day,
 * since every place is dark at night and dull in the morning.
 */
public final class LightWatch {

    private LightWatch() {}

    /** An hour's mean light, 0 to 1 of full sun, on a day. */
    public record Lit(LocalDate day, double light) {}

    /**
     * What hours come to.
     *
     * @param bright hours above what is wanted
     * @param dull days of which no hour came up to it
     * @param days that were measured
     */
    public record Tally(int bright, int dull, int days) {

        /** Nothing was measured, or nothing is wanted. */
        public static final Tally NONE = new Tally(0, 0, 0);

        /** Whether it was both too dull and too bright. */
        public boolean isBoth() {
            return dull > 0 && bright > 0;
        }

        /** Whether somebody should say so: a third of the days too dull, or two hours and more a day too bright. */
        public boolean isWrong() {
            return days > 0 && (3 * dull > days || bright > 2 * days);
        }
    }

    /** How many hours were too bright, and days too dull. */
    public static Tally tally(List<Lit> hours, PlaceFit.Range wanted) {
        Map<LocalDate, Double> brightest = new TreeMap<>();
        hours.forEach(h -> brightest.merge(h.day(), h.light(), Math::max));
        return new Tally(
                (int) hours.stream().filter(h -> h.light() > wanted.to()).count(),
                (int) brightest.values().stream()
                        .filter(most -> most < wanted.from())
                        .count(),
                brightest.size());
    }

    /** The mean over days of their brightest hour; 0 where none was measured. */
    public static double noon(List<Lit> hours) {
        Map<LocalDate, Double> brightest = new TreeMap<>();
        hours.forEach(h -> brightest.merge(h.day(), h.light(), Math::max));
        return brightest.values().stream().mapToDouble(b -> b).average().orElse(0);
    }

    /** Which word of light a share of full sun at the brightest hour comes nearest to. */
    public static PlaceFit.Light said(double share) {
        return List.of(PlaceFit.Light.values()).stream()
                .filter(l -> share <= l.share().to())
                .min(Comparator.naturalOrder())
                .orElse(PlaceFit.Light.SUN);
    }
}
