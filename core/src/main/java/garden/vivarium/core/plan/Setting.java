package garden.vivarium.core.plan;

import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;

/**
 * Where a batch would stand, and where its stock plant does: they decide the season.
 *
 * @param climate of the place where it would stand
 * @param stock of the place where the stock plant stands
 * @param hemisphere of the nursery
 */
public record Setting(Climate climate, Climate stock, Hemisphere hemisphere) {

    /** Where a batch would stand beside its stock plant. */
    public Setting(Climate climate, Hemisphere hemisphere) {
        this(climate, climate, hemisphere);
    }

    boolean inSeason(Season season, LocalDate day) {
        return factors(season, day).isInSeason();
    }

    SeasonFactors factors(Season season, LocalDate day) {
        return season.factors(day, climate, stock, hemisphere);
    }
}
