package garden.vivarium.app.stock;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.Limits;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Hands out stock plants to whoever changes them. */
@Component
class StockKeeper {

    private final StockPlantRepository stock;
    private final EntityManager entities;
    private final Sorts sorts;
    private final Seen seen;
    private final Today today;

    StockKeeper(StockPlantRepository stock, EntityManager entities, Sorts sorts, Seen seen, Today today) {
        this.stock = stock;
        this.entities = entities;
        this.sorts = sorts;
        this.seen = seen;
        this.today = today;
    }

    /** The stock plant, for whoever changes it; whoever saw another state of it is told. */
    StockPlant toChange(UUID id) {
        StockPlant plant =
                stock.withPlant(id).orElseThrow(() -> new NotFound(Messages.text("StockKeeper.no.such.stock.plant")));
        seen.check(plant.mark(), plant.version(), () -> {
            StockPlantView now = view(plant);
            return Messages.text(
                    "Stock.now.stands.bears",
                    "code",
                    now.code(),
                    "name",
                    now.place().name(),
                    "state",
                    now.state().words(),
                    "then",
                    now.piecesNow() == null ? "a number that nobody has counted" : now.piecesNow());
        });
        return plant;
    }

    /** Counts lie beside the plant: whoever counts raises its version, so that another who counted meanwhile is told. */
    void raise(StockPlant plant) {
        if (entities.contains(plant)) {
            entities.lock(plant, LockModeType.OPTIMISTIC_FORCE_INCREMENT);
        }
    }

    static void refuseCount(String field, Integer count) {
        if (count != null && (count < 0 || count > Limits.MOST_FROM_ONE_PLANT)) {
            throw new InvalidField(
                    field,
                    Messages.text(
                            "Stock.not.believable.give",
                            "count",
                            count,
                            "mostFromOnePlant",
                            Limits.MOST_FROM_ONE_PLANT));
        }
    }

    StockPlantView view(StockPlant plant) {
        return plant.view(today.date(), sorts);
    }
}
