package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import org.springframework.stereotype.Component;

/** Hands out a batch to whoever is about to change it: locked, and as its writer saw it. */
@Component
class BatchToChange {

    private final BatchRepository batches;
    private final Seen seen;

    BatchToChange(BatchRepository batches, Seen seen) {
        this.batches = batches;
        this.seen = seen;
    }

    /**
     * The batch of the code, for this transaction alone.
     *
     * @throws NotFound if there is none
     * @throws garden.vivarium.app.platform.Clash if it changed since its writer saw it
     */
    Batch of(String code) {
        Batch batch = batches.findToChange(code).orElseThrow(() -> new NotFound("no batch " + code));
        seen.check(batch.mark(), batch.changes(), () -> batch.view().stands());
        return batch;
    }
}
