package garden.vivarium.app.technique;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.treatment.Treatments;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What was measured, in the few words by which batches are told apart. */
final class Facts {

    private static final List<String> SEASONS = List.of("winter", "spring", "summer", "autumn");

    private Facts() {}

    /** What was measured of a batch on the bench: days dried, strength of the hormone, length. */
    static Map<Measure, Double> measures(Taking taking, Treatments treatments, Integer lengthMm) {
        Map<Measure, Double> is = new EnumMap<>(Measure.class);
        is.put(Measure.DRIED, (double) ChronoUnit.DAYS.between(taking.takenOn(), taking.stuckOn()));
        if (lengthMm != null) {
            is.put(Measure.LENGTH, lengthMm / 10.0);
        }
        treatments.hormonePpm().ifPresent(ppm -> is.put(Measure.HORMONE, ppm));
        return is;
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
