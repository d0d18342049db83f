package garden.vivarium.core.plan;

import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.Season;
import java.time.LocalDate;

/**
 * Where a batch would stand: it decides the season.
 *
 * @param climate of the place
 * @param hemisphere of the nursery
 */
public record Setting(Climate climate, Hemisphere hemisphere) {

    boolean inSeason(Season season, LocalDate day) {
        return season.isIn(day, climate, hemisphere);
    }
}
