package garden.vivarium.app.copies;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** Which copies are kept: of the last 7 days each, of the last 5 weeks the latest of each, of the last 12 months the latest of each. */
final class KeptByAge {

    private static final int DAYS = 7;
    private static final int WEEKS = 5;
    private static final int MONTHS = 12;

    private KeptByAge() {}

    /** Of the days of copies those that are kept; what is after today is kept too, since a clock may have gone back. */
    static Set<LocalDate> of(Collection<LocalDate> days, LocalDate today) {
        List<LocalDate> latestFirst =
                days.stream().sorted(Comparator.reverseOrder()).toList();
        Set<LocalDate> kept = new HashSet<>();
        latestFirst.stream().filter(d -> d.isAfter(today.minusDays(DAYS))).forEach(kept::add);
        latestOfEach(latestFirst, today.minusWeeks(WEEKS), KeptByAge::week, kept);
        latestOfEach(latestFirst, today.minusMonths(MONTHS), YearMonth::from, kept);
        return kept;
    }

    private static String week(LocalDate day) {
        return day.get(IsoFields.WEEK_BASED_YEAR) + "-" + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
    }

    private static void latestOfEach(
            List<LocalDate> latestFirst, LocalDate after, Function<LocalDate, Object> of, Set<LocalDate> kept) {
        Set<Object> seen = new HashSet<>();
        latestFirst.stream()
                .filter(d -> d.isAfter(after))
                .filter(d -> seen.add(of.apply(d)))
                .forEach(kept::add);
    }
}
