package garden.vivarium.app.batch;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.SeasonFactors;
import java.util.List;
import java.util.function.BiFunction;
import org.springframework.stereotype.Component;
import org.springframework.util.ConcurrentLruCache;

/**
 * What was expected of a batch on the day it was made, as text beside it: later evidence does not change it. The text holds the
 * number of its format; one of an older format is brought up step by step. A field that is missing or not known is a fault, never
 * silently nothing: whoever changes what an outlook holds raises the number, adds the step from the format before, and puts a
 * sample of that under test.
 */
@Component
class OutlookText {

    /** The format that is written. */
    static final int FORMAT = 5;

    private static final String NUMBER = "format";

    /**
     * What each format needs to become the next: the first from 1 to 2. Format 2 told how close evidence is in
     * words, format 3 did not say what its season is of,
     * format 4 held what was expected in season and out of it, whatever the season of the batch.
     */
    private static final List<BiFunction<ObjectMapper, ObjectNode, ObjectNode>> STEPS = List.of(
            OutlookFormatOne::brought,
            (json, old) -> OutlookFormatTwo.brought(old),
            (json, old) -> {
                // It bore on what was planned; the factors of a batch that stands are kept with it.
                ((ObjectNode) old.path("season")).put("of", Season.Of.WARMTH.name());
                return old;
            },
            OutlookFormatFour::brought);

    private final ObjectMapper json = JsonMapper.builder()
            .addModule(new Jdk8Module())
            .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .build();

    // The same few dozen texts are read for every page, and never change.
    private final ConcurrentLruCache<String, Outlook> known = new ConcurrentLruCache<>(1000, this::parse);

    String write(Outlook outlook, SeasonFactors season) {
        try {
            ObjectNode text = json.createObjectNode();
            text.put(NUMBER, FORMAT);
            text.setAll((ObjectNode) json.valueToTree(outlook.kept(season)));
            return json.writeValueAsString(text);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("an outlook cannot be written", e);
        }
    }

    Outlook read(String text) {
        return known.get(text);
    }

    private Outlook parse(String text) {
        try {
            ObjectNode kept = (ObjectNode) json.readTree(text);
            int format = kept.path(NUMBER).asInt(1);
            if (format > FORMAT) {
                throw new IllegalStateException("a kept outlook has format %d, and this version knows formats up to %d"
                        .formatted(format, FORMAT));
            }
            for (int from = format; from < FORMAT; from++) {
                kept = STEPS.get(from - 1).apply(json, kept);
            }
            kept.remove(NUMBER);
            return Outlook.of(json.treeToValue(kept, Outlook.Kept.class));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("an outlook cannot be read: " + e.getMessage(), e);
        }
    }
}
