package garden.vivarium.app.door;

import garden.vivarium.app.platform.Brake;
import java.time.Duration;

/** A wait as it travels in an address, from the refusal to the page that tells it. */
final class Waiting {

    private static final int LONGEST = 3600;

    private Waiting() {}

    /** Whole seconds, rather more than fewer. */
    static long seconds(Duration wait) {
        return wait.plusMillis(999).toSeconds();
    }

    /** What a page says of it; null where there is none. */
    static String said(String seconds) {
        if (seconds == null || !seconds.matches("\\d{1,4}")) {
            return null;
        }
        return Brake.said(Duration.ofSeconds(Math.min(LONGEST, Long.parseLong(seconds))));
    }
}
