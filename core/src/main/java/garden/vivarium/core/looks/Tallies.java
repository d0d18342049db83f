package garden.vivarium.core.looks;

import java.util.Collection;
import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The intervals of many pieces for one milestone, grouped and counted. The order in which records came does not matter.
 */
public final class Tallies {

    private static final Tallies NONE = new Tallies(new TreeMap<>());

    private final SortedMap<Interval, Long> counts;

    private Tallies(SortedMap<Interval, Long> counts) {
        this.counts = Collections.unmodifiableSortedMap(counts);
    }

    /** No pieces. */
    public static Tallies none() {
        return NONE;
    }

    /** One piece an interval. */
    public static Tallies of(Collection<Interval> intervals) {
        SortedMap<Interval, Long> counts = new TreeMap<>();
        intervals.forEach(i -> counts.merge(i, 1L, Long::sum));
        return new Tallies(counts);
    }

    /**
     * Pieces already counted.
     *
     * @throws IllegalArgumentException if a count is below 0
     */
    public static Tallies of(Map<Interval, Long> counted) {
        SortedMap<Interval, Long> counts = new TreeMap<>();
        counted.forEach((interval, count) -> {
            if (count < 0) {
                throw new IllegalArgumentException("a tally cannot be below 0, as for " + interval);
            }
            if (count > 0) {
                counts.merge(interval, count, Long::sum);
            }
        });
        return new Tallies(counts);
    }

    /** All pieces of several tallies together. */
    public static Tallies pooled(Collection<Tallies> all) {
        SortedMap<Interval, Long> counts = new TreeMap<>();
        all.forEach(t -> t.counts.forEach((i, n) -> counts.merge(i, n, Long::sum)));
        return new Tallies(counts);
    }

    /** Each distinct interval with its count, in order. */
    public SortedMap<Interval, Long> counts() {
        return counts;
    }

    /** All pieces. */
    public long total() {
        return counts.values().stream().mapToLong(Long::longValue).sum();
    }

    /** Pieces with the outcome. */
    public long total(Outcome outcome) {
        return counts.entrySet().stream()
                .filter(e -> e.getKey().outcome() == outcome)
                .mapToLong(Map.Entry::getValue)
                .sum();
    }

    public boolean isEmpty() {
        return counts.isEmpty();
    }

    /** The last day on which anything was known: the latest finite end of any interval, 0 when there is none. */
    public int lastDay() {
        return counts.keySet().stream()
                .mapToInt(i -> i.outcome() == Outcome.PENDING ? i.after() : i.by())
                .max()
                .orElse(0);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Tallies t && counts.equals(t.counts);
    }

    @Override
    public int hashCode() {
        return counts.hashCode();
    }

    @Override
    public String toString() {
        return counts.toString();
    }
}
