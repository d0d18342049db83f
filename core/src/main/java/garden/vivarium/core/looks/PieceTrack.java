package garden.vivarium.core.looks;

import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import java.util.Optional;

/** One piece on its way through the looks of its batch. */
final class PieceTrack {

    private final int piece;
    private final Found firstSign = new Found();
    private final Found ready = new Found();
    private final Found end = new Found();
    private PieceState state = PieceState.NONE;
    private int since;
    private int lookedOn;
    private boolean byCount;
    private boolean givenUp;
    private Optional<Firmness> firmness = Optional.empty();

    PieceTrack(int piece) {
        this.piece = piece;
    }

    /** Takes note of a look that found the piece alive, with what it could and could not know. */
    void alive(int day, LookKind kind, MilestoneSigns signs, boolean firstSignCounted) {
        lookedOn = Math.max(lookedOn, day);
        end.notYet(day);
        if (firstSignCounted && signs.knowsFirstSign(kind) && !firstSign.isFound()) {
            firstSign.notYet(day);
        }
        if (signs.knowsReady(kind) && !ready.isFound()) {
            ready.notYet(day);
        }
    }

    /** Moves the piece forward. A state already reached changes nothing. */
    void reach(PieceState next, int day, boolean counted) {
        lookedOn = Math.max(lookedOn, day);
        if (next.compareTo(state) <= 0) {
            return;
        }
        switch (next) {
            case FIRST_SIGN -> firstSign.found(day);
            case READY -> {
                firstSign.found(day);
                ready.found(day);
            }
            case LOST, SENT -> end.found(day);
            case NONE -> throw new IllegalStateException("nothing is no step forward");
        }
        state = next;
        since = day;
        byCount = counted;
    }

    /** Its loss, if it was lost, was no loss in sight: it was written off. */
    void giveUp() {
        givenUp = state == PieceState.LOST;
    }

    void feels(Firmness how) {
        firmness = Optional.of(how);
    }

    PieceState state() {
        return state;
    }

    int since() {
        return since;
    }

    boolean isJudged() {
        return ready.isFound() || state.isEnd();
    }

    boolean hasFirstSign() {
        return firstSign.isFound();
    }

    boolean wasReady() {
        return ready.isFound();
    }

    /** Day by which first sign was seen, for the order in which counts move pieces; never for those without. */
    int firstSignBy() {
        return firstSign.isFound() ? firstSign.by : Interval.NEVER;
    }

    int lastNotReady() {
        return ready.after;
    }

    int number() {
        return piece;
    }

    Interval interval(Milestone milestone) {
        Found found = milestone == Milestone.FIRST_SIGN ? firstSign : ready;
        if (found.isFound()) {
            return Interval.reached(found.after, found.by);
        }
        return switch (state) {
            case LOST ->
                givenUp
                        ? Interval.givenUp(found.after, Math.max(found.after, end.by))
                        : Interval.lost(end.after, end.by);
            case SENT -> Interval.sent(found.after, Math.max(found.after, end.after));
            default -> Interval.pending(found.after, Math.max(found.after, end.after));
        };
    }

    PieceView view() {
        return new PieceView(piece, state, since, lookedOn, ready.after, wasReady(), byCount, firmness);
    }

    /** The bracket round one event: the last day strictly before it that found it absent, and the first that found it. */
    private static final class Found {
        private int after;
        private int afterBefore;
        private int by = Interval.NEVER;

        boolean isFound() {
            return by != Interval.NEVER;
        }

        void notYet(int day) {
            if (!isFound() && day > after) {
                afterBefore = after;
                after = day;
            }
        }

        void found(int day) {
            if (!isFound()) {
                by = day;
                // Two looks on one day may disagree; whole days cannot tell them apart, so the day before counts.
                if (after >= day) {
                    after = afterBefore;
                }
            }
        }
    }
}
