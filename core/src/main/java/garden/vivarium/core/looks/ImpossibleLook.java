package garden.vivarium.core.looks;

/** A look that cannot be true beside what is already known: what is wrong with which field, and what would do. */
public final class ImpossibleLook extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final Field field;
    private final String fault;
    private final String remedy;

    /** What of a look is wrong. */
    public enum Field {
        DAY("Day"),
        LOOK("Look"),
        PIECE("Piece"),
        FIRST_SIGN("First sign"),
        READY("Ready"),
        LOST("Lost"),
        SENT("Sent");

        private final String words;

        Field(String words) {
            this.words = words;
        }

        /** Its name at the beginning of a sentence. */
        public String words() {
            return words;
        }

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

    /**
     * A refusal.
     *
     * @param field the field it concerns
     * @param fault what is wrong, without a full stop
     * @param remedy what would do, a sentence that goes on from the fault
     */
    public ImpossibleLook(Field field, String fault, String remedy) {
        super("%s; %s".formatted(fault, remedy));
        this.field = field;
        this.fault = fault;
        this.remedy = remedy;
    }

    /** The field it concerns. */
    public Field field() {
        return field;
    }

    /** What is wrong, without a full stop. */
    public String fault() {
        return fault;
    }

    /** What would do, as a sentence that goes on from the fault. */
    public String remedy() {
        return remedy;
    }
}
