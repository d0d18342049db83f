package garden.vivarium.core.measure;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import garden.vivarium.core.Text;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A sentence of the guide or of a grower, in which measured figures are quantities, so that each reader is told them in units of
 * their own. Written, a figure stands in angle brackets: "cover with &lt;5 mm&gt; of sand", "&lt;2 to 5 cm&gt;".
 *
 * @param parts words and figures in turn; none is empty
 */
public record Prose(List<Part> parts) {

    private static final String NUMBER = "([-−]?\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|[-−]?\\d+(?:[.,]\\d+)?)";
    private static final Pattern MARKED = Pattern.compile("<" + NUMBER + "(?: to " + NUMBER + ")? (°C|K|cm|mm|L)>");
    private static final Pattern TYPED = Pattern.compile(
            "(?<![\\p{L}\\p{N}.,<-])" + NUMBER + "(?:( to | ?[–-] ?)" + NUMBER
                    + ")? ?(°C|°F|cm|mm|L|litres?|liters?|inch(?:es)?|in(?= ?(?:$|[.,;:)]|deep|long|wide|tall|high|apart|across|below|above|under|of|or|pot|each way|either))|US gal(?:lons?)?)(?![\\p{L}\\p{N}°>])");
    private static final Map<String, Unit> UNITS = Map.of(
            "°C", Unit.CELSIUS,
            "K", Unit.CELSIUS_DEGREE,
            "cm", Unit.CENTIMETRE,
            "mm", Unit.MILLIMETRE,
            "L", Unit.LITRE);

    /** Words, or a figure. */
    public sealed interface Part {}

    /** Words between figures. */
    public record Words(String words) implements Part {}

    /**
     * One quantity or a range.
     *
     * @param from the one, or the lower
     * @param to the higher; the same for one
     */
    public record Measured(Quantity from, Quantity to) implements Part {

        /** Whether it is one. */
        public boolean isOne() {
            return from.equals(to);
        }
    }

    public Prose {
        parts = List.copyOf(parts);
    }

    /** Reads what was written, figures in brackets. */
    @JsonCreator
    public static Prose of(String written) {
        List<Part> parts = new ArrayList<>();
        Matcher marks = MARKED.matcher(written);
        int read = 0;
        while (marks.find()) {
            words(written.substring(read, marks.start()), parts);
            Unit unit = UNITS.get(marks.group(3));
            Quantity from = quantity(number(marks.group(1)), unit);
            parts.add(new Measured(from, marks.group(2) == null ? from : quantity(number(marks.group(2)), unit)));
            read = marks.end();
        }
        words(written.substring(read), parts);
        return new Prose(parts);
    }

    /** Reads what somebody typed, in which figures stand as people write them: "2 cm", "5–8 mm", "68 °F", "3 inches". */
    public static Prose typed(String typed) {
        return of(TYPED.matcher(typed).replaceAll(m -> {
            Unit unit = typedUnit(m.group(4));
            Unit kept = kept(unit);
            String from = figure(snapped(number(m.group(1)), unit, kept));
            String to = m.group(3) == null ? "" : " to " + figure(snapped(number(m.group(3)), unit, kept));
            return Matcher.quoteReplacement("<" + from + to + " " + name(kept) + ">");
        }));
    }

    /** As it is written in files and kept, figures in brackets. */
    @JsonValue
    public String written() {
        StringBuilder written = new StringBuilder();
        for (Part part : parts) {
            if (part instanceof Words w) {
                written.append(w.words());
            } else if (part instanceof Measured m) {
                written.append('<').append(metric(m)).append('>');
            }
        }
        return written.toString();
    }

    /** One that may not be there, as it is kept. */
    public static String inColumn(Prose prose) {
        return prose == null ? null : prose.written();
    }

    /** What was kept, where something was. */
    public static Prose orNull(String written) {
        return written == null ? null : of(written);
    }

    /** In metric units without brackets, as files for others have it. */
    public String metric() {
        StringBuilder told = new StringBuilder();
        for (Part part : parts) {
            told.append(part instanceof Words w ? w.words() : metric((Measured) part));
        }
        return told.toString();
    }

    /** Several as one, each on a line of its own. */
    public static Prose lines(List<Prose> sentences) {
        return of(sentences.stream().map(Prose::written).collect(Collectors.joining("\n")));
    }

    /** Its lines that say something. */
    public List<Prose> lines() {
        return written()
                .lines()
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .map(Prose::of)
                .toList();
    }

    /** Up to and with the first of a mark, which is set at its end where it has none. */
    public Prose untilFirst(char mark) {
        String written = written();
        return of(written.indexOf(mark) < 0 ? written + mark : written.substring(0, written.indexOf(mark) + 1));
    }

    /** Whether it says nothing. */
    public boolean isBlank() {
        return parts.stream().allMatch(p -> p instanceof Words w && w.words().isBlank());
    }

    private static String metric(Measured m) {
        Unit unit = m.from().unit();
        return figure(m.from().in(unit)) + (m.isOne() ? "" : " to " + figure(m.to().in(unit))) + " " + name(unit);
    }

    private static void words(String words, List<Part> parts) {
        if (!words.isEmpty()) {
            parts.add(new Words(words));
        }
    }

    private static Quantity quantity(double number, Unit unit) {
        double amount = unit.of(number);
        return switch (unit.kind()) {
            case LENGTH -> new Length(amount, kept(unit));
            case VOLUME -> new Volume(amount, kept(unit));
            case TEMPERATURE -> new Temperature(amount, kept(unit));
            case TEMPERATURE_DIFFERENCE -> new TemperatureDifference(amount, kept(unit));
            default -> throw new IllegalArgumentException("prose has no figures in " + unit);
        };
    }

    /** Inches are meant to a millimetre, °F to a tenth of a °C. */
    private static double snapped(double typed, Unit unit, Unit kept) {
        double metric = quantity(typed, unit).in(kept);
        return unit == kept
                ? metric
                : unit == Unit.US_GALLON ? Math.round(100 * metric) / 100.0 : Math.round(10 * metric) / 10.0;
    }

    private static Unit typedUnit(String word) {
        String plain = word.toLowerCase(Locale.ROOT);
        return plain.startsWith("in")
                ? Unit.INCH
                : plain.startsWith("us")
                        ? Unit.US_GALLON
                        : word.equals("°F") ? Unit.FAHRENHEIT : UNITS.getOrDefault(word, Unit.LITRE);
    }

    private static Unit kept(Unit unit) {
        return switch (unit) {
            case INCH -> Unit.CENTIMETRE;
            case US_GALLON -> Unit.LITRE;
            case FAHRENHEIT -> Unit.CELSIUS;
            default -> unit;
        };
    }

    private static String name(Unit unit) {
        return UNITS.entrySet().stream()
                .filter(e -> e.getValue() == unit)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }

    private static double number(String written) {
        return WrittenNumber.read(written, true).orElseThrow();
    }

    private static String figure(double number) {
        return Text.figure(number);
    }
}
