package garden.vivarium.app.plan;

import garden.vivarium.app.batch.BatchRestored;
import garden.vivarium.app.batch.BatchWithdrawn;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** A plan whose batch is withdrawn waits again, and is done again when the batch is taken back. */
@Component
class PlanFollower {

    private final PlanRepository plans;

    PlanFollower(PlanRepository plans) {
        this.plans = plans;
    }

    @EventListener
    void follow(BatchWithdrawn withdrawn) {
        if (withdrawn.batch().origin().planId() != null) {
            plans.findById(withdrawn.batch().origin().planId())
                    .filter(p -> p.view().standing().state() == PlanState.STUCK)
                    .ifPresent(Plan::waitsAgain);
        }
    }

    @EventListener
    void follow(BatchRestored restored) {
        if (restored.batch().origin().planId() != null) {
            plans.findById(restored.batch().origin().planId())
                    .filter(p -> p.view().standing().state() == PlanState.PLANNED)
                    .ifPresent(p -> p.stuck(restored.batch().code()));
        }
    }
}
