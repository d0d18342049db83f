package garden.vivarium.app.batch;

import garden.vivarium.app.stock.PlantChanged;
import garden.vivarium.app.stock.PlantView;
import java.util.List;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Batches are called as their plant is now, and tell anew what they tell under its name and kind. */
@Component
class PlantFollower {

    private final BatchRepository batches;
    private final WithdrawnBatchRepository withdrawn;
    private final Retelling retelling;

    PlantFollower(BatchRepository batches, WithdrawnBatchRepository withdrawn, Retelling retelling) {
        this.batches = batches;
        this.withdrawn = withdrawn;
        this.retelling = retelling;
    }

    @EventListener
    void follow(PlantChanged changed) {
        PlantView now = changed.now();
        batches.flush();
        batches.follow(changed.before(), now.id(), now.name(), now.kind(), now.group());
        withdrawn.follow(changed.before(), now.id(), now.name());
        List<UUID> stuck = batches.stuckOf(now.id());
        retelling.retell(stuck);
    }
}
