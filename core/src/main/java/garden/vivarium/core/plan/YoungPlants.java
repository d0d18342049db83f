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
        Supply supply = Supply.of(ready, pieces, output, perPot);
        return new YoungPlants(supply.surely(0.9), supply.surely(0.5), supply.surely(0.1));
    }
}
