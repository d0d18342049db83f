package garden.vivarium.core.plan;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An aim as people say it in one line: "24 skerry by 15 may", "40 rosemary mid-March 95%", "as many as FUC-3 gives by 1 June for
 * the fair". What is not understood is left out, to be asked.
 *
 * @param wanted young plants; empty where none or "as many as it gives" is said
 * @param asMany whether as many as it gives are wanted
 * @param codes label codes that it holds, in the order of the line
 * @param plant the words that name the plant; empty where none are left
 * @param due by when
 * @param sure in per cent
 * @param forWhom for whom or what; empty where that is not said
 * @param until what plants are to be by then; empty where that is not said
 */
public record AimLine(
        OptionalInt wanted,
        boolean asMany,
        List<String> codes,
        String plant,
        Optional<LocalDate> due,
        OptionalInt sure,
        Optional<String> forWhom,
        Optional<DayAsked> until) {

    private static final int LONGEST = 200;
    private static final String MONTHS =
            "(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)";

    public AimLine {
        codes = List.copyOf(codes);
    }

    /** A way of saying a day: the pattern, and the day that it means. */
    private record DayForm(Pattern pattern, BiFunction<MatchResult, LocalDate, LocalDate> day) {}

    private static final List<DayForm> DAYS = List.of(
            new DayForm(word("(\\d{4})-(\\d{2})-(\\d{2})"), (m, t) -> LocalDate.of(at(m, 1), at(m, 2), at(m, 3))),
            new DayForm(
                    word("(\\d{1,2})(?:st|nd|rd|th|\\.)?(?: of)? " + MONTHS + "(?: (\\d{4}))?"),
                    (m, t) -> day(month(m.group(2)), at(m, 1), m.group(3), t)),
            new DayForm(
                    word("(early|start of|beginning of|mid|middle of|late|end of)[ -]?" + MONTHS + "(?: (\\d{4}))?"),
                    (m, t) -> part(m.group(1), month(m.group(2)), m.group(3), t)),
            new DayForm(
                    word(MONTHS + " (\\d{1,2})(?:st|nd|rd|th)?(?:,? (\\d{4}))?"),
                    (m, t) -> day(month(m.group(1)), at(m, 2), m.group(3), t)),
            new DayForm(
                    word("(\\d{1,2})[./](\\d{1,2})(?:[./](\\d{4})|\\.)?"),
                    (m, t) -> day(Month.of(at(m, 2)), at(m, 1), m.group(3), t)),
            new DayForm(word("in (\\d{1,3}) (day|week|month)s?"), (m, t) -> switch (m.group(2)) {
                case "day" -> t.plusDays(at(m, 1));
                case "week" -> t.plusWeeks(at(m, 1));
                default -> t.plusMonths(at(m, 1));
            }),
            new DayForm(word("christmas"), (m, t) -> day(Month.DECEMBER, 24, null, t)),
            new DayForm(word("in " + MONTHS), (m, t) -> part("end of", month(m.group(1)), null, t)),
            new DayForm(word("(?:by )?" + MONTHS), (m, t) -> day(month(m.group(1)), 1, null, t)));

    /** Words of a line that say nothing of the plant. */
    private static final Pattern BESIDE = word(
            "(?:as many as|gives?|by|sure|a dozen|one|two|three|four|five|six|seven|eight|nine|ten|twelve|please|i|we|want|need|rooted|plugs?|settled|potted up|potted|to sell|for sale|saleable|in one pot)");

    private static Pattern word(String inner) {
        return Pattern.compile("(?<![\\w-])" + inner + "(?![\\w%])");
    }

    private static int at(MatchResult m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static Month month(String word) {
        for (Month m : Month.values()) {
            if (m.name().toLowerCase(Locale.ROOT).startsWith(word.substring(0, 3))) {
                return m;
            }
        }
        throw new DateTimeException("no month " + word);
    }

    /** The day in the year that is said or, where none is, the next that is still to come. */
    private static LocalDate day(Month month, int day, String year, LocalDate today) {
        if (year != null) {
            return LocalDate.of(Integer.parseInt(year), month, day);
        }
        LocalDate then = YearMonth.of(today.getYear(), month).atDay(day);
        return then.isAfter(today)
                ? then
                : YearMonth.of(today.getYear() + 1, month).atDay(day);
    }

    private static LocalDate part(String part, Month month, String year, LocalDate today) {
        return switch (part) {
            case "early" -> day(month, 7, year, today);
            case "start of", "beginning of" -> day(month, 1, year, today);
            case "mid", "middle of" -> day(month, 15, year, today);
            case "late" -> day(month, 25, year, today);
            default -> day(month, month.minLength(), year, today);
        };
    }

    /**
     * Reads a line.
     *
     * @param line as typed
     * @param today from which days are to come
     * @param known label codes that may be named
     */
    public static AimLine read(String line, LocalDate today, Collection<String> known) {
        String rest = " " + line.substring(0, Math.min(line.length(), LONGEST)).strip() + " ";
        List<String> codes = new ArrayList<>();
        // Codes first: "FUC-3" holds a number and is none.
        for (String one : known) {
            Matcher code = Pattern.compile("(?i)(?<!\\w)" + Pattern.quote(one) + "(?!\\w)")
                    .matcher(rest);
            if (code.find()) {
                codes.add(one);
                rest = code.replaceAll(" ");
            }
        }
        Matcher whom =
                Pattern.compile("(?i)\\bfor (?!\\d)([^,]+?)(?= by | \\d|,|$)").matcher(rest.stripTrailing());
        Optional<String> forWhom = whom.find() ? Optional.of(whom.group(1).strip()) : Optional.empty();
        if (forWhom.isPresent()) {
            rest = rest.replace("for " + whom.group(1), " ");
        }
        String lower = rest.toLowerCase(Locale.ROOT);
        OptionalInt sure = OptionalInt.empty();
        Matcher percent =
                Pattern.compile("(\\d{1,3}) ?(?:%|per ?cent)(?: sure)?").matcher(lower);
        if (percent.find()) {
            sure = OptionalInt.of(Integer.parseInt(percent.group(1)));
            lower = cut(lower, percent);
        }
        Optional<LocalDate> due = Optional.empty();
        for (DayForm form : DAYS) {
            Matcher m = form.pattern().matcher(lower);
            if (due.isEmpty() && m.find()) {
                try {
                    due = Optional.of(form.day().apply(m.toMatchResult(), today));
                    lower = cut(lower, m);
                } catch (DateTimeException noSuchDay) {
                    // "31 June" is no day: it is asked.
                    lower = cut(lower, m);
                }
            }
        }
        boolean asMany = lower.contains("as many");
        OptionalInt wanted = OptionalInt.empty();
        Matcher number = Pattern.compile("(?<![\\w-])(\\d{1,6})(?![\\w%])").matcher(lower);
        if (number.find()) {
            wanted = OptionalInt.of(Integer.parseInt(number.group(1)));
            lower = cut(lower, number);
        } else if (lower.contains("a dozen")) {
            wanted = OptionalInt.of(12);
            lower = lower.replace("a dozen", " ");
        }
        Optional<String> occasion = forWhom.isPresent() ? forWhom : unreadOccasion(rest.toLowerCase(Locale.ROOT));
        return new AimLine(
                wanted,
                asMany,
                codes,
                plant(lower, occasion),
                due,
                sure,
                due.isEmpty() ? occasion : forWhom,
                until(lower));
    }

    private static final Pattern TO_SELL = word("(?:to sell|for sale|saleable)");
    private static final Pattern SETTLED = word("(?:settled|potted(?: up)?)");
    private static final Pattern ROOTED = word("(?:rooted|plugs?)");

    /** The latest of the days that words ask for. */
    private static Optional<DayAsked> until(String lower) {
        return TO_SELL.matcher(lower).find()
                ? Optional.of(DayAsked.TO_SELL)
                : SETTLED.matcher(lower).find()
                        ? Optional.of(DayAsked.SETTLED)
                        : ROOTED.matcher(lower).find() ? Optional.of(DayAsked.ROOTED) : Optional.empty();
    }

    private static String cut(String text, Matcher m) {
        return text.substring(0, m.start()) + " " + text.substring(m.end());
    }

    /** "by the fair" is a day that nobody can reckon: what it is for. */
    private static Optional<String> unreadOccasion(String lower) {
        Matcher by = Pattern.compile("\\bby (the [a-z ]+?)(?=,|\\d|$)").matcher(lower.strip());
        return by.find() ? Optional.of(by.group(1).strip()) : Optional.empty();
    }

    /** What is left of the line when all else is read: the words that name the plant. */
    private static String plant(String left, Optional<String> occasion) {
        String rest =
                occasion.map(o -> left.replace(o.toLowerCase(Locale.ROOT), " ")).orElse(left);
        return BESIDE.matcher(rest)
                .replaceAll(" ")
                .replaceAll("[,;.?!%]+", " ")
                .replaceAll("\\s+", " ")
                .strip();
    }
}
