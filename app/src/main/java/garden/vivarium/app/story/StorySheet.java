package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.care.CareView;
import garden.vivarium.app.stock.HarvestView;
import garden.vivarium.app.stock.StockLookView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.stock.MayCut;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything that the sheet of a stock plant shows.
 *
 * @param plant the plant
 * @param group its group
 * @param cutting whether and how much may be cut today
 * @param past what was cut and seen of it
 * @param batches batches taken from it, the last first
 * @param gave what it gave
 * @param sisters what other stock plants of the same plant gave
 * @param care what was done for it and is due
 * @param parent the batch it came from
 * @param offspring stock plants that descend from it directly
 */
record StorySheet(
        StockPlantView plant,
        PlantGroup group,
        Cutting cutting,
        Past past,
        List<BatchBook.Kin> batches,
        StockYield gave,
        List<StockYield> sisters,
        List<CareView> care,
        Optional<BatchBook.Kin> parent,
        List<StockPlantView> offspring) {

    /**
     * Whether it may be cut today.
     *
     * @param restsUntil first day on which it may be cut again, where it was ever cut
     * @param findings what speaks against cutting it
     */
    record Cutting(Optional<LocalDate> restsUntil, List<MayCut.Finding> findings) {}

    /**
     * What was cut and seen of it.
     *
     * @param harvests what was cut
     * @param looks what was seen
     * @param recovery new shoots counted since the last hard cut, in words; empty where there was none
     */
    record Past(List<HarvestView> harvests, List<StockLookView> looks, Optional<String> recovery) {}

    /** What it gave, and below it what its sisters gave. */
    public List<StockYield> beside() {
        return Stream.concat(Stream.of(gave), sisters.stream()).toList();
    }
}
