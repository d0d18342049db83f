package garden.vivarium.app.guide;

import garden.vivarium.app.platform.Seen;
import java.time.Instant;

/** A version of a protocol in a list; {@code basedOn} is the key of what it was copied from. */
public record VersionView(
        String key,
        int version,
        String title,
        boolean own,
        boolean withdrawn,
        String basedOn,
        String reason,
        String person,
        Instant madeAt) {

    /** The mark of its forms. */
    public String seen() {
        return Seen.mark("protocol " + key, version);
    }
}
