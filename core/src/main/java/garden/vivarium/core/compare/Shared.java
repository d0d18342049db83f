package garden.vivarium.core.compare;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Whether batches that share something go well or badly together: a week of sticking, a place, a stock plant, a person. Each batch stands beside the mean of its
 * plant, method and medium, in standard deviations of what batches of its size scatter by; the likeness is the mean product of two that share it. Told by
 * permuting batches within their way (2,000 times, seed kept; 5%).
 *
 * @param by what is shared
 * @param groups of two and more
 * @param batches in those
 * @param likeness mean product of two, about −1 to 1: the share of what batches scatter that they share
 * @param p as alike by chance
 * @param rows groups with what they came to, the most batches first
 */
public record Shared(By by, int groups, int batches, double likeness, double p, List<Row> rows) {

    private static final int PERMUTATIONS = 2000;
    private static final long SEED = 20_261_127;
    private static final double LEVEL = 0.05;
    private static final int FEWEST_BATCHES = 8;
    private static final int SHOWN = 12;

    /** What may be shared. */
    public enum By {
        WEEK,
        PLACE,
        STOCK_PLANT,
        PERSON;

        /** Whether it is what a factor asks. */
        boolean is(Factor factor) {
            return switch (this) {
                case WEEK -> false;
                case PLACE -> factor == Factor.PLACE;
                case STOCK_PLANT -> factor == Factor.STOCK_PLANT;
                case PERSON -> factor == Factor.PERSON;
            };
        }

        String of(FinishedBatch b) {
            return switch (this) {
                case WEEK -> String.valueOf(b.stuckOn().toEpochDay() / 7);
                case PLACE -> b.is(Factor.PLACE).orElse("");
                case STOCK_PLANT -> b.is(Factor.STOCK_PLANT).orElse("");
                case PERSON -> b.is(Factor.PERSON).orElse("");
            };
        }
    }

    /**
     * A group.
     *
     * @param name what is shared; of a week its first batch's day
     * @param above mean of their shares above the usual of their ways
     */
    public record Row(String name, int batches, double above) {}

    /** Whether they are alike beyond chance, after allowing for four things asked. */
    public boolean isTold() {
        return p < LEVEL / By.values().length;
    }

    /** Whether there is enough to say anything. */
    public boolean isEnough() {
        return batches >= FEWEST_BATCHES && groups >= 2;
    }

    private record Point(FinishedBatch batch, String way, double above, double deviation) {}

    /** All four. */
    public static List<Shared> of(List<FinishedBatch> all, double rho) {
        List<Point> points = points(all, rho);
        List<Shared> found = new ArrayList<>();
        for (By by : By.values()) {
            found.add(of(by, points));
        }
        return found;
    }

    /** Batches of ways done twice, beside the mean of their way. */
    private static List<Point> points(List<FinishedBatch> all, double rho) {
        Function<FinishedBatch, String> way =
                b -> b.plant() + ", " + b.method() + ", " + b.is(Factor.MEDIUM).orElse("");
        List<Point> points = new ArrayList<>();
        all.stream().collect(Collectors.groupingBy(way)).forEach((name, of) -> {
            double weights =
                    of.stream().mapToDouble(b -> b.count().effectivePieces(rho)).sum();
            double mean = of.stream()
                            .mapToDouble(b -> b.count().effectivePieces(rho)
                                    * b.count().kept()
                                    / b.count().of())
                            .sum()
                    / weights;
            double inside = Math.max(0.02, Math.min(0.98, mean));
            if (of.size() > 1) {
                for (FinishedBatch b : of) {
                    double above = b.count().kept() / b.count().of() - mean;
                    double w = b.count().effectivePieces(rho);
                    // The mean holds the batch itself: it strays by so much less.
                    double spread = Math.sqrt(inside * (1 - inside) / w * Math.max(0.05, 1 - w / weights));
                    points.add(new Point(b, name, above, above / spread));
                }
            }
        });
        points.sort(Comparator.comparing((Point p) -> p.batch().stuckOn())
                .thenComparing(p -> p.batch().code()));
        return points;
    }

    private static Shared of(By by, List<Point> all) {
        List<Point> points =
                all.stream().filter(p -> !by.of(p.batch()).isEmpty()).toList();
        int[] group = new int[points.size()];
        Map<String, Integer> numbers = new HashMap<>();
        for (int i = 0; i < group.length; i++) {
            group[i] = numbers.computeIfAbsent(by.of(points.get(i).batch()), k -> numbers.size());
        }
        double[] deviation = points.stream().mapToDouble(Point::deviation).toArray();
        Map<String, List<Point>> groups = points.stream().collect(Collectors.groupingBy(p -> by.of(p.batch())));
        groups.values().removeIf(g -> g.size() < 2);
        int batches = groups.values().stream().mapToInt(List::size).sum();
        double seen = likeness(deviation, group, numbers.size());
        List<Row> rows = groups.entrySet().stream()
                .map(e -> new Row(
                        by == By.WEEK ? e.getValue().get(0).batch().stuckOn().toString() : e.getKey(),
                        e.getValue().size(),
                        e.getValue().stream()
                                .mapToDouble(Point::above)
                                .average()
                                .orElseThrow()))
                .sorted(Comparator.comparingInt(Row::batches).reversed().thenComparing(Row::name))
                .limit(SHOWN)
                .toList();
        return new Shared(by, groups.size(), batches, seen, p(points, deviation, group, numbers.size(), seen), rows);
    }

    /** Mean product of two of a group: (square of the sum less the sum of squares) over all pairs. */
    private static double likeness(double[] deviation, int[] group, int groups) {
        double[] sum = new double[groups];
        double[] squares = new double[groups];
        int[] n = new int[groups];
        for (int i = 0; i < deviation.length; i++) {
            sum[group[i]] += deviation[i];
            squares[group[i]] += deviation[i] * deviation[i];
            n[group[i]]++;
        }
        double products = 0;
        double pairs = 0;
        for (int g = 0; g < groups; g++) {
            products += sum[g] * sum[g] - squares[g];
            pairs += (double) n[g] * (n[g] - 1);
        }
        return pairs == 0 ? 0 : products / pairs;
    }

    private static double p(List<Point> points, double[] deviation, int[] group, int groups, double seen) {
        Map<String, List<Integer>> ways = new TreeMap<>();
        for (int i = 0; i < points.size(); i++) {
            ways.computeIfAbsent(points.get(i).way(), w -> new ArrayList<>()).add(i);
        }
        Random random = new Random(SEED);
        int asMuch = 0;
        for (int t = 0; t < PERMUTATIONS; t++) {
            double[] moved = new double[deviation.length];
            for (List<Integer> way : ways.values()) {
                List<Integer> order = new ArrayList<>(way);
                Collections.shuffle(order, random);
                for (int i = 0; i < order.size(); i++) {
                    moved[way.get(i)] = deviation[order.get(i)];
                }
            }
            asMuch += likeness(moved, group, groups) >= seen - 1e-12 ? 1 : 0;
        }
        return (asMuch + 1.0) / (PERMUTATIONS + 1);
    }
}
