package garden.vivarium.app.round;

import garden.vivarium.app.stock.PlaceView;
import java.util.List;

/**
 * The round of a day.
 *
 * @param stops places in walking order, each with what is due there
 * @param coming what falls due in the next seven days, soonest first
 * @param openBatches how many batches are open at all
 */
record Round(List<Stop> stops, List<Item.BatchTask> coming, int openBatches) {

    /** A place with what is due there. */
    record Stop(PlaceView place, List<Item> items) {}

    /** Whether no batch is open, and nothing is due. */
    boolean isBare() {
        return openBatches == 0 && due() == 0;
    }

    /** How many things are due. */
    public int due() {
        return stops.stream().mapToInt(s -> s.items().size()).sum();
    }
}
