package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Night;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Plants that set buds, or go to rest, by the length of the night: cuttings taken then flower or sleep instead of rooting. The critical
 * nights are usual figures of growers; selections differ by an hour and more.
 */
public final class Nights {

    /** So long before it somebody is told. */
    private static final int AHEAD_DAYS = 21;

    private Nights() {}

    /** What long nights bring. */
    public enum Effect {
        /** Buds are set instead of shoots. */
        BUDS,
        /** Growth ends, tubers swell. */
        REST
    }

    /**
     * How a kind answers to nights.
     *
     * @param critical hours of night from which on it does
     * @param effect what it does
     */
    public record Answer(double critical, Effect effect) {}

    private static final Map<String, Answer> KINDS = Map.of(
            "poinsettia", new Answer(12, Effect.BUDS),
            "chrysanthemum", new Answer(10, Effect.BUDS),
            "kalanchoe", new Answer(12, Effect.BUDS),
            "schlumbergera", new Answer(12, Effect.BUDS),
            "christmas", new Answer(12, Effect.BUDS),
            "dahlia", new Answer(12, Effect.REST),
            "tuberous begonia", new Answer(12, Effect.REST),
            "begonia tuberous", new Answer(12, Effect.REST));

    /** How a plant answers, by its kind or its name; empty where nights make no difference that is known here. */
    public static Optional<Answer> of(String kind, String name) {
        String words = (kind + " " + name).toLowerCase(Locale.ROOT).replace('-', ' ');
        return KINDS.entrySet().stream()
                .filter(e -> words.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    /** The first night at least so long on or after a day, within a year. */
    public static Optional<LocalDate> from(double hours, double latitude, LocalDate day) {
        for (int ahead = 0; ahead < 366; ahead++) {
            if (Night.hours(latitude, day.plusDays(ahead)) >= hours) {
                return Optional.of(day.plusDays(ahead));
            }
        }
        return Optional.empty();
    }

    /**
     * How a plant stands to the nights of a place.
     *
     * @param isLong whether nights are as long now as it answers to
     * @param turns the day on which that changes; empty where it does not within a year
     * @param lamp hours of lamp that keep tonight too short, to the next half hour; 0 where it is short
     * @param most the same in the longest night of the year
     */
    public record Stands(boolean isLong, Optional<LocalDate> turns, double lamp, double most) {}

    /** How a plant stands to the nights of a place on a day. */
    public static Stands stands(Answer answer, double latitude, LocalDate day) {
        boolean isLong = Night.hours(latitude, day) >= answer.critical();
        Optional<LocalDate> turns = Optional.empty();
        double longest = 0;
        for (int ahead = 365; ahead >= 1; ahead--) {
            double night = Night.hours(latitude, day.plusDays(ahead));
            longest = Math.max(longest, night);
            if (night >= answer.critical() != isLong) {
                turns = Optional.of(day.plusDays(ahead));
            }
        }
        return new Stands(isLong, turns, lamp(answer, Night.hours(latitude, day)), lamp(answer, longest));
    }

    /** The night that is left has to be a good half hour too short. */
    private static double lamp(Answer answer, double night) {
        return night < answer.critical() ? 0 : Math.ceil(2 * (night - answer.critical() + 0.5)) / 2;
    }

    /** What is said of nights. */
    public enum Said implements Rule {
        /** In {@code days} nights are as long as {@code critical} hours. */
        SOON,
        /** They are; a lamp for {@code lamp} hours keeps them shorter. */
        NOW
    }

    /**
     * What is to be said of a plant at a place on a day: nothing while its nights are three weeks off and more.
     *
     * @param latitude degrees, north above 0
     */
    public static Optional<Statement> said(Answer answer, double latitude, LocalDate day) {
        double night = Night.hours(latitude, day);
        if (night >= answer.critical()) {
            double lamp = lamp(answer, night);
            return Optional.of(Statement.of(
                    Said.NOW,
                    "night",
                    night,
                    "critical",
                    answer.critical(),
                    "lamp",
                    lamp,
                    "rest",
                    answer.effect() == Effect.REST));
        }
        return from(answer.critical(), latitude, day)
                .map(on -> ChronoUnit.DAYS.between(day, on))
                .filter(days -> days <= AHEAD_DAYS)
                .map(days -> Statement.of(
                        Said.SOON,
                        "days",
                        days,
                        "night",
                        night,
                        "critical",
                        answer.critical(),
                        "rest",
                        answer.effect() == Effect.REST));
    }
}
