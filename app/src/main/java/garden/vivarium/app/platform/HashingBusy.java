package garden.vivarium.app.platform;

/** So many passwords are looked at in this moment that one more would make everybody wait: try again in a moment. */
public class HashingBusy extends RuntimeException {

    private static final long serialVersionUID = 1L;

    HashingBusy() {
        super(Messages.text("HashingBusy.moment"));
    }
}
