package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.stock.PlantChanged;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Plants;
import garden.vivarium.app.stock.StockCounts;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds the kinds of plants that were kept before the guide knew kinds, and tells their batches, before any page is asked for. */
@Component
@Order(1)
class KindUpgrade implements ApplicationRunner {

    private final Plants plants;
    private final StockCounts counts;
    private final CurrentNursery nursery;
    private final ApplicationEventPublisher events;
    private final JdbcClient database;
    private final TransactionTemplate transaction;

    KindUpgrade(
            Plants plants,
            StockCounts counts,
            CurrentNursery nursery,
            ApplicationEventPublisher events,
            JdbcClient database,
            TransactionTemplate transaction) {
        this.plants = plants;
        this.counts = counts;
        this.nursery = nursery;
        this.events = events;
        this.database = database;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<UUID> older =
                database
                        .sql("select distinct nursery_id from plant where kind is null")
                        .query(String.class)
                        .list()
                        .stream()
                        .map(UUID::fromString)
                        .toList();
        for (UUID id : older) {
            nursery.workingFor(id, () -> {
                transaction.executeWithoutResult(t -> findKinds());
                return null;
            });
        }
    }

    private void findKinds() {
        for (PlantView plant : plants.findKinds()) {
            if (!plant.kind().isEmpty()) {
                counts.countedOf(plant);
                events.publishEvent(new PlantChanged(plant.id(), plant));
            }
        }
    }
}
