package garden.vivarium.app.promise;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;

/**
 * A promise as pages and other modules see it.
 *
 * @param who for whom
 * @param wanted how many, by when, how surely
 * @param placeInLine its place among those of its plant
 * @param standing how far it is kept
 * @param seen the mark of its forms
 */
public record PromiseView(
        UUID id,
        UUID plantId,
        String plant,
        String who,
        Wanted wanted,
        int placeInLine,
        Standing standing,
        String seen) {

    /**
     * What is wanted.
     *
     * @param due the day promised; null for a name that waits in line
     * @param confidence how sure it must be, 0 to 1
     */
    public record Wanted(int plants, LocalDate due, double confidence) {}

    /** How far it is kept: plants given so far, its state, and the day it was closed, or null. */
    public record Standing(int given, PromiseState state, LocalDate closedOn) {}

    public int plants() {
        return wanted.plants();
    }

    public LocalDate due() {
        return wanted.due();
    }

    /** Who is served first: by day due, then by place in line; names that wait come after all days. */
    static final Comparator<PromiseView> IN_LINE = Comparator.comparing(
                    PromiseView::due, Comparator.nullsLast(Comparator.naturalOrder()))
            .thenComparingInt(PromiseView::placeInLine);

    /** Plants still owed. */
    public int owed() {
        return Math.max(0, wanted.plants() - standing.given());
    }

    /** Whether a chance is below what was asked; a name that waits without a day is never short. */
    boolean isShortAt(double chance) {
        return wanted.due() != null && chance < wanted.confidence();
    }

    public boolean isOpen() {
        return standing.state() == PromiseState.OPEN;
    }
}
