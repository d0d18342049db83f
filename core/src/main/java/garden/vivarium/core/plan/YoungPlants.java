package garden.vivarium.core.plan;

import garden.vivarium.core.guide.OutputRatio;

/**
 * Young plants that a number of pieces gives.
 *
 * @param tenth that many or more come nine times in ten
 * @param middle that many or more come every second time
 * @param ninetieth that many or more come once in ten
 */
public record YoungPlants(int tenth, int middle, int ninetieth) {

    /**
     * What so many pieces give.
     *
     * @param ready the chance model of one piece
     * @param pieces pieces taken, 0 and up
     * @param output young plants of a ready piece
     * @param perPot pieces to a young plant's pot, 1 and up
     */
    static YoungPlants of(ReadyChance ready, int pieces, OutputRatio output, int perPot) {
        return new YoungPlants(
                exceeded(ready, pieces, output, 0.9) / perPot,
                exceeded(ready, pieces, output, 0.5) / perPot,
                exceeded(ready, pieces, output, 0.1) / perPot);
    }

    /** The largest number whose chance of at least so many is not below the chance given. */
    private static int exceeded(ReadyChance ready, int pieces, OutputRatio output, double chance) {
        int low = 0;
        int high = pieces * output.chances().size() + 1;
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (ready.atLeast(middle, pieces, output) >= chance) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
