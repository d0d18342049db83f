package garden.vivarium.app.plan;

import garden.vivarium.app.stock.StockPlantView;
import java.util.Optional;
import java.util.UUID;

/** Whether there is room for a plan. Whoever knows what stands where answers. */
public interface Room {

    /**
     * Says where and when a plan would not fit beside what stands there and is planned; empty where it fits.
     *
     * @param replaced the plan that it would stand for, or null
     */
    Optional<String> doesNotFit(StockPlantView plant, WayRow row, UUID replaced);
}
