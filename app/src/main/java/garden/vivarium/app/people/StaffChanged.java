package garden.vivarium.app.people;

/**
 * An owner changed who may do what, or somebody their own password.
 *
 * @param what was changed
 * @param about whom or what
 */
public record StaffChanged(What what, String about) {

    /** What was changed. */
    public enum What {
        ADDED,
        MAY_OTHERWISE,
        LEFT,
        PASSWORD
    }
}
