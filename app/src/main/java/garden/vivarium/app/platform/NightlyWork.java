package garden.vivarium.app.platform;

/** Work that a nursery wants done once in a day, whether anybody is there or not. */
public interface NightlyWork {

    /** Its name, the same always: by it is kept when it was done. At most 60 letters. */
    String nightly();

    /** Does it for the current nursery. */
    void tonight();
}
