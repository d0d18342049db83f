package garden.vivarium.core.plan;

import java.time.LocalDate;
import java.util.List;

/**
 * The cuts by which a plan is met: all at once, or in turn with rests between.
 *
 * @param cuts the first on the day of the start; one at least
 * @param chance of the aim: where there are several, as if all were made on the worst of their days
 */
public record InTurn(List<Cut> cuts, double chance) {

    public InTurn {
        cuts = List.copyOf(cuts);
    }

    /** So many pieces on a day. */
    public record Cut(LocalDate on, int pieces) {}

    /** All pieces together. */
    public int pieces() {
        return cuts.stream().mapToInt(Cut::pieces).sum();
    }

    public boolean isAtOnce() {
        return cuts.size() == 1;
    }
}
