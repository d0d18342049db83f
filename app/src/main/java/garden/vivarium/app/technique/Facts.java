package garden.vivarium.app.technique;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What was measured, in the few words by which batches are told apart. */
final class Facts {

    private static final List<String> SEASONS = List.of("winter", "spring", "summer", "autumn");

    private Facts() {}

    static boolean isHormone(String treatment) {
        return treatment.strip().startsWith("hormone");
    }

    private static final Pattern STRENGTH = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(%|ppm)");
    private static final double PPM_OF_A_HUNDREDTH = 10_000;

    /** What was measured of a batch on the bench: days dried, strength of the hormone, length. */
    static Map<Measure, Double> measures(Taking taking, List<String> treatments, Integer lengthMm) {
        Map<Measure, Double> is = new EnumMap<>(Measure.class);
        is.put(Measure.DRIED, (double) ChronoUnit.DAYS.between(taking.takenOn(), taking.stuckOn()));
        if (lengthMm != null) {
            is.put(Measure.LENGTH, lengthMm / 10.0);
        }
        List<String> hormones = treatments.stream().filter(Facts::isHormone).toList();
        if (hormones.isEmpty()) {
            is.put(Measure.HORMONE, 0.0);
        } else {
            strength(hormones.get(0)).ifPresent(ppm -> is.put(Measure.HORMONE, ppm));
        }
        return is;
    }

    /** In ppm, where the words say it. */
    static Optional<Double> strength(String hormone) {
        Matcher found = STRENGTH.matcher(hormone);
        return found.find()
                ? Optional.of(
                        Double.parseDouble(found.group(1)) * (found.group(2).equals("%") ? PPM_OF_A_HUNDREDTH : 1))
                : Optional.empty();
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
