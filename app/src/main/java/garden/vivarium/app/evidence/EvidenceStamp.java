package garden.vivarium.app.evidence;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * A number for each nursery that every change of its evidence raises, in the transaction of the change. It has a table of its
 * own, which no other refers to, and is raised once, at the end of a transaction: so that people who save at the same time wait
 * for each other no longer than that.
 */
@Component
class EvidenceStamp {

    private final JdbcClient database;

    EvidenceStamp(JdbcClient database) {
        this.database = database;
    }

    /** The number as it is now. */
    long of(UUID nursery) {
        return database.sql("select stamp from evidence_stamp where nursery_id = ?")
                .param(nursery.toString())
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    /** Raises the number at the end of the running transaction. */
    void raise(UUID nursery) {
        if (running(nursery).isEmpty()) {
            TransactionSynchronizationManager.registerSynchronization(new Raising(nursery));
        }
        running(nursery).orElseThrow().changes++;
    }

    /** How often the running transaction has changed the evidence itself: 0 where it has not, and sees what all see. */
    int changesHere(UUID nursery) {
        return running(nursery).map(r -> r.changes).orElse(0);
    }

    private static Optional<Raising> running(UUID nursery) {
        return TransactionSynchronizationManager.isSynchronizationActive()
                ? TransactionSynchronizationManager.getSynchronizations().stream()
                        .filter(s -> s instanceof Raising r && r.nursery.equals(nursery))
                        .map(Raising.class::cast)
                        .findFirst()
                : Optional.empty();
    }

    private final class Raising implements TransactionSynchronization {

        private final UUID nursery;
        private int changes;

        private Raising(UUID nursery) {
            this.nursery = nursery;
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            database.sql("insert into evidence_stamp (nursery_id, stamp, tally_format) values (?, 1, ?)"
                            + " on duplicate key update stamp = stamp + 1")
                    .param(nursery.toString())
                    .param(TallyUpgrade.FORMAT)
                    .update();
        }
    }
}
