package garden.vivarium.core.looks;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;

/** A look that cannot be true beside what is already known: which field is wrong, and which rule it breaks with what figures. */
public final class ImpossibleLook extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final Field field;
    private final transient Statement fault;

    /** What of a look is wrong. */
    public enum Field {
        DAY,
        LOOK,
        PIECE,
        FIRST_SIGN,
        READY,
        LOST,
        SENT;

        /** The count of pieces in a state; of those with nothing yet there is none. */
        static Field of(PieceState state) {
            return switch (state) {
                case NONE -> PIECE;
                case FIRST_SIGN -> FIRST_SIGN;
                case READY -> READY;
                case LOST -> LOST;
                case SENT -> SENT;
            };
        }
    }

    /** The rules that a look can break. A {@code piece} is its number, 0 where the look is by count. */
    public enum Fault implements Rule {
        /** The look is dated before the day stuck. */
        BEFORE_DAY_STUCK,
        /** {@code piece} is not in this batch of {@code pieces}. */
        NO_SUCH_PIECE,
        /** {@code piece} was {@code state} on {@code day}, which is an end. */
        ENDED,
        /** {@code piece} was {@code state} on {@code day} and cannot go back to {@code next}. */
        CANNOT_GO_BACK,
        /** A look of {@code kind} cannot tell of {@code state}. */
        CANNOT_TELL,
        /** Nothing can be {@code state} on the day stuck. */
        NOT_ON_DAY_0,
        /** A piece lost on the day stuck was never stuck. */
        LOST_ON_DAY_0,
        /** {@code ready}, {@code lost} and {@code sent} are more than the {@code stuck}. */
        MORE_THAN_STUCK,
        /** First sign counts the {@code ready} too. */
        SIGN_BELOW_READY,
        /** {@code sign} with first sign are more than the {@code able}. */
        SIGN_BEYOND_ABLE,
        /** A count, {@code field}, is below 0. */
        BELOW_0,
        /** A count, {@code field}, falls from {@code before} to {@code now}. */
        FALLS,
        /** {@code more} pieces {@code state}, but only {@code left} can be. */
        TOO_MANY
    }

    ImpossibleLook(Field field, Statement fault) {
        super("%s: %s".formatted(fault.rule().key(), fault.figures()));
        this.field = field;
        this.fault = fault;
    }

    /** The field it concerns. */
    public Field field() {
        return field;
    }

    /** The rule that is broken, one of {@link Fault}, with its figures. */
    public Statement fault() {
        return fault;
    }
}
