package garden.vivarium.core.guide;

import com.fasterxml.jackson.databind.node.ObjectNode;
import garden.vivarium.core.timing.Season;
import java.util.Set;

/** Protocols of the third format, which did not say what their season is of: that follows from the method. */
final class ProtocolFormatThree {

    /** Methods whose pieces are ripe, soft or at rest only in their season. */
    private static final Set<String> OF_MATERIAL = Set.of(
            "basal shoot",
            "basal shoot with tuber",
            "heel cutting",
            "softwood cutting",
            "semi-ripe cutting",
            "hardwood cutting",
            "root piece",
            "clump division",
            "rhizome division",
            "tuber section",
            "bulbil",
            "bulb scale",
            "twin-scale",
            "bulb");

    private ProtocolFormatThree() {}

    /** The same in the fourth format. */
    static ObjectNode brought(ObjectNode old) {
        String method = old.path("technique").path("method").asText();
        Season.Of of = OF_MATERIAL.contains(method) ? Season.Of.MATERIAL : Season.Of.WARMTH;
        if (old.path("material").path("season") instanceof ObjectNode season) {
            season.put("of", of.name());
        }
        return old;
    }
}
