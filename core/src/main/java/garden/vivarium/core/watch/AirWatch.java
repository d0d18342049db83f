package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.measure.Warmth;
import java.util.List;
import java.util.Optional;

/** What hours of readings at a place come to, beside what stands there wants. */
public final class AirWatch {

    /** So far outside the wanted warmth, in °C, for so many hours on end, somebody should go there. Round figures of this project's own. */
    private static final double FAR = 2;

    private static final int HOURS = 4;

    /** What a thermometer on a bench tells; nearer to the edge than this, in °C, is within. */
    private static final double TELLS = 0.5;

    /** Where so many hours before were no better for most of them, it is the place that does not suit, and nothing has gone wrong. */
    private static final int KNOWN_HOURS = 12;

    private static final int WEEK = 7 * 24;

    private AirWatch() {}

    /**
     * An hour as it was measured.
     *
     * @param warmth mean °C
     * @param humidity mean per cent; empty where it was not measured
     */
    public record Hour(double warmth, Optional<Double> humidity) {}

    /**
     * What is wanted.
     *
     * @param warmth °C from and to; empty where it is as it comes
     * @param least humidity in per cent; empty where it is as it comes
     */
    public record Wanted(Optional<Warmth> warmth, Optional<Double> least) {

        /** Nothing in particular. */
        public static final Wanted NOTHING = new Wanted(Optional.empty(), Optional.empty());
    }

    /** What somebody should go there for. */
    public enum Alarm implements Rule {
        /** Too cold for so many {@code hours}. */
        COLD,
        /** Too hot for so many {@code hours}. */
        HOT
    }

    /**
     * What hours come to.
     *
     * @param cold hours below the wanted warmth
     * @param hot hours above it
     * @param dry hours below the wanted humidity
     */
    public record Tally(int cold, int hot, int dry) {}

    /**
     * Beyond what an hour is wrong.
     *
     * @param cold below this °C; minus infinity where cold does not matter
     * @param hot above this; infinity where heat does not
     * @param dry below this per cent; minus infinity where dryness does not
     */
    public record Limits(double cold, double hot, double dry) {

        /** Of what is wanted, as nearly as a thermometer on a bench tells. */
        public static Limits of(Wanted wanted) {
            return new Limits(
                    wanted.warmth().map(w -> w.from() - TELLS).orElse(Double.NEGATIVE_INFINITY),
                    wanted.warmth().map(w -> w.to() + TELLS).orElse(Double.POSITIVE_INFINITY),
                    wanted.least().orElse(Double.NEGATIVE_INFINITY));
        }
    }

    /** How many hours were too cold, too hot, too dry. */
    public static Tally tally(List<Hour> hours, Wanted wanted) {
        Limits limits = Limits.of(wanted);
        int cold = 0;
        int hot = 0;
        int dry = 0;
        for (Hour hour : hours) {
            cold += hour.warmth() < limits.cold() ? 1 : 0;
            hot += hour.warmth() > limits.hot() ? 1 : 0;
            dry += hour.humidity().filter(h -> h < limits.dry()).isPresent() ? 1 : 0;
        }
        return new Tally(cold, hot, dry);
    }

    /** So many hours on end until now of one sort. */
    public record Now(Alarm alarm, int hours, double warmth) {}

    /**
     * Whether somebody should go there: when the last hours on end were far too cold, or far too hot. One hour within ends it; and where
     * most hours before were no better, nothing has gone wrong, but the place does not suit.
     *
     * @param hours the oldest first, best of a week
     */
    public static Optional<Now> alarm(List<Hour> hours, Wanted wanted) {
        if (wanted.warmth().isEmpty() || hours.isEmpty()) {
            return Optional.empty();
        }
        Warmth warmth = wanted.warmth().get();
        double last = hours.get(hours.size() - 1).warmth();
        Alarm sort = last < warmth.from() ? Alarm.COLD : Alarm.HOT;
        int onEnd = 0;
        while (onEnd < hours.size() && isFar(hours.get(hours.size() - 1 - onEnd), sort, warmth)) {
            onEnd++;
        }
        List<Hour> before = hours.subList(0, hours.size() - onEnd);
        long far = before.stream().filter(h -> isFar(h, sort, warmth)).count();
        boolean neverBetter = before.size() >= KNOWN_HOURS ? 2 * far > before.size() : onEnd > WEEK - KNOWN_HOURS;
        if (neverBetter) {
            return Optional.empty();
        }
        return onEnd >= HOURS ? Optional.of(new Now(sort, onEnd, last)) : Optional.empty();
    }

    /** Whether the last four hours on end were far outside: only then there may be an alarm, and the week before is worth reading. */
    public static boolean isFarNow(List<Hour> hours, Wanted wanted) {
        return hours.size() >= HOURS
                && wanted.warmth()
                        .filter(w -> {
                            List<Hour> last = hours.subList(hours.size() - HOURS, hours.size());
                            return last.stream().allMatch(h -> isFar(h, Alarm.COLD, w))
                                    || last.stream().allMatch(h -> isFar(h, Alarm.HOT, w));
                        })
                        .isPresent();
    }

    private static boolean isFar(Hour hour, Alarm sort, Warmth warmth) {
        return sort == Alarm.COLD ? hour.warmth() < warmth.from() - FAR : hour.warmth() > warmth.to() + FAR;
    }
}
