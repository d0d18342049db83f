package garden.vivarium.app.platform;

import java.io.Serializable;
import java.security.Principal;
import java.time.Instant;
import java.util.UUID;

/**
 * Somebody whose password was right, and of whom the second factor is still asked: nobody yet, as far as pages go.
 *
 * @param personId who it may be
 * @param since when the password was given
 */
public record HalfSignedIn(UUID personId, Instant since) implements Principal, Serializable {

    @Override
    public String getName() {
        return "half:" + personId;
    }
}
