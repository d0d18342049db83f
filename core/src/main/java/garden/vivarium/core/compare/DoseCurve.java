package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Quantity;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * How the share that makes it goes with a measure: strength of hormone, days dried, length, warmth. A logistic curve of the second degree, plants and
 * methods held still, over what was tried and no farther. The two degrees together must be told from none (F on 2 degrees of freedom, 5%).
 *
 * @param verdict what is said of it
 * @param batches that were measured so
 * @param values how many different ones were tried, after rounding
 * @param points of the curve with its band; none where it is refused
 * @param best where the curve is highest, within what was tried
 * @param change from the low to the high end of what was tried (tenth to tenth), and nine times in ten between
 */
public record DoseCurve(Verdict verdict, int batches, int values, List<Point> points, double best, Change change) {

    /** Different values, each in two batches, and batches: below them nothing is drawn. Round figures of this project's own. */
    private static final int FEWEST_VALUES = 4;

    private static final int FEWEST_BATCHES = 12;
    private static final int POINTS = 25;
    private static final double LEVEL = 0.05;
    private static final double LOOSE = 1 / (1.5 * 1.5);
    private static final double WIDE = 1.0 / 4;
    private static final double FLAT = 1e-4;

    /** The share at a value, nine times in ten between. */
    public record Point(double at, double share, double low, double high) {}

    /** From one value to another so much more. */
    public record Change(double from, double to, double more, double low, double high) {

        /** Nothing is said. */
        static final Change NONE = new Change(0, 0, 0, -1, 1);
    }

    /** What is said. */
    public enum Verdict implements Rule {
        /** The more, the better, over what was tried. */
        RISES,
        /** The more, the worse. */
        FALLS,
        /** Best between the ends of what was tried. */
        PEAK,
        /** Worst between them. */
        DIP,
        /** Not told from no difference; it {@code leans} where the change by itself would lie to one side nine times in ten. */
        NOTHING,
        /** Too few different values, or batches. */
        TOO_FEW;

        /** Whether there is nothing to reckon with. */
        public boolean isTooFew() {
            return this == TOO_FEW;
        }
    }

    /** Reckons over batches that were measured so; others are left out. */
    public static DoseCurve of(List<FinishedBatch> all, Measure measure, double rho) {
        List<FinishedBatch> batches =
                all.stream().filter(b -> b.measures().containsKey(measure)).toList();
        Map<Double, Long> tried = batches.stream()
                .collect(Collectors.groupingBy(
                        b -> rounded(measure, b.measures().get(measure)), TreeMap::new, Collectors.counting()));
        int values = (int) tried.values().stream().filter(n -> n > 1).count();
        if (values < FEWEST_VALUES || batches.size() < FEWEST_BATCHES) {
            return new DoseCurve(Verdict.TOO_FEW, batches.size(), values, List.of(), 0, Change.NONE);
        }
        return fitted(batches, measure, values, rho);
    }

    /** As near as such things are told apart on a bench. */
    private static double rounded(Measure measure, double value) {
        return switch (measure) {
            case HORMONE -> Math.round(value / 100) * 100.0;
            case DAYLIGHT -> Math.round(value * 2) / 2.0;
            case DRIED, LENGTH, WARMTH, LAMP -> Math.round(value);
        };
    }

    private static DoseCurve fitted(List<FinishedBatch> batches, Measure measure, int values, double rho) {
        double[] at = batches.stream()
                .mapToDouble(b -> b.measures().get(measure))
                .sorted()
                .toArray();
        double mean = Arrays.stream(at).average().orElseThrow();
        double spread = Math.sqrt(
                Arrays.stream(at).map(v -> (v - mean) * (v - mean)).average().orElseThrow());
        Scale scale = new Scale(mean, spread);
        List<List<String>> sorts =
                batches.stream().map(DoseCurve::sort).distinct().toList();
        int p = 2 + sorts.size();
        double[] precision = new double[p];
        Arrays.fill(precision, WIDE);
        precision[0] = LOOSE;
        precision[1] = LOOSE;
        precision[2] = FLAT;
        List<LogisticFit.Row> rows = new ArrayList<>();
        double[] weights = new double[sorts.size()];
        for (FinishedBatch b : batches) {
            int sort = sorts.indexOf(sort(b));
            double of = b.effectivePieces(rho);
            weights[sort] += of;
            rows.add(new LogisticFit.Row(
                    scale.row(b.measures().get(measure), sort, p),
                    of * b.count().kept() / b.count().of(),
                    of));
        }
        LogisticFit fit = LogisticFit.of(rows, precision);
        Drawn drawn = new Drawn(scale, weights, p, fit, Together.draws(fit));
        double low = at[0];
        double high = at[at.length - 1];
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < POINTS; i++) {
            points.add(drawn.point(low + (high - low) * i / (POINTS - 1)));
        }
        double best = points.stream()
                .max((x, y) -> Double.compare(x.share(), y.share()))
                .orElseThrow()
                .at();
        Change change = drawn.change(at[at.length / 10], at[at.length - 1 - at.length / 10]);
        return new DoseCurve(verdict(fit, points), batches.size(), values, points, best, change);
    }

    private static List<String> sort(FinishedBatch b) {
        return List.of(b.plant(), b.method());
    }

    private static Verdict verdict(LogisticFit fit, List<Point> points) {
        RealVector both = new ArrayRealVector(new double[] {fit.coefficients()[0], fit.coefficients()[1]}, false);
        double f = both.dotProduct(new CholeskyDecomposition(fit.covariance().getSubMatrix(0, 1, 0, 1), 1e-6, 1e-14)
                        .getSolver()
                        .solve(both))
                / 2;
        if (1 - new FDistribution(2, fit.df()).cumulativeProbability(f) > LEVEL) {
            return Verdict.NOTHING;
        }
        int best = 0;
        int worst = 0;
        for (int i = 1; i < points.size(); i++) {
            best = points.get(i).share() > points.get(best).share() ? i : best;
            worst = points.get(i).share() < points.get(worst).share() ? i : worst;
        }
        int last = points.size() - 1;
        // A turn in the last sixth is no turn that anybody could tell from a flattening.
        int near = last / 6;
        if (best > near && best < last - near) {
            return Verdict.PEAK;
        }
        if (worst > near && worst < last - near) {
            return Verdict.DIP;
        }
        return points.get(last).share() > points.get(0).share() ? Verdict.RISES : Verdict.FALLS;
    }

    private record Scale(double mean, double spread) {

        double[] row(double value, int sort, int p) {
            double z = (value - mean) / spread;
            double[] x = new double[p];
            x[0] = z;
            x[1] = z * z - 1;
            x[2] = 1;
            if (sort > 0) {
                x[2 + sort] = 1;
            }
            return x;
        }
    }

    private record Drawn(Scale scale, double[] weights, int p, LogisticFit fit, double[][] draws) {

        private double share(double value, double[] b) {
            double sum = 0;
            double all = 0;
            for (int sort = 0; sort < weights.length; sort++) {
                sum += weights[sort] * LogisticFit.rate(scale.row(value, sort, p), b);
                all += weights[sort];
            }
            return sum / all;
        }

        Point point(double value) {
            double[] of = Arrays.stream(draws)
                    .mapToDouble(b -> share(value, b))
                    .sorted()
                    .toArray();
            return new Point(
                    value, share(value, fit.coefficients()), of[of.length / 20], of[of.length - 1 - of.length / 20]);
        }

        Change change(double from, double to) {
            double[] of = Arrays.stream(draws)
                    .mapToDouble(b -> share(to, b) - share(from, b))
                    .sorted()
                    .toArray();
            return new Change(
                    from,
                    to,
                    share(to, fit.coefficients()) - share(from, fit.coefficients()),
                    of[of.length / 20],
                    of[of.length - 1 - of.length / 20]);
        }
    }

    /** The answer with its figures. */
    public Statement says(Measure measure) {
        return Statement.of(
                verdict,
                "measure",
                measure,
                "batches",
                batches,
                "values",
                values,
                "best",
                measure.quantity(best),
                "tried",
                new Quantity.Between(measure.quantity(change.from()), measure.quantity(change.to())),
                "more",
                change.more(),
                "low",
                change.low(),
                "high",
                change.high(),
                "fewer",
                -change.more(),
                "atLeast",
                -change.high(),
                "atMost",
                -change.low(),
                "leans",
                change.low() > 0 || change.high() < 0);
    }
}
