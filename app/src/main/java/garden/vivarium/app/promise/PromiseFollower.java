package garden.vivarium.app.promise;

import garden.vivarium.app.stock.PlantChanged;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What is promised of a plant is promised of what it is called now. */
@Component
class PromiseFollower {

    private final PromiseRepository promises;

    PromiseFollower(PromiseRepository promises) {
        this.promises = promises;
    }

    @EventListener
    void follow(PlantChanged changed) {
        promises.flush();
        promises.follow(changed.before(), changed.now().id(), changed.now().name());
    }
}
