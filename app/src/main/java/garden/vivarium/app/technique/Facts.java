package garden.vivarium.app.technique;

import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** What was measured, in the few words by which batches are told apart. */
final class Facts {

    private static final List<String> SEASONS = List.of("winter", "spring", "summer", "autumn");

    private Facts() {}

    static boolean isHormone(String treatment) {
        return treatment.strip().startsWith("hormone");
    }

    /** Between taken and stuck. */
    static String dried(LocalDate taken, LocalDate stuck) {
        long days = ChronoUnit.DAYS.between(taken, stuck);
        return days == 0
                ? "not dried"
                : days <= 3
                        ? "dried 1 to 3 days"
                        : days <= 7 ? "dried 4 to 7 days" : days <= 14 ? "dried 8 to 14 days" : "dried over 14 days";
    }

    /** By the month; June is summer in the north. */
    static String season(LocalDate stuck, Hemisphere hemisphere) {
        int quarter = stuck.getMonthValue() % 12 / 3;
        return SEASONS.get(hemisphere == Hemisphere.NORTH ? quarter : (quarter + 2) % 4);
    }

    /** A piece of so many mm. */
    static String length(int mm) {
        return mm < 50 ? "under 5 cm" : mm < 100 ? "5 to 10 cm" : mm < 150 ? "10 to 15 cm" : "15 cm and up";
    }
}
