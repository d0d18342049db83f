package garden.vivarium.core.evidence;

import garden.vivarium.core.timing.SeasonFactors;

/**
 * A way in a season: what evidence is asked about.
 *
 * @param way the way
 * @param season how the season bears on it
 */
record WayInSeason(Way way, SeasonFactors season) {

    static WayInSeason of(WayBatch batch) {
        return new WayInSeason(batch.way(), batch.season());
    }

    /** Whether both lie in season, or both out of it. */
    boolean isSameSeason(WayInSeason other) {
        return season.isOut() == other.season().isOut();
    }
}
