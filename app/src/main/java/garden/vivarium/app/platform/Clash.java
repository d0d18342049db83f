package garden.vivarium.app.platform;

/** Somebody else changed the thing since its writer last saw it: both sides are shown before either is kept. */
public class Clash extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String mark;
    private final long version;

    /**
     * A clash.
     *
     * @param mark the mark of the thing as it is now
     * @param version the version that it has now
     * @param stands how it stands now, in a sentence
     */
    public Clash(String mark, long version, String stands) {
        super(stands);
        this.mark = mark;
        this.version = version;
    }

    /** The version that the thing has now. */
    public long version() {
        return version;
    }

    /** The mark of the thing as it is now. */
    public String mark() {
        return mark;
    }
}
