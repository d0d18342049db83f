package garden.vivarium.app.people;

import java.util.UUID;

/**
 * An owner changed who may do what, or somebody their own part in it.
 *
 * @param what was changed
 * @param about whom or what
 * @param nursery in which; null for the one where whoever did it stands
 * @param by who did it; null for who is signed in
 */
public record StaffChanged(What what, String about, UUID nursery, String by) {

    /** By who is signed in, where they stand. */
    static StaffChanged here(What what, String about) {
        return new StaffChanged(what, about, null, null);
    }

    /** What was changed. */
    public enum What {
        INVITED,
        ADDED,
        MAY_OTHERWISE,
        LEFT,
        PASSWORD
    }
}
