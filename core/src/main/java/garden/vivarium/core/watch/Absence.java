package garden.vivarium.core.watch;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Days on which nobody is there, and what they mean for something to be done.
 *
 * @param from first day away
 * @param back first day back, after {@code from}
 */
public record Absence(LocalDate from, LocalDate back) {

    /** The longest absence that is judged; beyond it somebody else runs the nursery. */
    public static final int MOST_DAYS = 120;

    public Absence {
        if (!back.isAfter(from)) {
            throw new IllegalArgumentException("somebody who leaves on %s is back on a later day".formatted(from));
        }
        if (back.isAfter(from.plusDays(MOST_DAYS))) {
            throw new IllegalArgumentException("an absence is %d days at most".formatted(MOST_DAYS));
        }
    }

    /** What an absence means for something to be done. */
    public enum Meaning {
        /** It can be done before, and should be: waiting till the return would harm, or it is due before anyway. */
        BEFORE,
        /** It cannot be done before, and waiting till the return harms. */
        SUFFERS,
        /** It falls due meanwhile, and can wait. */
        WAITS,
        /** It is due after the return. */
        AFTER
    }

    /**
     * Judges something that becomes possible on a day and does harm from a later one.
     *
     * @param possible first day on which it can be done
     * @param harms first day on which not having done it harms; empty where waiting does no harm
     */
    public Meaning judge(LocalDate possible, Optional<LocalDate> harms) {
        boolean harmed = harms.isPresent() && harms.get().isBefore(back);
        if (possible.isBefore(from)) {
            return Meaning.BEFORE;
        }
        if (harmed) {
            return Meaning.SUFFERS;
        }
        return possible.isBefore(back) ? Meaning.WAITS : Meaning.AFTER;
    }

    /** Whether nobody is there on the day. */
    public boolean covers(LocalDate day) {
        return !day.isBefore(from) && day.isBefore(back);
    }
}
