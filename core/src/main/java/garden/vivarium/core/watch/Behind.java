package garden.vivarium.core.watch;

import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.plan.ReadyChance;
import java.util.List;
import java.util.Locale;

/**
 * Whether a batch is behind its usual. At each look the tail is P(K ≤ k), k ready of the n looked at by day t, under what
 * was expected without this batch. Behind is said when it is below 0.05 at the last two looks, or below 0.01 at the last.
 *
 * @param looks the looks judged, in order of day, at least one
 */
public record Behind(List<Judged> looks) {

    private static final double LOW = 0.05;
    private static final double VERY_LOW = 0.01;

    public Behind {
        looks = List.copyOf(looks);
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a batch cannot be judged before its first look");
        }
    }

    /**
     * One look.
     *
     * @param day t
     * @param ready k
     * @param pieces n
     * @param tail P(K ≤ k)
     */
    public record Judged(int day, int ready, int pieces, double tail) {}

    /** Judges one look. */
    public static Judged judge(NextBatch rate, RootingTime time, int day, int ready, int pieces) {
        double tail = 1 - ReadyChance.after(rate, time, day).atLeast(ready + 1, pieces);
        return new Judged(day, ready, pieces, tail);
    }

    public boolean isBehind() {
        Judged last = looks.get(looks.size() - 1);
        boolean twice = looks.size() > 1
                && last.tail() < LOW
                && looks.get(looks.size() - 2).tail() < LOW;
        return last.tail() < VERY_LOW || twice;
    }

    /** How it came about. */
    public Working working() {
        return new Working(
                "Is it behind its usual",
                looks.stream()
                        .skip(Math.max(0, looks.size() - 2))
                        .map(l -> Working.step(
                                "Day %d: the chance of so few or fewer".formatted(l.day()),
                                String.format(Locale.ROOT, "P(K ≤ %d of %d) = %.3f", l.ready(), l.pieces(), l.tail())))
                        .toList());
    }
}
