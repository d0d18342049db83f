package garden.vivarium.app.batch;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import garden.vivarium.core.evidence.Closeness;
import java.util.LinkedHashMap;
import java.util.Map;

/** Outlooks of format 2, in which a share of a strike rate told in words how close its batches are. */
final class OutlookFormatTwo {

    /** How the words began, the longer before what it begins with. */
    private static final Map<String, Closeness> WORDS = new LinkedHashMap<>();

    static {
        WORDS.put("Other groups, ", Closeness.OTHER_GROUPS);
        WORDS.put("Other plants of its group, ", Closeness.OTHER_PLANTS);
        WORDS.put("This plant, this way, at other times of year", Closeness.OTHER_SEASON);
        WORDS.put("This plant, this way", Closeness.THIS_WAY);
        WORDS.put("This plant, ", Closeness.OTHER_WAYS);
    }

    private OutlookFormatTwo() {}

    /** The same in format 3. What is so already stays. */
    static ObjectNode brought(ObjectNode old) {
        old.findParents("name").forEach(OutlookFormatTwo::share);
        return old;
    }

    private static void share(JsonNode node) {
        ObjectNode share = (ObjectNode) node;
        String words = share.remove("name").asText();
        Closeness closeness = WORDS.entrySet().stream()
                .filter(e -> words.startsWith(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("a kept outlook names a level that is none: " + words));
        share.put("closeness", closeness.name());
    }
}
