package garden.vivarium.core.looks;

/**
 * A look that cannot be true beside what is already known. The message says what is wrong and what would do.
 */
public final class Refusal extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * A refusal.
     *
     * @param field the field it concerns: day, look, first_sign, ready, lost, sent or piece
     * @param message what is wrong, and the remedy
     */
    public Refusal(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The field it concerns: day, look, first_sign, ready, lost, sent or piece. */
    public String field() {
        return field;
    }
}
