package garden.vivarium.core.timing;

/**
 * How a season bears on a batch: its times and its strike rate, each as a factor on what holds in season.
 *
 * @param slower factor on every time, 1 and up; 1 in season
 * @param poorer factor on the strike rate, above 0 and at most 1; 1 in season
 */
public record SeasonFactors(double slower, double poorer) {

    /** In season: neither slower nor poorer. */
    public static final SeasonFactors IN_SEASON = new SeasonFactors(1, 1);

    public SeasonFactors {
        if (!(slower >= 1) || Double.isInfinite(slower) || !(poorer > 0) || !(poorer <= 1)) {
            throw new IllegalArgumentException(
                    "a season is slower by 1 and up and poorer by above 0 to 1, not by %s and %s"
                            .formatted(slower, poorer));
        }
    }

    /** Whether it is as usual. */
    public boolean isInSeason() {
        return slower == 1 && poorer == 1;
    }
}
