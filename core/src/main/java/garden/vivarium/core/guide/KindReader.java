package garden.vivarium.core.guide;

import com.fasterxml.jackson.databind.JsonNode;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.Window;
import java.time.Month;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Reads a line of the guide's files of kinds, in which only what differs is said. */
final class KindReader {

    private static final Set<String> FIELDS = Set.of(
            "name",
            "key",
            "latin",
            "also",
            "heard",
            "raised",
            "group",
            "usual",
            "possible",
            "never",
            "rate",
            "ready",
            "each",
            "sections",
            "drying",
            "season",
            "warmth",
            "hardy",
            "water",
            "asleep",
            "plantlets",
            "not",
            "hazards",
            "bred",
            "wild",
            "thin",
            "note");

    private final JsonNode kind;
    private final String group;

    private KindReader(JsonNode kind, String group) {
        this.kind = kind;
        this.group = group;
    }

    /**
     * A kind.
     *
     * @param kind as the file has it
     * @param group of kinds for which the file says none: the file's own name
     * @throws IllegalStateException if a field is not known, or one that must be there is missing
     */
    static PlantKind read(JsonNode kind, String group) {
        kind.fieldNames().forEachRemaining(f -> {
            if (!FIELDS.contains(f)) {
                throw new IllegalStateException("kind %s: no field is called %s".formatted(kind.path("name"), f));
            }
        });
        return new KindReader(kind, group).kind();
    }

    private PlantKind kind() {
        String name = required("name").asText();
        Optional<String> raised = text("raised");
        return new PlantKind(
                text("key").orElseGet(() -> key(name)),
                new PlantKind.Names(
                        name, texts(required("latin")), texts(kind.path("also")), texts(kind.path("heard"))),
                kind.path("group").asText(group),
                raised,
                texts(raised.isPresent() ? kind.path("usual") : required("usual")),
                texts(kind.path("possible")),
                byKey("never", JsonNode::asText),
                new PlantKind.Figures(
                        byKey("rate", KindReader::share),
                        byKey("rate", KindReader::known),
                        byKey(
                                "ready",
                                n -> new Window(n.get(0).asDouble(), n.get(1).asDouble())),
                        daysKnown(),
                        byKey("each", JsonNode::asInt),
                        number("sections"),
                        number("drying"),
                        byKey("season", KindReader::months),
                        kind.has("warmth") ? Optional.of(warmth(kind.get("warmth"))) : Optional.empty()),
                new PlantKind.Habits(
                        kind.path("hardy").asBoolean(false),
                        word("water", PlantKind.InWater.class, PlantKind.InWater.UNKNOWN),
                        word("asleep", PlantKind.Divided.class, PlantKind.Divided.EITHER),
                        word("plantlets", PlantKind.PlantletsOn.class, PlantKind.PlantletsOn.RUNNERS),
                        texts(kind.path("not"))),
                texts(required("hazards")),
                new PlantKind.Remarks(
                        kind.path("bred").asBoolean(false),
                        kind.path("wild").asBoolean(false),
                        kind.path("thin").asBoolean(false),
                        text("note")));
    }

    /** "lady's mantle" is kept as "ladys-mantle". */
    static String key(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("['.]", "").replaceAll("[^a-z0-9]+", "-");
    }

    private JsonNode required(String field) {
        if (!kind.has(field)) {
            throw new IllegalStateException("kind %s lacks %s".formatted(kind.path("name"), field));
        }
        return kind.get(field);
    }

    private Optional<Integer> number(String field) {
        return kind.has(field) ? Optional.of(kind.get(field).asInt()) : Optional.empty();
    }

    private Optional<String> text(String field) {
        return kind.has(field) ? Optional.of(kind.get(field).asText()) : Optional.empty();
    }

    /** The share of "0.92 well". */
    private static double share(JsonNode rate) {
        return rate.isNumber()
                ? rate.asDouble()
                : Double.parseDouble(rate.asText().split(" ")[0]);
    }

    /** How well "0.92 well" is known; fairly, where a share alone is said. */
    private static Certainty known(JsonNode rate) {
        return rate.isNumber()
                ? Certainty.FAIRLY
                : Certainty.valueOf(rate.asText().split(" ")[1].toUpperCase(Locale.ROOT));
    }

    /** How well days are known where a line says so: the last word of "[9, 20, proverbial]". */
    private Map<String, Certainty> daysKnown() {
        Map<String, Certainty> known = new LinkedHashMap<>();
        kind.path("ready").properties().stream()
                .filter(e -> e.getValue().size() > 2)
                .forEach(e -> known.put(
                        e.getKey(),
                        Certainty.valueOf(e.getValue().get(2).asText().toUpperCase(Locale.ROOT))));
        return Map.copyOf(known);
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(n -> texts.add(n.asText()));
        return List.copyOf(texts);
    }

    private static Set<Month> months(JsonNode numbers) {
        Set<Month> months = EnumSet.noneOf(Month.class);
        numbers.forEach(n -> months.add(Month.of(n.asInt())));
        return months;
    }

    private static Warmth warmth(JsonNode range) {
        return Warmth.between(range.get(0).asDouble(), range.get(1).asDouble());
    }

    private <T> Map<String, T> byKey(String field, Function<JsonNode, T> read) {
        Map<String, T> values = new LinkedHashMap<>();
        kind.path(field).properties().forEach(e -> values.put(e.getKey(), read.apply(e.getValue())));
        return Map.copyOf(values);
    }

    private <E extends Enum<E>> E word(String field, Class<E> type, E otherwise) {
        return kind.has(field) ? Enum.valueOf(type, kind.get(field).asText().toUpperCase(Locale.ROOT)) : otherwise;
    }
}
