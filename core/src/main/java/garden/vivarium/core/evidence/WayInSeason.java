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

    boolean isSameSeason(WayInSeason other) {
        return season.isInSeason() == other.season().isInSeason();
    }

    /** Q: how much better or poorer the season asked about is than the other one. */
    double poorerThan(WayInSeason other) {
        return season.poorer() / other.season().poorer();
    }
}
