package garden.vivarium.core.guide;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import garden.vivarium.core.measure.Warmth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Brings a protocol of the second format, which was one long list of fields, into parts. Temperatures, distances and pots were
 * written as words; what can be read of them becomes numbers, and what cannot stays in words, so that nothing is lost.
 */
final class ProtocolFormatTwo {

    private static final String NUMBER = "(-?\\d+(?:\\.\\d+)?)";
    private static final Pattern SPELL = Pattern.compile(
            NUMBER + "(?: to " + NUMBER + ")? ?°C(?:, dark)?(?:(?: for|,) (\\w+) weeks|(?: for) (\\w+))?");
    private static final Pattern APART = Pattern.compile("(?:(.+) )?" + NUMBER + " cm apart,?(.*)");
    private static final Pattern ACROSS = Pattern.compile(NUMBER + " cm");
    private static final Pattern LITRES = Pattern.compile(NUMBER + " L");
    private static final List<String> NUMBERS =
            List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private ProtocolFormatTwo() {}

    /** The same protocol in the third format. */
    static ObjectNode intoParts(ObjectNode old) {
        ObjectNode next = old.objectNode();
        move(old, next.putObject("identity"), "key", "version", "title");
        move(old, next.putObject("technique"), "method", "medium", "then", "treatment");
        move(old, next.putObject("material"), "groups", "piece", "ripeness", "season");
        move(old, next.putObject("wound"), "prepare", "callus", "hormone");
        placing(old, next.putObject("placing"));
        ObjectNode keeping = next.putObject("keeping");
        water(old, keeping.putObject("water"));
        air(old, keeping.putObject("air"));
        move(old, next.putObject("course"), "looks", "firstSign", "ready", "stages", "tooLong", "inTurn");
        ObjectNode potting = next.putObject("potting");
        pot(taken(old.path("potting"), "pot"), potting.putObject("pot"));
        potting.setAll((ObjectNode) old.remove("potting"));
        move(old, next.putObject("figures"), "rate", "establishment", "output", "minutesPerTen", "thin");
        move(old, next.putObject("reasons"), "cautions", "why", "schools");
        // What no part knows is carried along, so that reading it is a fault as it is anywhere else.
        old.properties().forEach(e -> next.set(e.getKey(), e.getValue()));
        return next;
    }

    private static void move(ObjectNode old, ObjectNode part, String... fields) {
        Arrays.stream(fields).filter(old::has).forEach(f -> part.set(f, old.remove(f)));
    }

    private static String taken(JsonNode from, String field) {
        JsonNode value = from instanceof ObjectNode of ? of.remove(field) : null;
        if (value == null || !value.isTextual()) {
            throw new IllegalStateException("a kept protocol lacks " + field);
        }
        return value.asText();
    }

    private static void placing(ObjectNode old, ObjectNode part) {
        move(old, part, "vessel");
        String words = part.path("vessel").path("words").asText();
        ((ObjectNode) part.path("vessel"))
                .put("kind", Protocol.Vessel.Kind.of(words).name().toLowerCase(Locale.ROOT));
        ObjectNode spacing = part.putObject("spacing");
        String said = taken(old, "spacing");
        Matcher apart = APART.matcher(said);
        if (apart.matches()) {
            spacing.put("apartMm", (int) Math.round(10 * Double.parseDouble(apart.group(2))));
            spacing.put("words", ((apart.group(1) == null ? "" : apart.group(1)) + apart.group(3)).strip());
        } else {
            spacing.putNull("apartMm");
            spacing.put("words", said);
        }
        move(old, part, "depth");
    }

    private static void water(ObjectNode old, ObjectNode part) {
        part.put("kind", taken(old, "water"));
        part.setAll((ObjectNode) old.remove("moisture"));
    }

    private static void air(ObjectNode old, ObjectNode part) {
        part.put("cover", taken(old, "cover"));
        JsonNode air = old.remove("air");
        String temperature = taken(air, "temperature");
        String base = taken(air, "base");
        List<Warmth> spells = warmth(temperature);
        spells.forEach(w -> write(w, part.withArray("/warmth").addObject()));
        part.withArray("/warmth");
        List<Warmth> below = warmth(base);
        boolean isBase = below.size() == 1;
        if (isBase) {
            write(below.get(0), part.putObject("base"));
        } else {
            part.putNull("base");
        }
        List<String> remark = new ArrayList<>();
        if (spells.isEmpty()) {
            remark.add(temperature);
        }
        if (!isBase && !base.equals("none")) {
            remark.add("base " + base);
        }
        part.put("remark", String.join("; ", remark));
        part.setAll((ObjectNode) air);
    }

    /** The spells that the words tell; none where any of them is not understood. */
    private static List<Warmth> warmth(String words) {
        List<Warmth> spells = new ArrayList<>();
        for (String spell : words.split(", then ")) {
            Matcher m = SPELL.matcher(spell);
            if (!m.matches()) {
                return List.of();
            }
            double from = Double.parseDouble(m.group(1));
            double to = m.group(2) == null ? from : Double.parseDouble(m.group(2));
            String weeks = m.group(3) == null ? m.group(4) : m.group(3);
            Optional<Integer> lasts = Optional.ofNullable(weeks).map(w -> 1 + NUMBERS.indexOf(w));
            if (from > to
                    || from < Warmth.COLDEST
                    || to > Warmth.WARMEST
                    || lasts.filter(w -> w < 1).isPresent()) {
                return List.of();
            }
            spells.add(new Warmth(from, to, lasts));
        }
        return spells;
    }

    private static void write(Warmth w, ObjectNode into) {
        into.put("from", w.from()).put("to", w.to());
        w.weeks().ifPresentOrElse(weeks -> into.put("weeks", weeks), () -> into.putNull("weeks"));
    }

    private static void pot(String words, ObjectNode part) {
        part.putNull("acrossMm").putNull("litres");
        List<String> otherwise = new ArrayList<>();
        for (String one : words.split(" or ")) {
            Matcher across = ACROSS.matcher(one);
            Matcher litres = LITRES.matcher(one);
            boolean sized =
                    !part.path("acrossMm").isNull() || !part.path("litres").isNull();
            if (!sized && across.matches()) {
                part.put("acrossMm", (int) Math.round(10 * Double.parseDouble(across.group(1))));
            } else if (!sized && litres.matches()) {
                part.put("litres", Double.parseDouble(litres.group(1)));
            } else {
                otherwise.add(one);
            }
        }
        part.put("otherwise", String.join(" or ", otherwise));
    }
}
