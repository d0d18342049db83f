package garden.vivarium.core.timing;

/**
 * How a season bears on a batch: its times and its strike rate, each as a factor on what holds in season.
 *
 * @param slower factor on every time, 1 and up; 1 in season
 * @param poorer factor on the strike rate, above 0 and at most 1; 1 in season
 * @param out how far out of season it is, 0 in season to 1 in the depth of it
 */
public record SeasonFactors(double slower, double poorer, double out) {

    /** In season: neither slower nor poorer. */
    public static final SeasonFactors IN_SEASON = new SeasonFactors(1, 1, 0);

    private static final double HALF = 0.5;

    public SeasonFactors {
        if (!(slower >= 1)
                || Double.isInfinite(slower)
                || !(poorer > 0)
                || !(poorer <= 1)
                || !(out >= 0)
                || !(out <= 1)) {
            throw new IllegalArgumentException(
                    "a season is slower by 1 and up, poorer by above 0 to 1 and out by 0 to 1, not by %s, %s and %s"
                            .formatted(slower, poorer, out));
        }
    }

    /** Wholly out of season, or in it where neither is another. */
    public SeasonFactors(double slower, double poorer) {
        this(slower, poorer, slower == 1 && poorer == 1 ? 0 : 1);
    }

    /** Whether it is as usual. */
    public boolean isInSeason() {
        return slower == 1 && poorer == 1;
    }

    /** Whether it is half out of season or more. */
    public boolean isOut() {
        return out >= HALF;
    }
}
