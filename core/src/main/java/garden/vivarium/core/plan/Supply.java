package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.Binomial;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.guide.OutputRatio;
import java.util.Arrays;
import java.util.List;

/**
 * How many young plants there will be: the chances of 0, 1, 2 and so on. Supplies of different ways are
 * independent, and add up by convolution; batches of one way share what is not known of it, and are put together by {@link
 * Prospect}. Means are never multiplied or added where a chance is asked for.
 */
public final class Supply {

    private static final double NEGLIGIBLE = 1e-12;
    private static final double ROUNDING = 1e-9;
    private static final Supply NONE = new Supply(new double[] {1});

    private final double[] chances;

    private Supply(double[] chances) {
        int last = chances.length - 1;
        while (last > 0 && chances[last] < NEGLIGIBLE) {
            last--;
        }
        this.chances = Arrays.copyOf(chances, last + 1);
    }

    /** Nothing at all. */
    public static Supply none() {
        return NONE;
    }

    /** So many for certain. */
    public static Supply exactly(int number) {
        double[] chances = new double[number + 1];
        chances[number] = 1;
        return new Supply(chances);
    }

    /** Of so many pieces each is there with the chance, 0 to 1, independent of the others. */
    public static Supply binomial(int pieces, double chance) {
        return new Supply(Binomial.chances(pieces, chance));
    }

    /** From the chances of 0, 1, 2, …, which sum to one. */
    public static Supply ofChances(double[] chances) {
        return new Supply(chances);
    }

    /**
     * Any of these, each with its weight.
     *
     * @param weights summing to one
     * @param supplies of the same number
     */
    static Supply anyOf(double[] weights, List<Supply> supplies) {
        double[] sum = new double[supplies.stream().mapToInt(Supply::most).max().orElse(0) + 1];
        for (int i = 0; i < weights.length; i++) {
            double[] chances = supplies.get(i).chances;
            for (int n = 0; n < chances.length; n++) {
                sum[n] += weights[i] * chances[n];
            }
        }
        return new Supply(sum);
    }

    /**
     * What so many pieces give.
     *
     * @param ready the chance model of one piece
     * @param pieces pieces taken, 0 and up
     * @param output young plants of a ready piece
     * @param perPot rooted pieces to a young plant's pot, 1 and up
     */
    public static Supply of(ReadyChance ready, int pieces, OutputRatio output, int perPot) {
        return new Supply(ready.distribution(pieces)).yielding(output).potted(perPot);
    }

    /** Each gives as many as the output ratio says: compounded, by Horner's rule on distributions. */
    public Supply yielding(OutputRatio output) {
        if (output.isOne()) {
            return this;
        }
        double[] sum = {chances[chances.length - 1]};
        for (int k = chances.length - 2; k >= 0; k--) {
            double[] next = new double[sum.length + output.chances().size()];
            for (int y = 0; y < sum.length; y++) {
                for (int more = 1; more <= output.chances().size(); more++) {
                    next[y + more] += sum[y] * output.chances().get(more - 1);
                }
            }
            next[0] += chances[k];
            sum = next;
        }
        return new Supply(sum);
    }

    /** So many together make one. */
    public Supply potted(int perPot) {
        if (perPot == 1) {
            return this;
        }
        double[] pots = new double[(chances.length - 1) / perPot + 1];
        for (int n = 0; n < chances.length; n++) {
            pots[n / perPot] += chances[n];
        }
        return new Supply(pots);
    }

    /** Each makes so many, 0 and up, rounded down in all. */
    public Supply times(double each) {
        double[] made = new double[(int) Math.floor((chances.length - 1) * each + ROUNDING) + 1];
        for (int n = 0; n < chances.length; n++) {
            made[(int) Math.floor(n * each + ROUNDING)] += chances[n];
        }
        return new Supply(made);
    }

    /** Each stays alive with a rate common to all of them: beta-binomial for each number. */
    public Supply surviving(NextBatch rate) {
        double[] left = new double[chances.length];
        double[] ofA = logRisings(rate.a());
        double[] ofB = logRisings(rate.b());
        double[] ofBoth = logRisings(rate.a() + rate.b());
        for (int n = 0; n < chances.length; n++) {
            if (chances[n] > 0) {
                int middle = (int) Math.min(n, Math.round(n * rate.mean()));
                double peak = chances[n]
                        * Math.exp(Binomial.logChoose(n, middle) + ofA[middle] + ofB[n - middle] - ofBoth[n]);
                addSurvivors(left, n, middle, peak, rate);
            }
        }
        return new Supply(left);
    }

    /** ln Π (x + i) over i below m, for every m up to what there is. */
    private double[] logRisings(double x) {
        double[] logs = new double[chances.length];
        for (int m = 1; m < logs.length; m++) {
            logs[m] = logs[m - 1] + Math.log(x + m - 1);
        }
        return logs;
    }

    /** From the likeliest number outwards, each chance from its neighbour's. */
    private static void addSurvivors(double[] left, int n, int middle, double peak, NextBatch rate) {
        double a = rate.a();
        double b = rate.b();
        left[middle] += peak;
        double at = peak;
        for (int s = middle; s < n; s++) {
            at *= (n - s) * (a + s) / ((s + 1.0) * (b + n - s - 1));
            left[s + 1] += at;
        }
        at = peak;
        for (int s = middle; s > 0; s--) {
            at *= s * (b + n - s) / ((n - s + 1.0) * (a + s - 1));
            left[s - 1] += at;
        }
    }

    /** This and another, independent of it. */
    public Supply and(Supply other) {
        double[] sum = new double[chances.length + other.chances.length - 1];
        for (int i = 0; i < chances.length; i++) {
            for (int j = 0; j < other.chances.length; j++) {
                sum[i + j] += chances[i] * other.chances[j];
            }
        }
        return new Supply(sum);
    }

    /** What is left after so many have gone to others first; never below none. */
    public Supply beyond(int gone) {
        if (gone <= 0) {
            return this;
        }
        double[] rest = new double[Math.max(1, chances.length - gone)];
        for (int n = 0; n < chances.length; n++) {
            rest[Math.max(0, n - gone)] += chances[n];
        }
        return new Supply(rest);
    }

    /** Of it, so many at most. */
    public Supply atMost(int most) {
        if (most >= chances.length - 1) {
            return this;
        }
        double[] held = new double[most + 1];
        for (int n = 0; n < chances.length; n++) {
            held[Math.min(most, n)] += chances[n];
        }
        return new Supply(held);
    }

    /** The chance of so many or more. */
    public double atLeast(int number) {
        if (number <= 0) {
            return 1;
        }
        double sum = 0;
        for (int n = chances.length - 1; n >= number; n--) {
            sum += chances[n];
        }
        return Math.min(1, sum);
    }

    /** The chance of so many or more of this and another, independent of it. */
    double atLeast(int number, Supply other) {
        double sum = atLeast(number);
        int from = Math.min(most(), number - 1);
        double tail = from < 0 ? 1 : other.atLeast(number - from);
        for (int n = from; n >= 0; n--) {
            sum += chances[n] * tail;
            tail = Math.max(0, tail - other.exactChance(number - n));
        }
        return Math.max(0, Math.min(1, sum));
    }

    /** The chance of exactly so many. */
    public double exactChance(int number) {
        return number < 0 || number >= chances.length ? 0 : chances[number];
    }

    /** The largest number that comes, or is passed, with this chance or a greater one. */
    public int surely(double chance) {
        double sum = 0;
        for (int n = chances.length - 1; n > 0; n--) {
            sum += chances[n];
            if (sum >= chance) {
                return n;
            }
        }
        return 0;
    }

    /** What comes on average. */
    public double mean() {
        double sum = 0;
        for (int n = 1; n < chances.length; n++) {
            sum += n * chances[n];
        }
        return sum;
    }

    /** The largest number that can come at all. */
    public int most() {
        return chances.length - 1;
    }
}
