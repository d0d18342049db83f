package garden.vivarium.core.guide;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import garden.vivarium.core.measure.Prose;
import java.util.List;

/** Protocols of the fourth format, in whose sentences measured figures were words: each is read once, and is a quantity from then on. */
final class ProtocolFormatFour {

    private ProtocolFormatFour() {}

    /** The same in the fifth format. */
    static ObjectNode brought(ObjectNode old) {
        read(old.path("material"), "ripeness");
        read(old.path("material").path("piece"), "leaves");
        readAll(old.path("wound").path("prepare"));
        read(old.path("placing"), "depth");
        read(old.path("placing").path("vessel"), "words");
        List.of("atSticking", "untilRooted", "after")
                .forEach(when -> read(old.path("keeping").path("water"), when));
        read(old.path("keeping").path("air"), "remark");
        JsonNode course = old.path("course");
        read(course.path("firstSign"), "test");
        read(course.path("ready"), "test");
        course.path("stages").forEach(stage -> {
            read(stage, "act");
            read(stage.path("when"), "ask");
        });
        return old;
    }

    private static void read(JsonNode part, String field) {
        if (part instanceof ObjectNode of && of.path(field).isTextual()) {
            of.put(field, Prose.typed(of.path(field).asText()).written());
        }
    }

    private static void readAll(JsonNode sentences) {
        if (sentences instanceof ArrayNode all) {
            for (int i = 0; i < all.size(); i++) {
                all.set(i, all.textNode(Prose.typed(all.get(i).asText()).written()));
            }
        }
    }
}
