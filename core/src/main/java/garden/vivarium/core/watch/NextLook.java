package garden.vivarium.core.watch;

import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.RootingTime;
import java.util.Locale;

/**
 * When to look next: the first day d after the last look c on which a pending piece has become ready with a chance of 0.3
 * or more, π(F(d) − F(c)) ÷ (1 − πF(c)), held between the protocol's least and most days.
 *
 * @param day days since the day stuck
 * @param chance the chance on that day that a piece pending at the last look has become ready
 * @param lastLook c
 * @param isWorthIt whether the chance reaches 0.3; if not, the most days between looks decide
 */
public record NextLook(int day, double chance, int lastLook, boolean isWorthIt) {

    private static final double WORTH_A_LOOK = 0.3;

    /**
     * Finds the day.
     *
     * @param reaching π, 0 to 1
     * @param time F
     * @param lastLook c, 0 when never looked at
     * @param least shortest time to the next look, in days, 1 and up
     * @param most longest time, in days, {@code least} and up
     */
    public static NextLook of(double reaching, RootingTime time, int lastLook, int least, int most) {
        for (int day = lastLook + 1; day <= lastLook + most; day++) {
            double chance = chance(reaching, time, lastLook, day);
            if (chance >= WORTH_A_LOOK) {
                int held = Math.max(day, lastLook + least);
                return new NextLook(held, chance(reaching, time, lastLook, held), lastLook, true);
            }
        }
        int last = lastLook + most;
        return new NextLook(last, chance(reaching, time, lastLook, last), lastLook, false);
    }

    /** The chance that a piece pending on day c has become ready by day d. */
    public static double chance(double reaching, RootingTime time, int c, int d) {
        double before = time.by(c);
        return reaching * (time.by(d) - before) / (1 - reaching * before);
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                "When to look next",
                Working.step(
                        "The chance that a pending piece has become ready since day %d".formatted(lastLook),
                        String.format(Locale.ROOT, "on day %d: %.0f%%", day, 100 * chance)),
                Working.step(
                        isWorthIt
                                ? "A look is worth it from three in ten on"
                                : "It stays under three in ten, so the protocol's longest time between looks decides",
                        "day %d".formatted(day)));
    }
}
