package garden.vivarium.app.platform;

import garden.vivarium.core.Text;
import garden.vivarium.core.measure.WaitInWords;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Component;

/** How days and numbers are said on every page; templates call it as {@code @says}. */
@Component("says")
public class Says {

    /** From so many minutes on work is said in half days of four hours. */
    private static final int LONG_WORK = 210;

    private static final float HALF_A_DAY = 240;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);
    private static final DateTimeFormatter DAY_WITH_YEAR = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);

    private final Today today;

    Says(Today today) {
        this.today = today;
    }

    /** "Tue 24 Nov", with the year where it is not this one. */
    public String day(LocalDate day) {
        if (day == null) {
            return "—";
        }
        return (day.getYear() == today.date().getYear() ? DAY : DAY_WITH_YEAR)
                .format(day)
                .replace("Sept", "Sep");
    }

    /** "Tue 24 Nov, 14:05", by the clock of the nursery. */
    public String at(Instant instant) {
        LocalDateTime local = today.local(instant);
        return day(local.toLocalDate()) + ", " + TIME.format(local);
    }

    /** "March". */
    public String month(Month month) {
        return month.getDisplayName(TextStyle.FULL, Locale.UK);
    }

    /** "73%"; what is neither sure nor impossible is never called 100% or 0%. */
    public String percent(double share) {
        if (share > 0.995 && share < 1 - 1e-9) {
            return Messages.text("Says.over", "percent", "99%");
        }
        if (share > 1e-9 && share < 0.005) {
            return Messages.text("Says.under", "percent", "1%");
        }
        return Text.of("%.0f%%", 100 * share);
    }

    /** The day so many days from today. */
    public String inDays(int days) {
        return day(today.date().plusDays(days));
    }

    /** "Tue 24 Nov, Wren": a day and whose. */
    public String dayBy(LocalDate day, String person) {
        return day(day) + ", " + person;
    }

    /** "45%–60%": between two shares. */
    public String percents(double low, double high) {
        return percent(low) + "–" + percent(high);
    }

    /** "12–18": between two numbers of days, whole. */
    public String days(double from, double to) {
        return Text.of("%.0f–%.0f", from, to);
    }

    /** Seconds of the wait that a step of the work says; 0 where it says none. */
    public long wait(String step) {
        return WaitInWords.in(step).map(Duration::toSeconds).orElse(0L);
    }

    /** "20 min", "1½ h", "30 s". */
    public String span(long seconds) {
        if (seconds < 60) {
            return Messages.text("Says.seconds", "n", seconds);
        }
        return seconds % 1800 != 0
                ? Messages.text("Says.minutes", "n", Math.round(seconds / 60.0))
                : Messages.text(
                        "Says.hours", "n", (seconds < 3600 ? "" : seconds / 3600) + (seconds % 3600 == 0 ? "" : "½"));
    }

    /** Work as people say it: "8 minutes", "about 35 minutes", "about 1½ hours", "about half a day". */
    public String work(int minutes) {
        if (minutes < 10) {
            return Messages.text("Says.work.exactly", "minutes", minutes);
        }
        if (minutes < 50) {
            return Messages.text("Says.work.minutes", "minutes", 5 * Math.round(minutes / 5f));
        }
        boolean days = minutes >= LONG_WORK;
        int halves = Math.round(minutes / (days ? HALF_A_DAY : 30f));
        return Messages.text(
                days ? "Says.work.days" : "Says.work.hours",
                "halves",
                halves,
                "number",
                halves / 2 + (halves % 2 == 1 ? "½" : ""));
    }

    /** "1 piece", "12 pieces". */
    public String count(long number, String one, String many) {
        return number == 1 ? "1 " + one : Text.of("%,d %s", number, many);
    }

    /** A difference of shares in pieces of a hundred: "4", "−12", "0". */
    public String inHundred(double share) {
        long of = Math.round(100 * share);
        return of < 0 ? "−" + -of : String.valueOf(of);
    }

    /** The same with its sign: "+4", "−12", "0". */
    public String moreInHundred(double share) {
        return (Math.round(100 * share) > 0 ? "+" : "") + inHundred(share);
    }

    /** "6", "6.25": two decimals at most, and none where there are none. */
    public String amount(double number) {
        return new DecimalFormat("#,##0.##", DecimalFormatSymbols.getInstance(Locale.ROOT)).format(number);
    }

    /** To two figures, as one says a quantity that nobody measures closer: "7.1", "14", "350". */
    public String rough(double number) {
        return new BigDecimal(number)
                .round(new MathContext(2, RoundingMode.HALF_UP))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** "Tue 3 Nov", or "about Tue 3 Nov, 7 days more or less". */
    public String about(LocalDate day, int unsureDays) {
        return unsureDays == 0 ? day(day) : Messages.text("Says.about", "day", day(day), "unsure", unsureDays);
    }

    /** "March to May, September": months in runs, one that goes over the turn of the year said as one; none is any. */
    public String months(Set<Month> months) {
        if (months.isEmpty() || months.size() == Month.values().length) {
            return Messages.text("Says.any.month");
        }
        List<String> runs = new ArrayList<>();
        for (Month first : Month.values()) {
            if (!months.contains(first) || months.contains(first.minus(1))) {
                continue;
            }
            Month last = first;
            while (months.contains(last.plus(1))) {
                last = last.plus(1);
            }
            runs.add(first == last ? name(first) : Messages.text("Says.months", "from", name(first), "to", name(last)));
        }
        return String.join(", ", runs);
    }

    private static String name(Month month) {
        return month.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    /** A number as it stands in a field of a form: 9 and not 9.0, no commas; empty for none. */
    public String typed(Number number) {
        return number == null
                ? ""
                : BigDecimal.valueOf(number.doubleValue()).stripTrailingZeros().toPlainString();
    }

    /** A whole number with thousands set apart. */
    public String number(long number) {
        return Text.of("%,d", number);
    }

    /** "14 days ago", "today", "in 3 days". */
    public String away(LocalDate day) {
        long days = day.toEpochDay() - today.date().toEpochDay();
        return days == 0
                ? Messages.text("Says.today")
                : Messages.text("Says.away", "past", days < 0, "days", Math.abs(days));
    }
}
