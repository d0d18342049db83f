package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Several things at once that may have made the difference: one logistic model of all batches, in which each thing asked about is reckoned with the
 * others held still, plants and methods always among them. Batches weigh as the pieces they are worth, and what they scatter beyond that widens the
 * intervals; effects are drawn towards none (normal prior, standard deviation 1 in log-odds), so that few batches say little. What the batches cannot
 * carry is refused with the reason.
 *
 * @param batches how many it rests on
 * @param effects of each value that was tried, beside the commonest of its kind
 * @param refused what of the question could not be answered
 * @param scatter how much more batches scatter than their likeness within a batch accounts for, 1 and more
 */
public record Together(int batches, List<Effect> effects, List<Statement> refused, double scatter) {

    /** Whether anything can be said. */
    public boolean isAnswered() {
        return !effects.isEmpty();
    }

    /** Batches that are left over once all columns are taken off; round figures of this project's own. */
    private static final int LEFT_OVER = 10;

    /** So many of those kept, and of those lost, in effective pieces, for each effect. */
    private static final int EVENTS = 5;

    /** A value that was tried in fewer batches is left among the others. */
    private static final int FEWEST = 3;

    /** Of what varies in one thing so much is told by the others: then they cannot be told apart. */
    private static final double TOLD_BY_OTHERS = 0.9;

    private static final int NAMED = 4;
    private static final double TAIL = 0.05;
    private static final double GRAIN = 1e-6;
    private static final double WIDE = 1.0 / 4;
    private static final double FLAT = 1e-4;
    private static final int DRAWS = 4000;
    private static final long SEED = 20_261_127;

    /**
     * An effect.
     *
     * @param value which
     * @param beside the commonest value of the factor, with which it is compared
     * @param batches how many were so
     * @param more by how much more of the pieces made it, the rest as it was; −1 to 1
     * @param low nine times in ten above this
     * @param high and below this
     * @param chance that it is more than none
     * @param isTold whether it is told from none, all effects that were asked for allowed for (Bonferroni)
     */
    public record Effect(
            Factor factor,
            String value,
            String beside,
            int batches,
            double more,
            double low,
            double high,
            double chance,
            boolean isTold) {

        /** The same from the side that gives more, in pieces of a hundred. */
        public Better better() {
            return more > 0
                    ? new Better(value, beside, 100 * more, 100 * low, 100 * high)
                    : new Better(beside, value, -100 * more, -100 * high, -100 * low);
        }
    }

    /** An effect told upwards: of a hundred pieces so many more, and nine times in ten between which. */
    public record Better(String value, String beside, double more, double low, double high) {}

    /** Why something is not answered. */
    public enum Refusal implements Rule {
        /** Of a {@code factor} only one value was tried in three batches. */
        ONE_VALUE,
        /** A {@code value} of a {@code factor} cannot be told from the {@code other} one: they went together. */
        WENT_TOGETHER,
        /** Some {@code values} of a {@code factor} were done with one plant or method alone. */
        ONE_PLANT_ONLY,
        /** There are too few {@code batches} for so many {@code effects}: it would take {@code needed}. */
        TOO_FEW,
        /** Too few pieces were {@code kept}, or {@code lost}, for so many {@code effects}. */
        TOO_EVEN
    }

    /** A column of the model: which factor, which value. */
    private record Column(Factor factor, String value, String beside) {

        double of(FinishedBatch b) {
            return b.is(factor).filter(v -> v.equals(value)).isPresent() ? 1 : 0;
        }
    }

    /**
     * Reckons.
     *
     * @param all finished batches that are asked about
     * @param asked things that may have made the difference
     * @param rho how alike pieces of one batch are, 0 to 1
     */
    public static Together of(List<FinishedBatch> all, Collection<Factor> asked, double rho) {
        List<Factor> factors = asked.stream().distinct().sorted().toList();
        // A batch of which one of them is not known cannot be held still in it.
        List<FinishedBatch> batches = all.stream()
                .filter(b -> factors.stream().allMatch(f -> b.is(f).isPresent()))
                .toList();
        List<Statement> refused = new ArrayList<>();
        List<Column> effects = new ArrayList<>();
        for (Factor factor : factors) {
            List<Column> of = columns(factor, batches);
            if (of.isEmpty()) {
                refused.add(Statement.of(Refusal.ONE_VALUE, "factor", factor));
            }
            effects.addAll(of);
        }
        List<Column> nuisance = new ArrayList<>();
        for (Factor factor : List.of(Factor.PLANT, Factor.METHOD)) {
            if (!factors.contains(factor)) {
                nuisance.addAll(columns(factor, batches));
            }
        }
        if (effects.size() + nuisance.size() < batches.size()) {
            apart(effects, nuisance, batches, rho, refused);
        }
        Optional<Statement> tooLittle = tooLittle(batches, effects, nuisance, rho);
        tooLittle.ifPresent(refused::add);
        if (effects.isEmpty() || tooLittle.isPresent()) {
            return new Together(batches.size(), List.of(), refused, 1);
        }
        return fitted(batches, effects, nuisance, refused, rho);
    }

    private static Together fitted(
            List<FinishedBatch> batches,
            List<Column> effects,
            List<Column> nuisance,
            List<Statement> refused,
            double rho) {
        List<Column> columns = new ArrayList<>(effects);
        columns.addAll(nuisance);
        double[] precision = new double[columns.size() + 1];
        Arrays.fill(precision, WIDE);
        Arrays.fill(precision, 1, effects.size() + 1, 1);
        precision[0] = FLAT;
        List<LogisticFit.Row> rows = batches.stream()
                .map(b -> {
                    double of = b.effectivePieces(rho);
                    return new LogisticFit.Row(
                            row(b, columns), of * b.count().kept() / b.count().of(), of);
                })
                .toList();
        LogisticFit fit = LogisticFit.of(rows, precision);
        double[][] draws = draws(fit);
        List<Effect> found = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            found.add(effect(effects, i, batches, rows, fit, draws));
        }
        found.sort(Comparator.comparing(Effect::factor)
                .thenComparing(Comparator.comparingDouble(Effect::more).reversed()));
        return new Together(batches.size(), found, refused, fit.scatter());
    }

    private static double[] row(FinishedBatch b, List<Column> columns) {
        double[] x = new double[columns.size() + 1];
        x[0] = 1;
        for (int i = 0; i < columns.size(); i++) {
            x[i + 1] = columns.get(i).of(b);
        }
        return x;
    }

    /** Values tried often enough, but for the commonest, which they stand beside. */
    private static List<Column> columns(Factor factor, List<FinishedBatch> batches) {
        Map<String, Long> tried = batches.stream()
                .flatMap(b -> b.is(factor).stream())
                .collect(Collectors.groupingBy(v -> v, LinkedHashMap::new, Collectors.counting()));
        List<String> often = tried.entrySet().stream()
                .filter(e -> e.getValue() >= FEWEST)
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
        return often.size() < 2
                ? List.of()
                : often.stream()
                        .skip(1)
                        .map(v -> new Column(factor, v, often.get(0)))
                        .toList();
    }

    /** Takes out, one by one, the effect that the other columns tell best, while they tell it nearly whole. */
    private static void apart(
            List<Column> effects,
            List<Column> nuisance,
            List<FinishedBatch> batches,
            double rho,
            List<Statement> refused) {
        Map<Factor, List<String>> alone = new EnumMap<>(Factor.class);
        while (!effects.isEmpty()) {
            List<Column> all = new ArrayList<>(effects);
            all.addAll(nuisance);
            int worst = -1;
            double most = TOLD_BY_OTHERS;
            double[] told = toldByOthers(all, batches, rho);
            for (int i = 0; i < effects.size(); i++) {
                if (told[i] > most) {
                    most = told[i];
                    worst = i;
                }
            }
            if (worst < 0) {
                break;
            }
            Column gone = effects.get(worst);
            int at = worst;
            Column like = IntStream.range(0, all.size())
                    .filter(j -> j != at)
                    .boxed()
                    .max(Comparator.comparingDouble(j -> Math.abs(alike(gone, all.get(j), batches))))
                    .map(all::get)
                    .orElse(gone);
            if (nuisance.contains(like)) {
                // The plant's own column carries it: the others of its factor can still be told.
                alone.computeIfAbsent(gone.factor(), f -> new ArrayList<>()).add(gone.value());
                effects.remove(gone);
                continue;
            }
            refused.add(Statement.of(
                    Refusal.WENT_TOGETHER,
                    "factor",
                    gone.factor(),
                    "value",
                    gone.value(),
                    "otherFactor",
                    like.factor(),
                    "other",
                    alike(gone, like, batches) > 0 ? like.value() : like.beside()));
            // Neither is said: the one that stayed would be said with the part of both.
            effects.removeIf(c -> c.factor() == gone.factor() || c.factor() == like.factor());
        }
        alone.forEach((factor, values) -> refused.add(Statement.of(
                Refusal.ONE_PLANT_ONLY,
                "factor",
                factor,
                "values",
                String.join(", ", values.subList(0, Math.min(NAMED, values.size()))),
                "more",
                Math.max(0, values.size() - NAMED))));
    }

    /**
     * Of each column the share of what varies in it that all others tell (R², weighted): 1 − 1 ÷ the diagonal of the inverse correlation matrix. A grain on
     * the diagonal keeps what is told whole from having no inverse.
     */
    private static double[] toldByOthers(List<Column> all, List<FinishedBatch> batches, double rho) {
        int p = all.size();
        double[] mean = new double[p];
        double[][] both = new double[p][p];
        double weights = 0;
        for (FinishedBatch b : batches) {
            double w = b.effectivePieces(rho);
            double[] row = row(b, all);
            weights += w;
            for (int i = 0; i < p; i++) {
                if (row[i + 1] != 0) {
                    mean[i] += w;
                    for (int j = 0; j <= i; j++) {
                        both[i][j] += w * row[j + 1];
                    }
                }
            }
        }
        RealMatrix correlation = new Array2DRowRealMatrix(p, p);
        for (int i = 0; i < p; i++) {
            for (int j = 0; j <= i; j++) {
                double mi = mean[i] / weights;
                double mj = mean[j] / weights;
                double spread = Math.sqrt(mi * (1 - mi) * mj * (1 - mj));
                double r = i == j ? 1 + GRAIN : spread <= 0 ? 0 : (both[i][j] / weights - mi * mj) / spread;
                correlation.setEntry(i, j, r);
                correlation.setEntry(j, i, r);
            }
        }
        RealMatrix inverse = new CholeskyDecomposition(correlation).getSolver().getInverse();
        double[] told = new double[p];
        for (int i = 0; i < p; i++) {
            told[i] = 1 - 1 / inverse.getEntry(i, i);
        }
        return told;
    }

    /** Correlation of two columns over batches. */
    private static double alike(Column a, Column b, List<FinishedBatch> batches) {
        double n = batches.size();
        double meanA = batches.stream().mapToDouble(a::of).sum() / n;
        double meanB = batches.stream().mapToDouble(b::of).sum() / n;
        double both = batches.stream().mapToDouble(x -> a.of(x) * b.of(x)).sum() / n;
        double spread = Math.sqrt(meanA * (1 - meanA) * meanB * (1 - meanB));
        return spread == 0 ? 0 : (both - meanA * meanB) / spread;
    }

    private static Optional<Statement> tooLittle(
            List<FinishedBatch> batches, List<Column> effects, List<Column> nuisance, double rho) {
        if (effects.isEmpty()) {
            return Optional.empty();
        }
        int needed = effects.size() + nuisance.size() + 1 + LEFT_OVER;
        if (batches.size() < needed) {
            return Optional.of(Statement.of(
                    Refusal.TOO_FEW, "batches", batches.size(), "effects", effects.size(), "needed", needed));
        }
        double kept = batches.stream()
                .mapToDouble(b ->
                        b.effectivePieces(rho) * b.count().kept() / b.count().of())
                .sum();
        double lost = batches.stream().mapToDouble(b -> b.effectivePieces(rho)).sum() - kept;
        return Math.min(kept, lost) < EVENTS * effects.size()
                ? Optional.of(Statement.of(
                        Refusal.TOO_EVEN,
                        "effects",
                        effects.size(),
                        "kept",
                        batches.stream().mapToDouble(b -> b.count().kept()).sum(),
                        "of",
                        batches.stream().mapToDouble(b -> b.count().of()).sum()))
                : Optional.empty();
    }

    /** Coefficients as they may be: multivariate t round those fitted. */
    static double[][] draws(LogisticFit fit) {
        RandomDataGenerator random = new RandomDataGenerator(SEED);
        RealMatrix root = new CholeskyDecomposition(fit.covariance(), 1e-6, 1e-14).getL();
        int p = fit.coefficients().length;
        double[][] draws = new double[DRAWS][];
        for (int d = 0; d < DRAWS; d++) {
            double[] z = new double[p];
            for (int i = 0; i < p; i++) {
                z[i] = random.nextNormal(0, 1);
            }
            double wide = Math.sqrt(fit.df() / random.nextGamma(fit.df() / 2, 2));
            double[] move = root.operate(z);
            draws[d] = fit.coefficients().clone();
            for (int i = 0; i < p; i++) {
                draws[d][i] += wide * move[i];
            }
        }
        return draws;
    }

    private static Effect effect(
            List<Column> effects,
            int i,
            List<FinishedBatch> batches,
            List<LogisticFit.Row> rows,
            LogisticFit fit,
            double[][] draws) {
        Column column = effects.get(i);
        // What batches would be with the factor as its commonest value: as many sorts as differ in the rest.
        Map<List<Double>, Double> rest = new LinkedHashMap<>();
        for (LogisticFit.Row row : rows) {
            double[] x = row.x().clone();
            for (int j = 0; j < effects.size(); j++) {
                if (effects.get(j).factor() == column.factor()) {
                    x[j + 1] = 0;
                }
            }
            rest.merge(Arrays.stream(x).boxed().toList(), row.of(), Double::sum);
        }
        double[] drawn = new double[draws.length];
        double more = 0;
        double weights = 0;
        for (Map.Entry<List<Double>, Double> sort : rest.entrySet()) {
            double[] x = sort.getKey().stream().mapToDouble(v -> v).toArray();
            double[] y = x.clone();
            y[i + 1] = 1;
            more += sort.getValue() * (fit.rate(y) - fit.rate(x));
            weights += sort.getValue();
            for (int d = 0; d < draws.length; d++) {
                drawn[d] += sort.getValue() * (LogisticFit.rate(y, draws[d]) - LogisticFit.rate(x, draws[d]));
            }
        }
        Arrays.sort(drawn);
        double chance = Arrays.stream(drawn).filter(d -> d > 0).count() / (double) draws.length;
        return new Effect(
                column.factor(),
                column.value(),
                column.beside(),
                (int) batches.stream().filter(b -> column.of(b) == 1).count(),
                more / weights,
                drawn[draws.length / 20] / weights,
                drawn[draws.length - 1 - draws.length / 20] / weights,
                chance,
                Math.max(chance, 1 - chance) >= 1 - TAIL / effects.size());
    }
}
