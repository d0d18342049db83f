package garden.vivarium.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Two arms compared within strata, as plants, that both of them have: Mantel and Haenszel's odds ratio and test (J. Natl. Cancer Inst. 22 (1959)
 * 719), the difference of rates with Sato's variance (Biometrics 45 (1989) 1323), and for trays whose pieces were drawn by lot the exact
 * test on counts as they are (Gart, Biometrika 57 (1970) 471).
 */
public final class Strata {

    private final List<Table> tables;

    /**
     * One stratum.
     *
     * @param name what it is
     * @param keptA of the first arm, kept; may be a fraction where counts are effective ones
     * @param lostA of the first arm, not kept
     * @param keptB of the second arm
     * @param lostB of the second arm
     */
    public record Table(String name, double keptA, double lostA, double keptB, double lostB) {

        /** Of the first arm, 0 to 1. */
        public double shareA() {
            return keptA / a();
        }

        /** Of the second arm, 0 to 1. */
        public double shareB() {
            return keptB / b();
        }

        double a() {
            return keptA + lostA;
        }

        double b() {
            return keptB + lostB;
        }

        double all() {
            return a() + b();
        }

        /** The first arm's rate less the second's. */
        public double difference() {
            return keptA / a() - keptB / b();
        }

        /** How much of the common difference it carries: n_A n_B / N. */
        public double weight() {
            return a() * b() / all();
        }
    }

    private Strata(List<Table> tables) {
        this.tables = List.copyOf(tables);
    }

    /** Those strata that have pieces of both arms. */
    public static Strata of(List<Table> tables) {
        return new Strata(tables.stream().filter(t -> t.a() > 0 && t.b() > 0).toList());
    }

    /** The strata that have both. */
    public List<Table> tables() {
        return tables;
    }

    /** Whether no stratum has both arms. */
    public boolean isEmpty() {
        return tables.isEmpty();
    }

    /** Mantel and Haenszel's common odds ratio; infinite or not a number where a margin is empty. */
    public double oddsRatio() {
        double up = tables.stream()
                .mapToDouble(t -> t.keptA() * t.lostB() / t.all())
                .sum();
        double down = tables.stream()
                .mapToDouble(t -> t.lostA() * t.keptB() / t.all())
                .sum();
        return up / down;
    }

    /** Their test statistic on one degree of freedom, uncorrected; 0 where nothing varies. */
    public double statistic() {
        double excess = excess();
        double variance = variance();
        return variance == 0 ? 0 : excess * excess / variance;
    }

    private double excess() {
        return tables.stream()
                .mapToDouble(t -> t.keptA() - t.a() * (t.keptA() + t.keptB()) / t.all())
                .sum();
    }

    private double variance() {
        return tables.stream()
                .filter(t -> t.all() > 1)
                .mapToDouble(t -> t.a()
                        * t.b()
                        * (t.keptA() + t.keptB())
                        * (t.lostA() + t.lostB())
                        / (t.all() * t.all() * (t.all() - 1)))
                .sum();
    }

    /** The chance of so large a statistic by chance. */
    public double p() {
        return 1 - new ChiSquaredDistribution(1).cumulativeProbability(statistic());
    }

    /**
     * The difference within strata.
     *
     * @param df degrees of freedom that few batches leave, 1 and up
     */
    public Difference difference(int df) {
        double weights = tables.stream().mapToDouble(Table::weight).sum();
        double mean =
                tables.stream().mapToDouble(t -> t.weight() * t.difference()).sum() / weights;
        double p = 0;
        double q = 0;
        for (Table t : tables) {
            double n = t.all();
            p += (t.a() * t.a() * t.keptB() - t.b() * t.b() * t.keptA() + t.a() * t.b() * (t.b() - t.a()) / 2)
                    / (n * n);
            q += (t.keptA() * t.lostB() + t.keptB() * t.lostA()) / (2 * n);
        }
        double deviation = Math.sqrt(Math.max(0, mean * p + q)) / weights;
        // A stratum in which all or none were kept has no variance of its own; it is never surer than one piece more or
        // less would make it.
        deviation = Math.max(deviation, 0.5 / weights);
        double z = Math.signum(excess()) * Math.sqrt(statistic());
        double plain = new NormalDistribution().cumulativeProbability(z);
        double reach = new TDistribution(df).inverseCumulativeProbability(0.95) * deviation;
        return new Difference(
                Difference.withFewBatches(plain, df),
                plain,
                mean,
                Math.max(-1, mean - reach),
                Math.min(1, mean + reach));
    }

    /**
     * What an exact test says.
     *
     * @param p the chance of a split as unlikely as this or more so, if the arms were alike
     * @param chance one less half of the tail on the first arm's side (mid-p): how sure it is that the first is better
     */
    public record Exact(double p, double chance) {}

    /**
     * The exact test with all margins of each stratum held: for pieces drawn by lot within trays.
     *
     * @throws IllegalArgumentException if a count is no whole number
     */
    public Exact exact() {
        double[] all = {1};
        int seen = 0;
        for (Table t : tables) {
            for (double c : new double[] {t.keptA(), t.lostA(), t.keptB(), t.lostB()}) {
                if (c != Math.rint(c)) {
                    throw new IllegalArgumentException("an exact test takes whole pieces, not " + c);
                }
            }
            int a = (int) t.a();
            int kept = (int) (t.keptA() + t.keptB());
            all = convolved(all, hypergeometric((int) t.all(), a, kept));
            seen += (int) t.keptA() - Math.max(0, kept + a - (int) t.all());
        }
        double here = all[seen];
        double asUnlikely = 0;
        double above = 0;
        for (int i = 0; i < all.length; i++) {
            asUnlikely += all[i] <= here * (1 + 1e-9) ? all[i] : 0;
            above += i > seen ? all[i] : 0;
        }
        return new Exact(Math.min(1, asUnlikely), 1 - above - here / 2);
    }

    /** The chances of the fewest possible kept in the first arm, one more, and so on. */
    private static double[] hypergeometric(int n, int a, int kept) {
        int from = Math.max(0, kept + a - n);
        int to = Math.min(a, kept);
        double[] chances = new double[to - from + 1];
        for (int k = from; k <= to; k++) {
            chances[k - from] = Math.exp(logChoose(a, k) + logChoose(n - a, kept - k) - logChoose(n, kept));
        }
        return chances;
    }

    private static double logChoose(int n, int k) {
        return garden.vivarium.core.evidence.Binomial.logChoose(n, k);
    }

    private static double[] convolved(double[] one, double[] other) {
        double[] sum = new double[one.length + other.length - 1];
        for (int i = 0; i < one.length; i++) {
            for (int j = 0; j < other.length; j++) {
                sum[i + j] += one[i] * other[j];
            }
        }
        return sum;
    }

    /** Tables of effective counts by stratum, from arms by stratum. */
    static Strata effective(Map<String, Arm> first, Map<String, Arm> second) {
        List<Table> tables = new ArrayList<>();
        first.forEach((name, a) -> {
            Arm b = second.get(name);
            if (b != null) {
                tables.add(new Table(name, a.alpha() - 1, a.beta() - 1, b.alpha() - 1, b.beta() - 1));
            }
        });
        return of(tables);
    }
}
