package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchReads;
import garden.vivarium.app.batch.Task;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;

/**
 * The round of a day.
 *
 * @param stops places in walking order, each with what is due there
 * @param coming what falls due in the next seven days, soonest first
 * @param openBatches how many batches are open at all
 */
public record Round(List<Stop> stops, List<Item> coming, int openBatches) {

    /** A place with what is due there. */
    public record Stop(PlaceView place, List<Item> items) {}

    /**
     * One thing to do: a batch's task, or a plan to start.
     *
     * @param row the batch's row, null for a plan
     * @param task the batch's task, null for a plan
     * @param start the plan to start, else null
     * @param errand what is neither, else null
     */
    public record Item(BatchReads.Row row, Task task, Start start, Errand errand) {
        public boolean isPlan() {
            return start != null;
        }

        public boolean isErrand() {
            return errand != null;
        }

        public boolean isTask() {
            return task != null;
        }
    }

    /** A committed plan whose start is due. */
    public record Start(PlanView plan, StockPlantView stock, String what, String why, boolean pressing) {}

    /** How many things are due. */
    public int due() {
        return stops.stream().mapToInt(s -> s.items().size()).sum();
    }
}
