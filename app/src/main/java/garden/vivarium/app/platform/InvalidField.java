package garden.vivarium.app.platform;

/** Something typed that cannot be: which field, what is wrong and what would do. Pages show it beside the field. */
public class InvalidField extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * A problem.
     *
     * @param field the form's field
     * @param message what is wrong, and the remedy
     */
    public InvalidField(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The form's field. */
    public String field() {
        return field;
    }

    /** Whether it is this field that is wrong. */
    public boolean isAt(String of) {
        return field.equals(of);
    }
}
