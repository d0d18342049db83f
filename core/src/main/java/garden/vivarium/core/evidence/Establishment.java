package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How many young plants settle after the move, and how long they take: by way, or by the medium in which their roots grew. The rate is
 * a strike rate of moves instead of batches, see {@link StrikeRate}; the time is a curve with losses, see {@link RootingCurve}.
 *
 * @param rate of settling, borrowed from the guide
 * @param moves how many were judged
 * @param setUp young plants set up in them, without those that were sent away unjudged
 * @param settled of them
 * @param median days within which half of those that settle have; empty where none has
 */
public record Establishment(
        StrikeRate rate, int moves, long setUp, long settled, Optional<RootingCurve.Between> median) {

    /**
     * One move, judged.
     *
     * @param setUp young plants that were judged, above 0
     * @param settled of them, 0 and up
     * @param times when they settled or were lost, days counted from the move
     */
    public record Move(int setUp, int settled, Tallies times) {}

    /**
     * A look at the young plants of a move.
     *
     * @param day since the move, 0 and up
     * @param holding that hold or grow by then, in all
     * @param lost by then, in all
     */
    public record Seen(int day, int holding, int lost) {}

    /**
     * Together.
     *
     * @param guideRate what the guide says, 0 to 1, both excluded
     * @param moves may be empty: then the guide alone speaks
     * @param rho how much moves differ beyond chance, 0 to 1
     */
    public static Establishment of(double guideRate, List<Move> moves, double rho) {
        List<BatchCount> counts = moves.stream()
                .filter(m -> m.setUp() > 0)
                .map(m -> new BatchCount(m.settled(), m.setUp()))
                .toList();
        Tallies pooled = Tallies.pooled(moves.stream().map(Move::times).toList());
        return new Establishment(
                StrikeRate.of(guideRate, List.of(new Level(Closeness.OWN_BATCHES, counts)), rho),
                counts.size(),
                moves.stream().mapToLong(Move::setUp).sum(),
                moves.stream().mapToLong(Move::settled).sum(),
                pooled.isEmpty() ? Optional.empty() : RootingCurve.fit(pooled).median());
    }

    /**
     * When young plants settled or were lost, as far as looks say: between the look before and the one that found it. Of two looks on one
     * day the one that saw more stands. What neither holds nor is lost by the last look is pending.
     *
     * @param setUp young plants, 0 and up
     * @param looks in any order
     * @throws IllegalArgumentException if more hold or are lost than were set up
     */
    public static Tallies times(int setUp, Collection<Seen> looks) {
        TreeMap<Integer, Seen> byDay = new TreeMap<>();
        looks.forEach(l -> byDay.merge(
                l.day(),
                l,
                (a, b) -> new Seen(a.day(), Math.max(a.holding(), b.holding()), Math.max(a.lost(), b.lost()))));
        Map<Interval, Long> counts = new TreeMap<>();
        int before = 0;
        int holding = 0;
        int lost = 0;
        for (Seen look : byDay.values()) {
            int by = Math.max(look.day(), before + 1);
            int held = Math.max(holding, look.holding());
            int gone = Math.max(lost, look.lost());
            if (held + gone > setUp) {
                throw new IllegalArgumentException(
                        "%d hold and %d are lost, of %d that were set up".formatted(held, gone, setUp));
            }
            counts.merge(Interval.reached(before, by), (long) held - holding, Long::sum);
            counts.merge(Interval.lost(before, by), (long) gone - lost, Long::sum);
            holding = held;
            lost = gone;
            before = look.day();
        }
        counts.merge(Interval.pending(before), (long) setUp - holding - lost, Long::sum);
        return Tallies.of(counts);
    }
}
