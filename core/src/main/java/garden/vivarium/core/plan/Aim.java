package garden.vivarium.core.plan;

import garden.vivarium.core.Limits;
import java.time.LocalDate;

/**
 * What is wanted: so many young plants, by then, this sure.
 *
 * @param youngPlants pots wanted, 1 to 5,000
 * @param piecesPerPot rooted pieces in each pot, 1 to 50
 * @param due day by which they should stand settled
 * @param confidence chance asked for, 0.5 to 0.99
 */
public record Aim(int youngPlants, int piecesPerPot, LocalDate due, double confidence) {

    private static final int MOST_PIECES_PER_POT = 50;

    public Aim {
        if (youngPlants < 1
                || youngPlants > Limits.MOST_YOUNG_PLANTS
                || piecesPerPot < 1
                || piecesPerPot > MOST_PIECES_PER_POT) {
            throw new IllegalArgumentException("an aim is 1 to 5,000 young plants of 1 to 50 pieces each");
        }
        if (!(confidence >= 0.5) || !(confidence <= 0.99)) {
            throw new IllegalArgumentException("a confidence lies between 0.5 and 0.99, not at " + confidence);
        }
    }

    /** Rooted pieces that the pots want together. */
    public int pieces() {
        return youngPlants * piecesPerPot;
    }
}
