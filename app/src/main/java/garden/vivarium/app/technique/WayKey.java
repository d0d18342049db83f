package garden.vivarium.app.technique;

import garden.vivarium.core.evidence.Way;
import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** A short name of a way for addresses: it follows from the way alone, so that links keep. */
record WayKey(String text) {

    static WayKey of(Way way) {
        String all = String.join("\n", way.plant(), way.group(), way.method(), way.medium(), way.treatmentWritten());
        return new WayKey(UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8))
                .toString()
                .substring(0, 13));
    }
}
