package garden.vivarium.app.exchange;

/** A file that is not read at all: what it is, or how much of it there is, and what would do. */
class FileRefused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    FileRefused(String message) {
        super(message);
    }
}
