package garden.vivarium.core;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;

/** Figures in words. They are written one way, whatever the language of the machine: a decimal point, thousands set apart by commas. */
public final class Text {

    /** The one locale of all figures. */
    public static final Locale LOCALE = Locale.ROOT;

    private Text() {}

    /** A pattern as of {@link String#format(String, Object...)}, filled in. */
    public static String of(String pattern, Object... figures) {
        return String.format(LOCALE, pattern, figures);
    }

    /** A number with two decimals at most and no idle noughts: 9, 7.5. */
    public static String figure(double number) {
        return new DecimalFormat("0.##", DecimalFormatSymbols.getInstance(LOCALE)).format(number);
    }
}
