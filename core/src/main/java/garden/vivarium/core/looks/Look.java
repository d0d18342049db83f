package garden.vivarium.core.looks;

import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Sign;
import java.util.List;
import java.util.OptionalInt;

/** A dated look at a batch: by piece or by count, freely mixed over a batch's life. */
public sealed interface Look {

    /** Days since the day stuck; below 0 is refused by the history. */
    int day();

    /** Whether this look, or a part of it, could have known of a milestone told by the sign. */
    boolean knows(Sign sign);

    /**
     * A look at single pieces. Pieces without a reading were not looked at and give nothing that day.
     *
     * @param day days since the day stuck
     * @param readings one a piece
     */
    record ByPiece(int day, List<Reading> readings) implements Look {
        public ByPiece {
            readings = List.copyOf(readings);
        }

        @Override
        public boolean knows(Sign sign) {
            return readings.stream().anyMatch(r -> r.kind().canKnow(sign));
        }
    }

    /**
     * A look at the whole batch, by counts so far. Counts are cumulative and cannot fall.
     *
     * @param day days since the day stuck
     * @param kind how the batch was looked at
     * @param firstSign pieces that have reached first sign or beyond, if that was counted
     * @param ready pieces ready or beyond
     * @param lost pieces lost before they were ready
     * @param sent pieces that left unjudged
     * @param gaveUp whether those newly lost were given up as stalled, without having looked lost
     * @param lostReady pieces lost after they were ready, if that was counted; they stay among the ready
     */
    record ByCount(
            int day,
            LookKind kind,
            OptionalInt firstSign,
            int ready,
            int lost,
            int sent,
            boolean gaveUp,
            OptionalInt lostReady)
            implements Look {

        /** Counts in which nobody counted losses of ready pieces. */
        public ByCount(int day, LookKind kind, OptionalInt firstSign, int ready, int lost, int sent, boolean gaveUp) {
            this(day, kind, firstSign, ready, lost, sent, gaveUp, OptionalInt.empty());
        }

        /** Counts of which nothing was given up. */
        public ByCount(int day, LookKind kind, OptionalInt firstSign, int ready, int lost, int sent) {
            this(day, kind, firstSign, ready, lost, sent, false);
        }

        @Override
        public boolean knows(Sign sign) {
            return kind.canKnow(sign);
        }
    }
}
