package garden.vivarium.core.divide;

/**
 * One growth of a plant: a bulb on a rhizome, a crown, a fan, an eye of a tuber, a bulb of a clump.
 *
 * @param number by which it is called, 1 and up
 * @param roots whether it has living roots of its own
 * @param lead whether it bears a growing point, or an eye that will wake
 * @param leaf whether it bears a leaf
 * @param dead whether it is dead; a dead one counts for nothing, and goes with its neighbour or off
 */
public record Growth(int number, boolean roots, boolean lead, boolean leaf, boolean dead) {

    public Growth {
        if (number < 1) {
            throw new IllegalArgumentException("growths are numbered from 1");
        }
    }
}
