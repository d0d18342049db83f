package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Whether a nursery is getting better, after allowing for what was grown: each finished batch beside the mean of all batches of its plant, method and
 * medium here, so that a year of easy plants is no better year. The slope over years is a weighted line through what is left (weights: effective
 * pieces), with t intervals by the scatter of batches round it.
 *
 * @param quarters what each came to, the first first
 * @param slope by how much the share changes in a year, allowing for what was grown; empty with fewer than twelve batches or less than a year of them
 */
public record OverTime(List<Quarter> quarters, Optional<Slope> slope) {

    private static final int ENOUGH = 12;
    private static final int DAYS = 365;

    /**
     * A quarter.
     *
     * @param from its first day
     * @param batches stuck in it that have others of their way beside them
     * @param pieces judged of those
     * @param share of these that became ready, as counted
     * @param above by how much more than is usual here for what was grown
     */
    public record Quarter(LocalDate from, int batches, double pieces, double share, double above) {}

    /** Change of the share in a year: in the mean, and nine times in ten between. */
    public record Slope(double aYear, double low, double high) {

        /** What is said of it. */
        public Trend trend() {
            return low > 0 ? Trend.BETTER : high < 0 ? Trend.WORSE : Trend.SAME;
        }
    }

    /** What is said. */
    public enum Trend implements Rule {
        BETTER,
        WORSE,
        /** Neither can be told. */
        SAME
    }

    private record Point(FinishedBatch batch, double years, double above, double weight) {}

    /** Looks over all finished batches. */
    public static OverTime of(List<FinishedBatch> all, double rho) {
        Map<List<String>, List<FinishedBatch>> ways = all.stream()
                .collect(Collectors.groupingBy(
                        b -> List.of(b.plant(), b.method(), b.is(Factor.MEDIUM).orElse(""))));
        List<Point> points = new ArrayList<>();
        for (List<FinishedBatch> way : ways.values()) {
            double pieces =
                    way.stream().mapToDouble(b -> b.effectivePieces(rho)).sum();
            double mean = way.stream()
                            .mapToDouble(b -> b.effectivePieces(rho)
                                    * b.count().kept()
                                    / b.count().of())
                            .sum()
                    / pieces;
            if (way.size() > 1) {
                way.forEach(b -> points.add(new Point(
                        b,
                        b.stuckOn().toEpochDay() / (double) DAYS,
                        b.count().kept() / b.count().of() - mean,
                        b.effectivePieces(rho))));
            }
        }
        return new OverTime(quarters(points), slope(points, (int)
                ways.values().stream().filter(w -> w.size() > 1).count()));
    }

    private static List<Quarter> quarters(List<Point> points) {
        Map<LocalDate, List<Point>> by = new TreeMap<>(points.stream()
                .collect(Collectors.groupingBy(p -> WhatToDo.quarter(p.batch().stuckOn()))));
        List<Quarter> quarters = new ArrayList<>();
        by.forEach((from, here) -> {
            double pieces =
                    here.stream().mapToDouble(p -> p.batch().count().of()).sum();
            double weights = here.stream().mapToDouble(Point::weight).sum();
            quarters.add(new Quarter(
                    from,
                    here.size(),
                    pieces,
                    here.stream().mapToDouble(p -> p.batch().count().kept()).sum() / pieces,
                    here.stream().mapToDouble(p -> p.weight() * p.above()).sum() / weights));
        });
        return quarters;
    }

    /** Years, too, are taken beside the mean of their way: a way that was only tried late says nothing of a trend. */
    private static Optional<Slope> slope(List<Point> points, int ways) {
        // Batches that share luck count as less than themselves here too.
        double df = points.stream().mapToDouble(p -> p.batch().counts()).sum() - ways - 1;
        double span = points.stream().mapToDouble(Point::years).max().orElse(0)
                - points.stream().mapToDouble(Point::years).min().orElse(0);
        if (points.size() < ENOUGH || df < 4 || span < 1) {
            return Optional.empty();
        }
        Map<List<String>, List<Point>> byWay = points.stream()
                .collect(Collectors.groupingBy(p -> List.of(
                        p.batch().plant(),
                        p.batch().method(),
                        p.batch().is(Factor.MEDIUM).orElse(""))));
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (List<Point> way : byWay.values()) {
            double weights = way.stream().mapToDouble(Point::weight).sum();
            double middle =
                    way.stream().mapToDouble(p -> p.weight() * p.years()).sum() / weights;
            for (Point p : way) {
                double x = p.years() - middle;
                xx += p.weight() * x * x;
                xy += p.weight() * x * p.above();
                yy += p.weight() * p.above() * p.above();
            }
        }
        if (xx < 1e-9) {
            return Optional.empty();
        }
        double slope = xy / xx;
        double left = Math.max(0, yy - slope * xy);
        double reach = new TDistribution(df).inverseCumulativeProbability(0.95) * Math.sqrt(left / df / xx);
        return Optional.of(new Slope(slope, slope - reach, slope + reach));
    }

    /** What is said of it. */
    public Optional<Statement> says() {
        return slope.map(s -> Statement.of(s.trend(), "year", s.aYear(), "low", s.low(), "high", s.high()));
    }
}
