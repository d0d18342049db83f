package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.NightlyWork;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.Sharing;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Once in a night: batches that were seen to go well or badly together count as less than themselves from then on, in every
 * rate and in the interval of the next batch.
 */
@Component
class SharedCounting implements NightlyWork {

    private final JudgedBatches judged;
    private final Watched watched;
    private final Evidence evidence;

    SharedCounting(JudgedBatches judged, Watched watched, Evidence evidence) {
        this.judged = judged;
        this.watched = watched;
        this.evidence = evidence;
    }

    @Override
    public String nightly() {
        return "what batches share";
    }

    @Override
    public void tonight() {
        List<FinishedBatch> all = judged.all();
        Map<String, Double> shares = new HashMap<>();
        Sharing.of(watched.shared()).allowedFor(all).forEach(b -> shares.put(b.code(), b.counts()));
        Map<UUID, Double> counts = new HashMap<>();
        judged.ids().forEach((code, id) -> counts.put(id, shares.getOrDefault(code, 1.0)));
        evidence.countAs(counts);
    }
}
