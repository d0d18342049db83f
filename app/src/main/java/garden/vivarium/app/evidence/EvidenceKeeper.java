package garden.vivarium.app.evidence;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.batch.BatchUnstuck;
import garden.vivarium.app.batch.BatchWithdrawn;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Milestone;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what batches tell, in the transaction in which they tell it. */
@Component
class EvidenceKeeper {

    private final EvidenceBatchRepository batches;
    private final TallyRepository tallies;
    private final EvidenceStamp stamp;
    private final CurrentNursery nursery;

    EvidenceKeeper(
            EvidenceBatchRepository batches, TallyRepository tallies, EvidenceStamp stamp, CurrentNursery nursery) {
        this.batches = batches;
        this.tallies = tallies;
        this.stamp = stamp;
        this.nursery = nursery;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(BatchJudged judged) {
        if (!judged.first()) {
            tallies.forget(judged.batch());
        }
        EvidenceBatch batch = judged.first()
                ? new EvidenceBatch(judged.batch())
                : batches.findByBatchId(judged.batch()).orElseGet(() -> new EvidenceBatch(judged.batch()));
        batch.tells(judged.told(), judged.life());
        batches.save(batch);
        keep(judged.batch(), Milestone.FIRST_SIGN, judged.told().firstSign());
        keep(judged.batch(), Milestone.READY, judged.told().ready());
        stamp.told(nursery.required(), judged.batch());
    }

    /** Of what never was nothing is told. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(BatchWithdrawn withdrawn) {
        forget(withdrawn.batch().id());
    }

    /** What dries still tells nothing of its way yet. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(BatchUnstuck unstuck) {
        forget(unstuck.batch().id());
    }

    private void forget(UUID batch) {
        tallies.forget(batch);
        batches.findByBatchId(batch).ifPresent(batches::delete);
        stamp.forgot(nursery.required());
    }

    private void keep(UUID batch, Milestone milestone, Tallies counted) {
        tallies.saveAll(counted.counts().entrySet().stream()
                .map(e -> new TallyRow(batch, milestone, e.getKey(), e.getValue()))
                .toList());
    }
}
