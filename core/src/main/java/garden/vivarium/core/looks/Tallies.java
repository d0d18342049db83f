package garden.vivarium.core.looks;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
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
    private final long[] totals = new long[Outcome.values().length];
    private final int lastDay;
    private final int lastLook;
    private volatile Map<Outcome, SortedMap<Interval, Long>> parts = Map.of();
    private int hash;

    private Tallies(SortedMap<Interval, Long> counts) {
        this.counts = Collections.unmodifiableSortedMap(counts);
        int known = 0;
        int seen = 0;
        for (Map.Entry<Interval, Long> e : counts.entrySet()) {
            Interval i = e.getKey();
            totals[i.outcome().ordinal()] += e.getValue();
            known = Math.max(known, i.outcome().isOpen() ? i.after() : i.by());
            seen = Math.max(seen, i.lastSeen());
        }
        this.lastDay = known;
        this.lastLook = seen;
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
        return Arrays.stream(totals).sum();
    }

    /** Pieces with the outcome. */
    public long total(Outcome outcome) {
        return totals[outcome.ordinal()];
    }

    public boolean isEmpty() {
        return counts.isEmpty();
    }

    /** The last day on which anything was known of the milestone: the latest finite end of any interval, 0 when there is none. */
    public int lastDay() {
        return lastDay;
    }

    /** The last day on which any look, from above too, saw any of the pieces; 0 when there is none. */
    public int lastLook() {
        return lastLook;
    }

    /** The same, where nothing more is asked of the batch: what was pending is given up. */
    public Tallies closed() {
        if (total(Outcome.PENDING) == 0) {
            return this;
        }
        SortedMap<Interval, Long> over = new TreeMap<>();
        counts.forEach((i, n) ->
                over.merge(i.outcome() == Outcome.PENDING ? Interval.givenUp(i.after(), i.alive()) : i, n, Long::sum));
        return new Tallies(over);
    }

    /** The same where day 0 is only known within so many days before or after, 0 and up. */
    public Tallies unsureBy(int days) {
        if (days == 0) {
            return this;
        }
        SortedMap<Interval, Long> unsure = new TreeMap<>();
        counts.forEach((i, n) -> unsure.merge(i.unsureBy(days), n, Long::sum));
        return new Tallies(unsure);
    }

    /** Pieces of each interval that has the outcome. */
    public SortedMap<Interval, Long> with(Outcome outcome) {
        Map<Outcome, SortedMap<Interval, Long>> known = parts;
        SortedMap<Interval, Long> part = known.get(outcome);
        if (part == null) {
            SortedMap<Interval, Long> found = new TreeMap<>(counts);
            found.keySet().removeIf(i -> i.outcome() != outcome);
            part = Collections.unmodifiableSortedMap(found);
            // Another thread may do the same at once: what it finds is the same.
            Map<Outcome, SortedMap<Interval, Long>> more = new EnumMap<>(Outcome.class);
            more.putAll(known);
            more.put(outcome, part);
            parts = more;
        }
        return part;
    }

    /** The days on which anything was known: all finite ends above 0, in order. */
    public List<Integer> daysKnown() {
        return counts.keySet().stream()
                .flatMap(i -> Stream.of(i.after(), i.outcome().isOpen() ? 0 : i.by()))
                .filter(d -> d > 0)
                .distinct()
                .sorted()
                .toList();
    }

    @Override
    public boolean equals(Object other) {
        return this == other || (other instanceof Tallies t && hashCode() == t.hashCode() && counts.equals(t.counts));
    }

    @Override
    public int hashCode() {
        // Batches are looked up by what they are, over and over.
        if (hash == 0) {
            hash = counts.hashCode();
        }
        return hash;
    }

    @Override
    public String toString() {
        return counts.toString();
    }
}
