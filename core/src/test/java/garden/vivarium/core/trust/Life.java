package garden.vivarium.core.trust;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.RandomDataGenerator;

/** The life of one simulated batch: what is true of every piece, and what looks at irregular days see of it. */
final class Life {

    /** How failures that show themselves are spread over time. */
    enum Shows {
        AS_READY,
        EARLY,
        LATE
    }

    /**
     * What is true.
     *
     * @param guide the guide's window
     * @param rate mean rate of the way
     * @param rho spread of the rate between batches
     * @param slower the way's x
     * @param tau spread of x between batches
     * @param shown share of failures that ever look lost
     * @param shows when those do
     */
    record TrueBatch(Window guide, double rate, double rho, double slower, double tau, double shown, Shows shows) {

        TrueBatch withRate(double other) {
            return new TrueBatch(guide, other, rho, slower, tau, shown, shows);
        }

        TrueBatch slowerBy(double more) {
            return new TrueBatch(guide, rate, rho, slower + more, tau, shown, shows);
        }

        TrueBatch shown(double share, Shows when) {
            return new TrueBatch(guide, rate, rho, slower, tau, share, when);
        }

        double within() {
            double sigma = guide.sigma();
            return Math.sqrt(Math.max(sigma * sigma - 0.04, sigma * sigma / 4));
        }
    }

    private final double[] ready;
    private final double[] firstSign;
    private final double[] lost;
    private final RandomDataGenerator random;

    private Life(double[] ready, double[] firstSign, double[] lost, RandomDataGenerator random) {
        this.ready = ready;
        this.firstSign = firstSign;
        this.lost = lost;
        this.random = random;
    }

    static double rate(TrueBatch truth, RandomDataGenerator random) {
        if (truth.rho() == 0) {
            return truth.rate();
        }
        double strength = (1 - truth.rho()) / truth.rho();
        return random.nextBeta(truth.rate() * strength, (1 - truth.rate()) * strength);
    }

    static Life of(TrueBatch truth, int pieces, RandomDataGenerator random) {
        double p = rate(truth, random);
        double x = truth.slower() + (truth.tau() == 0 ? 0 : random.nextNormal(0, truth.tau()));
        double[] ready = new double[pieces];
        double[] first = new double[pieces];
        double[] lost = new double[pieces];
        for (int i = 0; i < pieces; i++) {
            double time = Math.exp(truth.guide().mu() + x + random.nextNormal(0, truth.within()));
            boolean strikes = random.nextUniform(0, 1) < p;
            ready[i] = strikes ? time : Double.POSITIVE_INFINITY;
            first[i] = strikes ? time * random.nextUniform(0.45, 0.7) : Double.POSITIVE_INFINITY;
            boolean shows = !strikes && random.nextUniform(0, 1) < truth.shown();
            lost[i] = !shows
                    ? Double.POSITIVE_INFINITY
                    : switch (truth.shows()) {
                        case AS_READY -> time;
                        case EARLY -> time * random.nextUniform(0.2, 0.6);
                        case LATE -> time * random.nextUniform(1.2, 2);
                    };
        }
        return new Life(ready, first, lost, random);
    }

    int pieces() {
        return ready.length;
    }

    int readyBy(double day) {
        int n = 0;
        for (double r : ready) {
            n += r <= day ? 1 : 0;
        }
        return n;
    }

    int ever() {
        return readyBy(Double.MAX_VALUE);
    }

    /** Days of looks, irregular, some a week apart, up to a day on which there is one. */
    List<Integer> days(int until) {
        List<Integer> days = new ArrayList<>();
        int day = random.nextInt(6, 11);
        while (day < until - 3) {
            days.add(day);
            day += random.nextInt(5, 9);
        }
        days.add(until);
        return days;
    }

    /** What whole looks on these days tell of ready. */
    Tallies looked(List<Integer> days) {
        return looked(ready, days, 1, false);
    }

    /** What looks tell that see each piece with a chance, the last of them from above if so. */
    Tallies looked(List<Integer> days, double seen, boolean lastFromAbove) {
        return looked(ready, days, seen, lastFromAbove);
    }

    /** What whole looks on these days tell of first signs. */
    Tallies firstSigns(List<Integer> days) {
        return looked(firstSign, days, 1, false);
    }

    private Tallies looked(double[] reached, List<Integer> days, double seen, boolean lastFromAbove) {
        List<Interval> intervals = new ArrayList<>();
        for (int i = 0; i < reached.length; i++) {
            int after = 0;
            int alive = 0;
            Interval found = null;
            for (int d = 0; d < days.size() && found == null; d++) {
                int day = days.get(d);
                boolean above = lastFromAbove && d == days.size() - 1;
                if (!above && seen < 1 && random.nextUniform(0, 1) >= seen) {
                    continue;
                }
                if (lost[i] <= day && lost[i] < reached[i]) {
                    found = Interval.lost(alive, day);
                } else if (!above && reached[i] <= day) {
                    found = Interval.reached(after, day);
                } else {
                    alive = day;
                    after = above ? after : day;
                }
            }
            intervals.add(found == null ? Interval.pending(after, alive) : found);
        }
        return Tallies.of(intervals);
    }

    /** A life told to its end: what had not come by then was given up. */
    Tallies finished(int until) {
        return looked(days(until)).closed();
    }
}
