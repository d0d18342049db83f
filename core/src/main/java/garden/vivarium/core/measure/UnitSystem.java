package garden.vivarium.core.measure;

import garden.vivarium.core.Text;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** In which units somebody reads lengths, volumes and temperatures. Everything is kept metric. */
public enum UnitSystem {
    METRIC("centimetres, °C, litres"),
    US("inches, °F, US gallons");

    private static final String NUMBER = "(-?\\d[\\d,]*(?:\\.\\d+)?)";
    private static final Pattern MEASURE =
            Pattern.compile("(?<![\\w.-])" + NUMBER + "(?:( to |–)" + NUMBER + ")? (°C|cm|mm|L|litres?)(?![\\w°])");
    private static final double MM_AN_INCH = 25.4;
    private static final double LITRES_A_GALLON = 3.785411784;

    private final String words;

    UnitSystem(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The same text with its measures in these units: "18 to 22 °C" becomes "64 to 72 °F". */
    public String retell(String text) {
        if (this == METRIC || text.length() < 3) {
            return text;
        }
        Matcher measures = MEASURE.matcher(text);
        return measures.replaceAll(m -> Matcher.quoteReplacement(us(m)));
    }

    private static String us(MatchResult m) {
        String unit = m.group(4);
        String to = m.group(3) == null ? "" : m.group(2) + in(unit, number(m.group(3)));
        return in(unit, number(m.group(1))) + to + " " + name(unit);
    }

    private static double number(String written) {
        return Double.parseDouble(written.replace(",", ""));
    }

    private static String name(String unit) {
        return switch (unit) {
            case "°C" -> "°F";
            case "cm", "mm" -> "in";
            default -> "US gal";
        };
    }

    private static String in(String unit, double value) {
        return switch (unit) {
            case "°C" -> Text.of("%.0f", value * 9 / 5 + 32);
            case "cm" -> rounded(value * 10 / MM_AN_INCH);
            case "mm" -> rounded(value / MM_AN_INCH);
            default -> rounded(value / LITRES_A_GALLON);
        };
    }

    /** To as many figures as a ruler or a can tells. */
    private static String rounded(double value) {
        return value < 1
                ? Text.figure(Math.round(value * 100) / 100.0)
                : value < 100 ? Text.figure(Math.round(value * 10) / 10.0) : Text.of("%,d", Math.round(value));
    }
}
