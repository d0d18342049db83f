package garden.vivarium.app.promise;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;

/** A promise as pages and other modules see it; {@code due} is null for a name that waits in line,
 * {@code seen} the mark of its forms. */
public record PromiseView(
        UUID id,
        UUID plantId,
        String plant,
        String who,
        int plants,
        LocalDate due,
        double confidence,
        int placeInLine,
        int given,
        PromiseState state,
        LocalDate closedOn,
        String seen) {

    /** Who is served first: by day due, then by place in line; names that wait come after all days. */
    static final Comparator<PromiseView> IN_LINE = Comparator.comparing(
                    PromiseView::due, Comparator.nullsLast(Comparator.naturalOrder()))
            .thenComparingInt(PromiseView::placeInLine);

    /** Plants still owed. */
    public int owed() {
        return Math.max(0, plants - given);
    }

    /** Whether a chance is below what was asked; a name that waits without a day is never short. */
    boolean isShortAt(double chance) {
        return due != null && chance < confidence;
    }

    public boolean isOpen() {
        return state == PromiseState.OPEN;
    }
}
