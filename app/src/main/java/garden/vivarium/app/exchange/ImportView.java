package garden.vivarium.app.exchange;

import java.time.Instant;
import java.util.UUID;

/**
 * A file that was brought in, as pages show it.
 *
 * @param problem why it is where it is, in words; null for nothing
 * @param percent how far the work is
 * @param kept how many looks, readings, plants or places were kept
 * @param findings what was found in it; null while it is read
 */
record ImportView(
        UUID id,
        String kind,
        String name,
        String personName,
        ImportState state,
        String problem,
        int percent,
        int kept,
        Times times,
        Choices choices,
        Findings findings) {

    /** When it was brought in, and when it last changed. */
    record Times(Instant madeAt, Instant changedAt) {}

    public Instant changedAt() {
        return times.changedAt();
    }

    public boolean isBusy() {
        return state.isBusy();
    }
}
