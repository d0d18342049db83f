package garden.vivarium.app.story;

import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.StrikeRate;
import java.util.Optional;

/**
 * What a stock plant gave in all.
 *
 * @param plant the stock plant or lot
 * @param batches batches taken from it
 * @param pieces pieces taken
 * @param stuck of which were stuck
 * @param ready of which became ready
 * @param youngPlants young plants they made
 * @param strike its rate over finished batches, shrunk to its sisters'; empty while none is finished
 */
record StockYield(
        StockPlantView plant,
        int batches,
        int pieces,
        int stuck,
        int ready,
        int youngPlants,
        Optional<StrikeRate> strike) {}
