package garden.vivarium.app.copies;

/** A file cannot be read as a copy of a nursery; the message says why, and what would do. */
final class CopyRefused extends RuntimeException {

    private static final long serialVersionUID = 1;

    CopyRefused(String why) {
        super(why);
    }
}
