package garden.vivarium.app.technique;

import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.evidence.Way;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A short name of a way for addresses: it follows from the way alone, so that links keep. */
record WayKey(String text) {

    /** As addresses have been made from the first version on; whatever language is read. */
    private static String treatment(Way way) {
        return Stream.concat(
                        way.own().stream()
                                .map(o -> "as %s version %d".formatted(ProtocolKey.name(o.protocol()), o.version())),
                        way.treatment().eachWritten().stream())
                .collect(Collectors.joining("; "));
    }

    static WayKey of(Way way) {
        String all = String.join("\n", way.plant(), way.group(), way.method(), way.medium(), treatment(way));
        return new WayKey(UUID.nameUUIDFromBytes(all.getBytes(StandardCharsets.UTF_8))
                .toString()
                .substring(0, 13));
    }
}
