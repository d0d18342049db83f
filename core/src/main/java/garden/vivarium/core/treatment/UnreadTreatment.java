package garden.vivarium.core.treatment;

/**
 * What is written of a hormone or a dose and cannot be read: it counts as nothing known, never as a dose of 0, until its owner says what
 * it is.
 *
 * @param written as written, without semicolons, in lower case
 */
public record UnreadTreatment(String written) implements Treatment {

    /** How its code begins. */
    public static final String NAME = "UNREAD";

    @Override
    public String code() {
        return NAME + " " + written;
    }
}
