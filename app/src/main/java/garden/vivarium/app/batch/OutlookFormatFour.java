package garden.vivarium.app.batch;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Outlooks of format 4, which held what was expected in season and out of it. */
final class OutlookFormatFour {

    private OutlookFormatFour() {}

    /** The same in format 5: a list of what was expected, by season. */
    static ObjectNode brought(ObjectMapper json, ObjectNode old) {
        ArrayNode then = json.createArrayNode();
        JsonNode season = old.path("season");
        then.add(of(json, 1, 1, 0, old.remove("inSeason")));
        JsonNode out = old.remove("outOfSeason");
        if (!season.path("months").isEmpty()) {
            then.add(of(
                    json,
                    season.path("slower").asDouble(),
                    season.path("poorer").asDouble(),
                    1,
                    out));
        }
        old.set("then", then);
        return old;
    }

    private static ObjectNode of(ObjectMapper json, double slower, double poorer, double out, JsonNode expected) {
        ObjectNode one = json.createObjectNode();
        one.putObject("season").put("slower", slower).put("poorer", poorer).put("out", out);
        one.set("expected", expected);
        return one;
    }
}
