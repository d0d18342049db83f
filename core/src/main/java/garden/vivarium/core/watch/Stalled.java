package garden.vivarium.core.watch;

import garden.vivarium.core.evidence.RootingTime;

/**
 * The chance that a piece still pending will ever become ready: π(1 − F(t)) ÷ (1 − πF(t)). Below 0.05 it is proposed as
 * stalled, unless it was last seen firm, which is said.
 */
public final class Stalled {

    /** Below this chance a piece is proposed as stalled. */
    public static final double HARDLY = 0.05;

    private static final int LONGEST = 3650;

    private Stalled() {}

    /** The chance on day t, 0 to 1. */
    public static double chanceStill(double reaching, RootingTime time, int day) {
        double there = time.by(day);
        return reaching * (1 - there) / (1 - reaching * there);
    }

    /** The first day on which the chance is below 0.05; ten years at the most. */
    public static int fromDay(double reaching, RootingTime time) {
        for (int day = 1; day < LONGEST; day++) {
            if (chanceStill(reaching, time, day) < HARDLY) {
                return day;
            }
        }
        return LONGEST;
    }
}
