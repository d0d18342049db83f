package garden.vivarium.core.timing;

import java.time.LocalDate;
import java.time.Month;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Set;
import java.util.TreeSet;

/**
 * When a way works at its usual speed and rate, as months of the northern year, and how much slower and poorer it is
 * outside them. An empty set of months means all year.
 *
 * @param months months of the northern year in season; empty for all year
 * @param slower factor on every time out of season, 1 and up
 * @param poorer factor on the strike rate out of season, above 0 and at most 1
 * @param of what it is a season of
 */
public record Season(Set<Month> months, double slower, double poorer, Of of) {

    /** So many days outside its months a season holds in full. */
    private static final double SLOPE_DAYS = 45;

    private static final double STEPS = 16;

    /** What the months stand for: a shelter mends the want of warmth and light, and none makes ripe wood in spring. */
    public enum Of {
        /** The pieces themselves: dormant wood, soft growth, resting bulbs. */
        MATERIAL,
        /** Warmth and light where the pieces stand. */
        WARMTH
    }

    public Season {
        months = months.isEmpty() ? Set.of() : Set.copyOf(months);
        if (!(slower >= 1) || !(poorer > 0) || !(poorer <= 1)) {
            throw new IllegalArgumentException(
                    "out of season is slower (1 and up) and poorer (above 0, at most 1), not %s and %s"
                            .formatted(slower, poorer));
        }
    }

    /** All year round, at one speed and rate. */
    public static Season allYear() {
        return new Season(Set.of(), 1, 1, Of.WARMTH);
    }

    /** A season of the given months. */
    public static Season of(Collection<Month> months, double slower, double poorer, Of of) {
        return new Season(months.isEmpty() ? Set.of() : EnumSet.copyOf(months), slower, poorer, of);
    }

    /** Whether a batch stuck on the day in such a place is in season. */
    public boolean isIn(LocalDate day, Climate climate, Hemisphere hemisphere) {
        return months.isEmpty() || !climate.seasonal() || months.contains(northern(day.getMonth(), hemisphere));
    }

    /**
     * How far a day is out of season, whatever the place: 0 in season; days to the nearer edge by 45, or by half the gap between two seasons
     * where that is shorter; 1 from there on. In sixteenths.
     */
    public double away(LocalDate day, Hemisphere hemisphere) {
        if (months.isEmpty() || months.contains(northern(day.getMonth(), hemisphere))) {
            return 0;
        }
        int since = daysUntilSeason(day, hemisphere, -1);
        int until = daysUntilSeason(day, hemisphere, 1);
        double whole = Math.min(SLOPE_DAYS, (since + until - 1) / 2.0);
        return Math.min(1, Math.round(STEPS * Math.min(since, until) / whole) / STEPS);
    }

    private int daysUntilSeason(LocalDate day, Hemisphere hemisphere, int step) {
        int days = 0;
        LocalDate at = day;
        while (!months.contains(northern(at.getMonth(), hemisphere))) {
            at = at.plusDays(step);
            days++;
        }
        return days;
    }

    /**
     * Both factors for a batch stuck on the day: slower^(cd) and poorer^(cd), d how far the day is out of season, c what of the season reaches
     * it.
     *
     * @param climate of the place where it stands
     * @param stock of the place where the stock plant stands
     */
    public SeasonFactors factors(LocalDate day, Climate climate, Climate stock, Hemisphere hemisphere) {
        double share = of == Of.MATERIAL ? stock.shareOfMaterial() : climate.share();
        double out = share * away(day, hemisphere);
        return out == 0
                ? SeasonFactors.IN_SEASON
                : new SeasonFactors(Math.pow(slower, out), Math.pow(poorer, out), out);
    }

    /** Both factors out of season; 1 and 1 where there is no season. */
    public SeasonFactors outside() {
        return months.isEmpty() ? SeasonFactors.IN_SEASON : new SeasonFactors(slower, poorer);
    }

    /** The months in season as the nursery's own calendar has them, in order; empty for all year. */
    public Set<Month> localMonths(Hemisphere hemisphere) {
        Set<Month> local = new TreeSet<>();
        months.forEach(m -> local.add(northern(m, hemisphere)));
        return local;
    }

    private static Month northern(Month month, Hemisphere hemisphere) {
        return hemisphere == Hemisphere.NORTH ? month : month.plus(6);
    }
}
