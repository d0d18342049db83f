package garden.vivarium.core.guide;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A protocol as text, to be kept with the batches stuck under it for as long as they are. The text begins with the number of its
 * format; one of an older format is brought up step by step. Whoever changes what a protocol holds raises the number, adds the
 * step from the format before, and puts a sample of that under test.
 */
public final class KeptProtocol {

    /** The format that is written. */
    public static final int FORMAT = 5;

    private static final String NUMBER = "format";
    private static final ObjectMapper YAML = Guide.yaml();

    /**
     * What each format needs to become the next: the first from 1 to 2. Format 1 had no number and was otherwise the same;
     * format 2 had no parts, and wrote temperatures, distances and pots as words; format 3 did not say what its season is of; in the
     * sentences of format 4 measured figures were words.
     */
    private static final List<UnaryOperator<ObjectNode>> STEPS = List.of(
            UnaryOperator.identity(),
            ProtocolFormatTwo::intoParts,
            ProtocolFormatThree::brought,
            ProtocolFormatFour::brought);

    private KeptProtocol() {}

    /** A protocol as text. */
    public static String write(Protocol protocol) {
        ObjectNode text = YAML.createObjectNode();
        text.put(NUMBER, FORMAT);
        text.setAll((ObjectNode) YAML.valueToTree(protocol));
        try {
            return YAML.writeValueAsString(text);
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException("protocol " + protocol.key() + " cannot be written", e);
        }
    }

    /**
     * Reads what this or an earlier version wrote.
     *
     * @throws UncheckedIOException if it is not a whole protocol
     * @throws IllegalStateException if a later version wrote it
     */
    public static Protocol read(String text) {
        try {
            JsonNode read = YAML.readTree(text);
            if (!(read instanceof ObjectNode kept)) {
                throw new IllegalStateException("a kept protocol is empty");
            }
            int format = kept.path(NUMBER).asInt(1);
            if (format > FORMAT) {
                throw new IllegalStateException("a kept protocol has format %d, and this version knows formats up to %d"
                        .formatted(format, FORMAT));
            }
            for (int from = format; from < FORMAT; from++) {
                kept = STEPS.get(from - 1).apply(kept);
            }
            kept.remove(NUMBER);
            return YAML.treeToValue(kept, Protocol.class);
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException("a kept protocol cannot be read: " + e.getMessage(), e);
        }
    }
}
