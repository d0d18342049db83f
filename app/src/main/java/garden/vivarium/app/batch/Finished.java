package garden.vivarium.app.batch;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches that are over, beside what was expected of each on the day it was made. */
@Service
public class Finished {

    private static final int MOST = 400;

    private final BatchRepository batches;
    private final OutlookText outlooks;

    Finished(BatchRepository batches, OutlookText outlooks) {
        this.batches = batches;
        this.outlooks = outlooks;
    }

    /**
     * A batch that is over.
     *
     * @param batch the batch
     * @param expected how many of its pieces were to become ready, as reckoned on the day it was made
     * @param fromOwn whether batches of this nursery stood behind that, rather than the guide alone
     */
    public record Over(BatchView batch, Supply expected, boolean fromOwn) {}

    /** Those that ended last, each piece of which was judged. */
    @Transactional(readOnly = true)
    public List<Over> last() {
        return batches.lastClosed(MOST).stream()
                .filter(b ->
                        b.stuck() != null && b.stuck() > 0 && b.view().counts().sent() == 0)
                .map(b -> {
                    BatchView view = b.view();
                    Outlook outlook = outlooks.read(b.outlookText());
                    NextBatch rate = outlook.strike().thinnedBy(view.thinning()).nextBatch();
                    return new Over(
                            view,
                            Supply.ofChances(ReadyChance.withUnlimitedTime(rate).distribution(view.stuck())),
                            !outlook.strike().shares().isEmpty());
                })
                .toList();
    }
}
