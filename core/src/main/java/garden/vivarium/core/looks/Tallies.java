package garden.vivarium.core.looks;

import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

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

    /** The days on which anything was known: all finite ends above 0, in order. */
    public List<Integer> daysKnown() {
        return counts.keySet().stream()
                .flatMap(i -> Stream.of(i.after(), i.outcome() == Outcome.PENDING ? 0 : i.by()))
                .filter(d -> d > 0)
                .distinct()
                .sorted()
                .toList();
    }

    /**
     * What was known by a day.
     *
     * @param reached pieces known to have reached the milestone by then
     * @param known pieces of which it was known whether they had: reached, lost, or found without it on that day or later
     */
    public record KnownBy(int reached, int known) {}

    /** What was known by the day, which is one of {@link #daysKnown}. */
    public KnownBy knownBy(int day) {
        int reached = 0;
        int known = 0;
        for (Map.Entry<Interval, Long> e : counts.entrySet()) {
            boolean by = e.getKey().by() <= day;
            reached +=
                    by && e.getKey().outcome() == Outcome.REACHED ? e.getValue().intValue() : 0;
            known += by || e.getKey().after() >= day ? e.getValue().intValue() : 0;
        }
        return new KnownBy(reached, known);
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
