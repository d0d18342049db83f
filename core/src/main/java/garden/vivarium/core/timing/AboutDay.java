package garden.vivarium.core.timing;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.time.temporal.WeekFields;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A day of the past as people remember it: "3 weeks ago", "June", "early May", "wk 23", "12 April". It is some day of a span, and
 * nobody can say which.
 *
 * @param from the first day that it may have been
 * @param to the last day that it may have been, {@code from} and later
 */
public record AboutDay(LocalDate from, LocalDate to) {

    private static final Pattern AGO = Pattern.compile(
            "(?:about |some |around )?([a-z]+|\\d{1,3}) ?(d|days?|w|wks?|weeks?|m|months?|mths?)(?: ago)?");
    private static final Pattern WEEK = Pattern.compile("(?:wk|week|w) ?(\\d{1,2})(?: (\\d{4}))?");
    private static final Pattern DAY_OF_MONTH =
            Pattern.compile("(\\d{1,2})(?:st|nd|rd|th)?\\.? (?:of )?([a-z]+)(?: (\\d{4}))?");
    private static final Pattern MONTH_DAY = Pattern.compile("([a-z]+) (\\d{1,2})(?:st|nd|rd|th)?(?:,? (\\d{4}))?");
    private static final Pattern MONTH =
            Pattern.compile("(?:(early|mid|late|begin|beginning of|middle of|end of) ?-?)?([a-z]+)(?: (\\d{4}))?");
    private static final Pattern FIGURES = Pattern.compile("(\\d{1,2})[./-](\\d{1,2})[./-](\\d{4}|\\d{2})");
    private static final Pattern NO_YEAR = Pattern.compile("(\\d{1,2})[./-](\\d{1,2})");
    private static final Pattern SPAN = Pattern.compile("(\\d{4}-\\d{2}-\\d{2})/(\\d{4}-\\d{2}-\\d{2})");
    private static final Pattern YEAR_FIRST = Pattern.compile("(\\d{4})[./](\\d{1,2})[./](\\d{1,2})");
    private static final Pattern SHORT_YEAR = Pattern.compile("(.*[a-z]) (\\d{2})");

    private static final Map<String, Integer> NUMBERS = Map.ofEntries(
            Map.entry("a", 1),
            Map.entry("an", 1),
            Map.entry("one", 1),
            Map.entry("two", 2),
            Map.entry("three", 3),
            Map.entry("four", 4),
            Map.entry("five", 5),
            Map.entry("six", 6),
            Map.entry("seven", 7),
            Map.entry("eight", 8),
            Map.entry("nine", 9),
            Map.entry("ten", 10),
            Map.entry("twelve", 12));

    private static final int SURE_DAYS = 3;
    private static final int TENTH = 10;
    private static final int LAST_OF_EARLY = 10;
    private static final int LAST_OF_MIDDLE = 20;

    public AboutDay {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException(
                    "a span ends on its first day or later, not %s to %s".formatted(from, to));
        }
    }

    /** Just that day. */
    public static AboutDay of(LocalDate day) {
        return new AboutDay(day, day);
    }

    /** The day in the middle of the span, the earlier one of two. */
    public LocalDate middle() {
        return from.plusDays(ChronoUnit.DAYS.between(from, to) / 2);
    }

    /** How many days before or after the middle it may have been at most; 0 where the day is known. */
    public int giveOrTake() {
        return (int) ChronoUnit.DAYS.between(middle(), to);
    }

    /**
     * Reads what somebody typed. A day without a year is the last such day that has come; a span that has begun ends today.
     *
     * @param words as typed
     * @param today the day of writing
     * @return the span; empty where the words say no day, one that has not come, or, of figures as 4/5/2026, which is the month
     */
    public static Optional<AboutDay> read(String words, LocalDate today) {
        String said = words.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        return iso(said)
                .or(() -> word(said, today))
                .or(() -> week(said, today))
                .or(() -> dayOfMonth(said, today))
                .or(() -> month(said, today))
                .or(() -> ago(said, today))
                .or(() -> figures(said))
                .filter(a -> !a.from().isAfter(today))
                .map(a -> a.to().isAfter(today) ? new AboutDay(a.from(), today) : a);
    }

    /**
     * Reads a day as a notebook or a spreadsheet has it: with its year, or of the year that was said for those without one. Words
     * that count from the day of writing ("3 weeks ago") say nothing here.
     *
     * @param words as written
     * @param order which comes first in figures as 12/4/2024; where nobody said, only what can be one day is read
     * @param year of days without one; where nobody said, they are not read
     * @param today no day may be later, and a span that has begun ends then
     * @return the span; empty where the words say no day, or one that has not come
     */
    public static Optional<AboutDay> written(
            String words, Optional<DayOrder> order, OptionalInt year, LocalDate today) {
        String said = plain(words);
        if (hasNoYear(said)) {
            if (year.isEmpty()) {
                return Optional.empty();
            }
            said = NO_YEAR.matcher(said).matches() ? said + "/" + year.getAsInt() : said + " " + year.getAsInt();
        }
        String dated = said;
        return span(dated)
                .or(() -> week(dated, today))
                .or(() -> dayOfMonth(dated, today))
                .or(() -> month(dated, today))
                .or(() -> figures(dated))
                .or(() -> order.flatMap(o -> inOrder(dated, o)))
                .filter(a -> !a.from().isAfter(today))
                .map(a -> a.to().isAfter(today) ? new AboutDay(a.from(), today) : a);
    }

    /** Whether it is a day in figures that may be two, by which comes first. */
    public static boolean needsOrder(String words) {
        String said = plain(words);
        String dated = NO_YEAR.matcher(said).matches() ? said + "/2000" : said;
        return figures(dated).isEmpty()
                && (inOrder(dated, DayOrder.DAY_FIRST).isPresent()
                        || inOrder(dated, DayOrder.MONTH_FIRST).isPresent());
    }

    /** Whether it is a day, a week or a month without its year. */
    public static boolean needsYear(String words) {
        return hasNoYear(plain(words));
    }

    private static boolean hasNoYear(String said) {
        return NO_YEAR.matcher(said).matches()
                || withoutYear(WEEK, said, 2)
                || isDayWithoutYear(said)
                || isMonthWithoutYear(said);
    }

    private static boolean withoutYear(Pattern pattern, String said, int year) {
        Matcher m = pattern.matcher(said);
        return m.matches() && m.group(year) == null;
    }

    private static boolean isDayWithoutYear(String said) {
        Matcher number = DAY_OF_MONTH.matcher(said);
        if (number.matches()) {
            return number.group(3) == null && named(number.group(2)).isPresent();
        }
        Matcher name = MONTH_DAY.matcher(said);
        return name.matches() && name.group(3) == null && named(name.group(1)).isPresent();
    }

    private static boolean isMonthWithoutYear(String said) {
        return withoutYear(MONTH, said, 3)
                && MONTH.matcher(said).results().anyMatch(r -> named(r.group(2)).isPresent());
    }

    /** In small letters, without the weekday, with blanks between words and figures, and whole years after words. */
    private static String plain(String words) {
        String said = words.strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ")
                .replaceFirst("^(mon|tue|wed|thu|fri|sat|sun)[a-z]*[,.]? (?=.*\\d)", "")
                .replaceAll("(?<=[a-z])[-./](?=\\d)|(?<=\\d)[-./](?=[a-z])", " ")
                .replaceFirst("^(wk|week|w) ?(\\d{1,2})[/-](?=\\d{4}$)", "$1 $2 ");
        Matcher shortYear = SHORT_YEAR.matcher(said);
        boolean isYear = shortYear.matches()
                && !said.startsWith("w")
                && (shortYear.group(1).matches("\\d.*") || Integer.parseInt(shortYear.group(2)) > 12);
        return isYear ? shortYear.group(1) + " 20" + shortYear.group(2) : said;
    }

    private static Optional<AboutDay> span(String said) {
        Matcher m = SPAN.matcher(said);
        try {
            if (m.matches()) {
                LocalDate from = LocalDate.parse(m.group(1));
                LocalDate to = LocalDate.parse(m.group(2));
                return to.isBefore(from) ? Optional.empty() : Optional.of(new AboutDay(from, to));
            }
            m = YEAR_FIRST.matcher(said);
            return m.matches()
                    ? Optional.of(of(LocalDate.of(
                            Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), Integer.parseInt(m.group(3)))))
                    : iso(said);
        } catch (DateTimeException noSuchDay) {
            return Optional.empty();
        }
    }

    private static Optional<AboutDay> inOrder(String said, DayOrder order) {
        Matcher m = FIGURES.matcher(said);
        if (!m.matches()) {
            return Optional.empty();
        }
        int day = Integer.parseInt(m.group(order == DayOrder.DAY_FIRST ? 1 : 2));
        int month = Integer.parseInt(m.group(order == DayOrder.DAY_FIRST ? 2 : 1));
        int year = Integer.parseInt(m.group(3).length() == 2 ? "20" + m.group(3) : m.group(3));
        try {
            return Optional.of(of(LocalDate.of(year, month, day)));
        } catch (DateTimeException noSuchDay) {
            return Optional.empty();
        }
    }

    private static Optional<AboutDay> iso(String said) {
        try {
            return Optional.of(of(LocalDate.parse(said)));
        } catch (DateTimeParseException notOne) {
            return Optional.empty();
        }
    }

    private static Optional<AboutDay> word(String said, LocalDate today) {
        LocalDate monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return switch (said) {
            case "today", "now" -> Optional.of(of(today));
            case "yesterday" -> Optional.of(of(today.minusDays(1)));
            case "this week" -> Optional.of(new AboutDay(monday, today));
            case "last week" -> Optional.of(new AboutDay(monday.minusWeeks(1), monday.minusDays(1)));
            case "last month" -> Optional.of(whole(YearMonth.from(today).minusMonths(1)));
            default -> Optional.empty();
        };
    }

    /** The further back, the less sure: a tenth of the time, and half the unit that was used. */
    private static Optional<AboutDay> ago(String said, LocalDate today) {
        Matcher m = AGO.matcher(said);
        if (!m.matches()) {
            return Optional.empty();
        }
        Integer number = m.group(1).matches("\\d+") ? Integer.valueOf(m.group(1)) : NUMBERS.get(m.group(1));
        if (number == null) {
            return Optional.empty();
        }
        char unit = m.group(2).charAt(0);
        int days = unit == 'd'
                ? number
                : unit == 'w' ? 7 * number : (int) ChronoUnit.DAYS.between(today.minusMonths(number), today);
        int half = unit == 'd' ? (number <= SURE_DAYS ? 0 : 1) : unit == 'w' ? 3 : 15;
        int unsure = unit == 'd' && number <= SURE_DAYS ? 0 : Math.max(half, days / TENTH);
        LocalDate middle = today.minusDays(days);
        return Optional.of(new AboutDay(middle.minusDays(unsure), middle.plusDays(unsure)));
    }

    private static Optional<AboutDay> week(String said, LocalDate today) {
        Matcher m = WEEK.matcher(said);
        if (!m.matches() || Integer.parseInt(m.group(1)) < 1 || Integer.parseInt(m.group(1)) > 53) {
            return Optional.empty();
        }
        int week = Integer.parseInt(m.group(1));
        int year = m.group(2) == null ? today.get(IsoFields.WEEK_BASED_YEAR) : Integer.parseInt(m.group(2));
        LocalDate monday = monday(year, week);
        if (m.group(2) == null && monday.isAfter(today)) {
            monday = monday(year - 1, week);
        }
        return Optional.of(new AboutDay(monday, monday.plusDays(6)));
    }

    private static LocalDate monday(int year, int week) {
        return LocalDate.of(year, 1, 4)
                .with(WeekFields.ISO.weekOfWeekBasedYear(), week)
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static Optional<AboutDay> dayOfMonth(String said, LocalDate today) {
        Matcher m = DAY_OF_MONTH.matcher(said);
        if (m.matches()) {
            return day(m.group(1), m.group(2), m.group(3), today);
        }
        m = MONTH_DAY.matcher(said);
        return m.matches() ? day(m.group(2), m.group(1), m.group(3), today) : Optional.empty();
    }

    private static Optional<AboutDay> day(String number, String name, String year, LocalDate today) {
        return named(name).flatMap(month -> {
            try {
                LocalDate day = LocalDate.of(
                        year == null ? today.getYear() : Integer.parseInt(year), month, Integer.parseInt(number));
                return Optional.of(of(year == null && day.isAfter(today) ? day.minusYears(1) : day));
            } catch (DateTimeException noSuchDay) {
                return Optional.empty();
            }
        });
    }

    private static Optional<AboutDay> month(String said, LocalDate today) {
        Matcher m = MONTH.matcher(said);
        if (!m.matches()) {
            return Optional.empty();
        }
        return named(m.group(2)).map(month -> {
            YearMonth of = YearMonth.of(m.group(3) == null ? today.getYear() : Integer.parseInt(m.group(3)), month);
            YearMonth past = m.group(3) == null && of.atDay(1).isAfter(today) ? of.minusYears(1) : of;
            return part(past, m.group(1) == null ? "" : m.group(1));
        });
    }

    private static AboutDay part(YearMonth month, String which) {
        return switch (which) {
            case "early", "begin", "beginning of" -> new AboutDay(month.atDay(1), month.atDay(LAST_OF_EARLY));
            case "mid", "middle of" -> new AboutDay(month.atDay(LAST_OF_EARLY + 1), month.atDay(LAST_OF_MIDDLE));
            case "late", "end of" -> new AboutDay(month.atDay(LAST_OF_MIDDLE + 1), month.atEndOfMonth());
            default -> whole(month);
        };
    }

    private static AboutDay whole(YearMonth month) {
        return new AboutDay(month.atDay(1), month.atEndOfMonth());
    }

    /** "13/4/2026" and "4/13/2026" are the same day; "4/5/2026" may be two. */
    private static Optional<AboutDay> figures(String said) {
        Matcher m = FIGURES.matcher(said);
        if (!m.matches()) {
            return Optional.empty();
        }
        int one = Integer.parseInt(m.group(1));
        int other = Integer.parseInt(m.group(2));
        int year = Integer.parseInt(m.group(3).length() == 2 ? "20" + m.group(3) : m.group(3));
        try {
            if (one > 12 || one == other) {
                return Optional.of(of(LocalDate.of(year, other, one)));
            }
            return other > 12 ? Optional.of(of(LocalDate.of(year, one, other))) : Optional.empty();
        } catch (DateTimeException noSuchDay) {
            return Optional.empty();
        }
    }

    private static Optional<Month> named(String name) {
        return List.of(Month.values()).stream()
                .filter(m -> {
                    String whole = m.name().toLowerCase(Locale.ROOT);
                    return name.length() >= 3 && whole.startsWith(name);
                })
                .findFirst();
    }
}
