package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * How many pieces were to be expected at a milestone when each was last looked at: given the batch's rate p ~ Beta(a, b) and its
 * x ~ N(M, V + τ²), piece i is there by its own last look cᵢ with pF(cᵢ | x), and the number is Poisson-binomial. Pieces that were
 * lost or given up are judged by the batch's last look: by then they might have been there. A piece that was there is seldom
 * looked at again; it is judged as late as those that wait are on average.
 */
public final class ReadyTail {

    private static final int SPEEDS_EACH_SIDE = 20;
    private static final double REACH = 5.5;
    private static final int MOST_RATES = 64;
    private static final double NEGLIGIBLE = 1e-11;

    private final double[] chances;

    private ReadyTail(double[] chances) {
        this.chances = chances;
    }

    /**
     * What was to be expected of the pieces of which anything is known.
     *
     * @param rate of the batch, as expected
     * @param time of the batch, as expected
     * @param known tallies of the milestone, as known by a look
     */
    public static ReadyTail of(NextBatch rate, RootingTime time, Tallies known) {
        int last = known.lastDay();
        int usual = usualLook(known);
        SortedMap<Integer, Integer> looked = new TreeMap<>();
        known.counts().forEach((i, n) -> {
            int day = switch (i.outcome()) {
                case REACHED -> Math.max(i.by(), usual);
                case LOST, GIVEN_UP -> last;
                case PENDING, SENT -> i.after();
            };
            if (day > 0) {
                looked.merge(day, n.intValue(), Integer::sum);
            }
        });
        int pieces = looked.values().stream().mapToInt(Integer::intValue).sum();
        RateNodes rates = RateNodes.gaussJacobi(rate.a(), rate.b(), Math.min(MOST_RATES, pieces / 2 + 2));
        double deviation = time.ofNextBatch();
        int side = deviation == 0 ? 0 : SPEEDS_EACH_SIDE;
        int[] groups = looked.values().stream().mapToInt(Integer::intValue).toArray();
        int[] days = looked.keySet().stream().mapToInt(Integer::intValue).toArray();
        CountMixture mixture = new CountMixture(groups, CountMixture.FINE);
        double[] there = new double[days.length];
        double[] chance = new double[days.length];
        double all = 0;
        for (int j = -side; j <= side; j++) {
            double z = side == 0 ? 0 : REACH * j / side;
            double weight = Math.exp(-z * z / 2);
            all += weight;
            for (int g = 0; g < days.length; g++) {
                there[g] = time.by(days[g], z * deviation);
            }
            for (int i = 0; i < rates.size(); i++) {
                double here = weight * rates.weight(i);
                if (here >= NEGLIGIBLE) {
                    for (int g = 0; g < days.length; g++) {
                        chance[g] = rates.rate(i) * there[g];
                    }
                    mixture.add(here, chance);
                }
            }
        }
        double[] sum = mixture.distribution();
        for (int k = 0; k < sum.length; k++) {
            sum[k] /= all;
        }
        return new ReadyTail(sum);
    }

    /** The day on which those that wait were last looked at, on average; the batch's last look where none waits. */
    private static int usualLook(Tallies known) {
        double days = 0;
        long pieces = 0;
        for (var e : known.with(Outcome.PENDING).entrySet()) {
            if (e.getKey().after() > 0) {
                days += (double) e.getKey().after() * e.getValue();
                pieces += e.getValue();
            }
        }
        return pieces == 0 ? known.lastDay() : (int) Math.round(days / pieces);
    }

    /** Pieces of which something was known. */
    public int pieces() {
        return chances.length - 1;
    }

    /** P(K ≤ k). */
    public double atMost(int k) {
        double sum = 0;
        for (int i = 0; i <= Math.min(k, chances.length - 1); i++) {
            sum += chances[i];
        }
        return Math.min(1, sum);
    }

    /** How many were to be expected. */
    public double mean() {
        double sum = 0;
        for (int k = 1; k < chances.length; k++) {
            sum += k * chances[k];
        }
        return sum;
    }
}
