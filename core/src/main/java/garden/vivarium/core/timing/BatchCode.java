package garden.vivarium.core.timing;

import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The name of a batch on its label: {@code 26w47-B} is the second batch stuck in ISO week 47 of ISO year 2026. Letters
 * skip I and O, which read as one and nought on a wet label; after Z comes AA.
 *
 * @param year ISO week-based year, 2000 to 2099
 * @param week ISO week, 1 to 53
 * @param number place within the week, 1 and up
 */
public record BatchCode(int year, int week, int number) {

    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ";
    private static final Pattern FORM = Pattern.compile("(\\d{2})w(\\d{2})-([A-HJ-NP-Z]{1,4})");

    public BatchCode {
        if (year < 2000 || year > 2099 || week < 1 || week > 53 || number < 1) {
            throw new IllegalArgumentException(
                    "no batch code for year %d, week %d, number %d".formatted(year, week, number));
        }
    }

    /** The code of the {@code number}th batch (1 and up) stuck in the week of the day. */
    public static BatchCode of(LocalDate stuckOn, int number) {
        return new BatchCode(
                stuckOn.get(IsoFields.WEEK_BASED_YEAR), stuckOn.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR), number);
    }

    /**
     * Reads a code as written on a label.
     *
     * @throws IllegalArgumentException if the text is no batch code
     */
    public static BatchCode parse(String text) {
        Matcher m = FORM.matcher(text.strip());
        if (!m.matches()) {
            throw new IllegalArgumentException("“%s” is no batch code; one reads like 26w47-B".formatted(text));
        }
        int number = 0;
        for (char c : m.group(3).toCharArray()) {
            number = number * LETTERS.length() + LETTERS.indexOf(c) + 1;
        }
        return new BatchCode(2000 + Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), number);
    }

    /** The code of the next batch in the same week. */
    public BatchCode next() {
        return new BatchCode(year, week, number + 1);
    }

    /** The code as written on the label. */
    @Override
    public String toString() {
        StringBuilder letters = new StringBuilder();
        for (int n = number; n > 0; n = (n - 1) / LETTERS.length()) {
            letters.insert(0, LETTERS.charAt((n - 1) % LETTERS.length()));
        }
        return "%02dw%02d-%s".formatted(year % 100, week, letters);
    }
}
