package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The only intervals on which the maximum likelihood estimate for one cause can put mass: those {@code (L, R]} whose left
 * end is an {@code after} of one of its records or of a pending record, whose right end is a {@code by} of one of its
 * records, and that hold no other end of either kind (Turnbull 1976).
 */
final class TurnbullIntervals {

    private final int[] lefts;
    private final int[] rights;

    private TurnbullIntervals(int[] lefts, int[] rights) {
        this.lefts = lefts;
        this.rights = rights;
    }

    static TurnbullIntervals of(Iterable<Interval> records, Outcome cause) {
        // For each day: bit 1 a right end, bit 2 a left end. On one day the right end comes first, since (L, R] holds
        // R.
        Map<Integer, Integer> ends = new TreeMap<>();
        for (Interval i : records) {
            if (i.outcome() == cause || i.outcome().isOpen()) {
                ends.merge(i.after(), 2, (a, b) -> a | b);
            }
            if (i.outcome() == cause) {
                ends.merge(i.by(), 1, (a, b) -> a | b);
            }
        }
        List<int[]> found = new ArrayList<>();
        int open = -1;
        for (Map.Entry<Integer, Integer> end : ends.entrySet()) {
            if ((end.getValue() & 1) != 0 && open >= 0) {
                found.add(new int[] {open, end.getKey()});
                open = -1;
            }
            if ((end.getValue() & 2) != 0) {
                open = end.getKey();
            }
        }
        return new TurnbullIntervals(
                found.stream().mapToInt(f -> f[0]).toArray(),
                found.stream().mapToInt(f -> f[1]).toArray());
    }

    int size() {
        return lefts.length;
    }

    int left(int j) {
        return lefts[j];
    }

    int right(int j) {
        return rights[j];
    }

    /** The first interval whose left end is at or after the day. */
    int firstFrom(int day) {
        return lowerBound(lefts, day);
    }

    /** One past the last interval whose right end is at or before the day. */
    int endBy(int day) {
        return lowerBound(rights, day + 1);
    }

    private static int lowerBound(int[] sorted, int value) {
        int low = 0;
        int high = sorted.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (sorted[middle] < value) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
