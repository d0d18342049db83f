package garden.vivarium.core.treatment;

import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.TimeSpan;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.WrittenNumber;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads treatments as people write them. A comma before exactly three digits groups thousands, unless a per cent sign follows; any other
 * is a decimal comma: 3,000 ppm and 0,3 % are the same strength. Blanks, thin blanks and apostrophes between groups of three digits group
 * too. What speaks of a hormone or a dose and cannot be read is kept as {@link UnreadTreatment}.
 */
public final class TreatmentReader {

    /** What nobody sells or mixes: half of a preparation. */
    private static final double STRONGEST_PPM = 500_000;

    private static final Pattern PARTS = Pattern.compile(";|,(?!\\d)|(?<!\\d),|\\s\\+\\s|\\R");
    private static final Pattern NUMBER =
            Pattern.compile("\\d+(?:[\\s\\u00a0\\u202f'’]\\d{3})+(?!\\d)|\\d+(?:[.,·]\\d+)*");
    private static final Pattern STRENGTH = Pattern.compile("(" + NUMBER.pattern()
            + ")\\s*(%|per ?cent|pct|ppm|mg ?/ ?l|mg per lit(?:re|er)|g ?/ ?l|g per lit(?:re|er))(?![\\p{L}])");
    private static final Pattern HORMONE =
            Pattern.compile("hormones?|rooting (?:powder|gel|liquid|dip|compound)|\\biba\\b|\\bnaa\\b|\\biaa\\b|auxin");
    private static final Pattern REST_OF_A_HORMONE = Pattern.compile(
            "hormones?|rooting|powder(?:ed)?|talc|gel|liquid|dip(?:ped)?|quick|compound|iba|naa|iaa|auxin|in|with|of|at|strength|\\(|\\)|:|=|-");
    private static final Pattern DRYING = Pattern.compile(
            "(?:callus(?:ed)?|dried|wounds? dried|healed over|air dried)(?: for)?(?: (\\d+(?:[.,]\\d+)?) ?(d|days?|h|hours?|weeks?))?");
    private static final Pattern SOAK = Pattern.compile(
            "(?:soak(?:ed)?|steeped)(?: in water)?(?: for)?(?: (overnight|(\\d+(?:[.,]\\d+)?) ?(d|days?|h|hours?|min(?:utes)?)))?");
    private static final List<String> NOTHING = List.of(
            "none",
            "nothing",
            "no",
            "-",
            "–",
            "no hormone",
            "without hormone",
            "no treatment",
            "untreated",
            "nothing else");
    private static final Map<String, Handling> ALSO = Map.ofEntries(
            Map.entry("sealed", Handling.SEALED),
            Map.entry("cut sealed", Handling.SEALED),
            Map.entry("warm from below", Handling.BOTTOM_HEAT),
            Map.entry("heat mat", Handling.BOTTOM_HEAT),
            Map.entry("heated mat", Handling.BOTTOM_HEAT),
            Map.entry("in the dark", Handling.DARK),
            Map.entry("under cover", Handling.COVERED),
            Map.entry("uncovered", Handling.OPEN),
            Map.entry("lamps", Handling.LAMP_LIGHT),
            Map.entry("lights", Handling.LAMP_LIGHT),
            Map.entry("cut slant", Handling.SLANT_CUT),
            Map.entry("cut straight", Handling.STRAIGHT_CUT),
            Map.entry("wound", Handling.WOUNDED),
            Map.entry("bark slipped", Handling.WOUNDED),
            Map.entry("pinched", Handling.TIP_PINCHED),
            Map.entry("washed", Handling.SAP_WASHED));

    private TreatmentReader() {}

    /** All treatments of a text; what says that there was none is none. */
    static List<Treatment> read(String written) {
        return Arrays.stream(PARTS.split(written == null ? "" : written))
                .map(p -> p.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " "))
                .filter(p -> !p.isEmpty() && !NOTHING.contains(p))
                .map(TreatmentReader::one)
                .toList();
    }

    private static Treatment one(String part) {
        Optional<Treatment> handled = Handling.written(part)
                .or(() -> Optional.ofNullable(ALSO.get(part)))
                .map(Treatment.class::cast);
        if (handled.isPresent()) {
            return handled.get();
        }
        Matcher drying = DRYING.matcher(part);
        if (drying.matches()) {
            return new Drying(Optional.ofNullable(drying.group(1)).map(n -> time(n, drying.group(2))));
        }
        Matcher soak = SOAK.matcher(part);
        if (soak.matches()) {
            return new Soak(Optional.ofNullable(soak.group(1))
                    .map(t -> soak.group(2) == null ? TimeSpan.ofHours(12) : time(soak.group(2), soak.group(3))));
        }
        return hormone(part)
                .orElseGet(() ->
                        HORMONE.matcher(part).find() || STRENGTH.matcher(part).find()
                                ? new UnreadTreatment(part)
                                : new OwnTreatment(part));
    }

    /** A hormone, or a strength alone; empty where something else is said, or it cannot be read. */
    private static Optional<Treatment> hormone(String part) {
        Matcher strength = STRENGTH.matcher(part);
        Optional<Concentration> strong = Optional.empty();
        String rest = part;
        if (strength.find()) {
            strong = concentration(strength.group(1), strength.group(2));
            rest = part.substring(0, strength.start()) + " " + part.substring(strength.end());
            if (strong.isEmpty()) {
                return Optional.empty();
            }
        } else if (!HORMONE.matcher(part).find()) {
            return Optional.empty();
        }
        String left = REST_OF_A_HORMONE.matcher(rest).replaceAll(" ");
        return left.isBlank() ? Optional.of(new Hormone(strong, form(rest))) : Optional.empty();
    }

    private static Hormone.Form form(String words) {
        return words.contains("powder") || words.contains("talc")
                ? Hormone.Form.POWDER
                : words.contains("gel")
                        ? Hormone.Form.GEL
                        : words.contains("liquid") || words.contains("dip") ? Hormone.Form.LIQUID : Hormone.Form.UNSAID;
    }

    private static Optional<Concentration> concentration(String number, String unit) {
        boolean percent = unit.startsWith("%") || (unit.startsWith("p") && !unit.equals("ppm"));
        Unit in = percent
                ? Unit.PERCENT
                : unit.equals("ppm")
                        ? Unit.PPM
                        : unit.startsWith("mg") ? Unit.MILLIGRAM_PER_LITRE : Unit.GRAM_PER_LITRE;
        return WrittenNumber.read(number, !percent)
                .map(in::of)
                .filter(ppm -> ppm > 0 && ppm <= STRONGEST_PPM)
                .map(ppm -> new Concentration(ppm, percent ? Unit.PERCENT : Unit.PPM));
    }

    private static TimeSpan time(String number, String unit) {
        double of = Double.parseDouble(number.replace(',', '.'));
        return unit.startsWith("d")
                ? TimeSpan.ofDays(of)
                : unit.startsWith("w")
                        ? TimeSpan.ofDays(7 * of)
                        : TimeSpan.ofHours(unit.startsWith("m") ? of / 60 : of);
    }
}
