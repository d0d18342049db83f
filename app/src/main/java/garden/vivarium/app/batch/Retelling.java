package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tells anew what is known of batches, for whoever keeps it in a new form. */
@Service
public class Retelling {

    private final BatchRepository batches;
    private final Histories histories;

    Retelling(BatchRepository batches, Histories histories) {
        this.batches = batches;
        this.histories = histories;
    }

    /** All batches that were stuck. */
    @Transactional(readOnly = true)
    public List<UUID> stuck() {
        return batches.stuck();
    }

    /** Tells of these batches. Nothing of them changes. */
    @Transactional
    public void retell(Collection<UUID> some) {
        batches.findAllById(some).forEach(histories::retell);
    }
}
