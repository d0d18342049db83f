package garden.vivarium.core.measure;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How long a step of the work takes of itself, read from the sentence that says it: "let them dry for an hour", "soak 20 min", "dry in
 * shade overnight". What is said in days is no wait to stand beside, and is not read.
 */
public final class WaitInWords {

    /** Evening to morning. */
    private static final Duration OVERNIGHT = Duration.ofHours(12);

    private static final Duration LONGEST = Duration.ofDays(2);

    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private static final Pattern SAID = Pattern.compile("\\b(half an|a quarter of an|an|a|" + String.join("|", NUMBERS)
            + "|fifteen|twenty|thirty|forty|sixty|\\d{1,3}(?:[.,]\\d)?)[ -]?"
            + "(seconds?|sec|s|minutes?|mins?|hours?|h)\\b(?! (?:of|later|before))");

    private WaitInWords() {}

    /**
     * The wait of a step; of several the first.
     *
     * @param step a sentence
     * @return more than nothing and at most two days; empty where the step says none
     */
    public static Optional<Duration> in(String step) {
        String words = step.toLowerCase(Locale.ROOT);
        Matcher m = SAID.matcher(words);
        while (m.find()) {
            Duration wait = Duration.ofSeconds(Math.round(number(m.group(1)) * seconds(m.group(2))));
            if (!wait.isZero() && wait.compareTo(LONGEST) <= 0) {
                return Optional.of(wait);
            }
        }
        return words.contains("overnight") ? Optional.of(OVERNIGHT) : Optional.empty();
    }

    private static int seconds(String unit) {
        return switch (unit.charAt(0)) {
            case 'h' -> 3600;
            case 'm' -> 60;
            default -> 1;
        };
    }

    private static double number(String said) {
        return switch (said) {
            case "half an" -> 0.5;
            case "a quarter of an" -> 0.25;
            case "a", "an" -> 1;
            case "fifteen" -> 15;
            case "twenty" -> 20;
            case "thirty" -> 30;
            case "forty" -> 40;
            case "sixty" -> 60;
            default -> NUMBERS.contains(said) ? NUMBERS.indexOf(said) : Double.parseDouble(said.replace(',', '.'));
        };
    }
}
