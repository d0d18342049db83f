package garden.vivarium.app.door;

import java.time.Duration;
import org.springframework.security.authentication.LockedException;

/** Nobody gets in by this name or from there before so long has passed, right or not. */
class TooManyTries extends LockedException {

    private static final long serialVersionUID = 1L;

    private final Duration wait;

    TooManyTries(Duration wait) {
        super("too many tries");
        this.wait = wait;
    }

    Duration waits() {
        return wait;
    }
}
