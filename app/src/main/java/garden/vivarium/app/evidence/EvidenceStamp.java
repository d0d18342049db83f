package garden.vivarium.app.evidence;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceException;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.orm.jpa.vendor.HibernateJpaDialect;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * A number for each nursery that every change of its evidence raises, in the transaction of the change. It has a table of its
 * own, which no other refers to, and is raised once, at the end of a transaction: so that people who save at the same time wait
 * for each other no longer than that. Every batch that was told of keeps the number that came of it; since the number is locked
 * until the transaction is over, whoever reads a number finds all batches up to it.
 */
@Component
class EvidenceStamp {

    private static final int AT_ONCE = 500;
    private static final HibernateJpaDialect DIALECT = new HibernateJpaDialect();

    private final JdbcClient database;
    private final EntityManager entities;

    EvidenceStamp(JdbcClient database, EntityManager entities) {
        this.database = database;
        this.entities = entities;
    }

    /**
     * The number as it is now, and as it was when a batch was last forgotten.
     *
     * @param at now; 0 where nothing was ever told
     * @param forgotAt the last time that a batch was forgotten; 0 for never
     */
    record Stamp(long at, long forgotAt) {

        private static final Stamp NOTHING = new Stamp(0, 0);
    }

    /** The number as it is now. */
    Stamp of(UUID nursery) {
        return database.sql("select stamp, forgot_at from evidence_stamp where nursery_id = ?")
                .param(nursery.toString())
                .query((row, i) -> new Stamp(row.getLong(1), row.getLong(2)))
                .optional()
                .orElse(Stamp.NOTHING);
    }

    /** So many nurseries at most that have evidence, those with most changes first. */
    List<UUID> nurseries(int most) {
        return database.sql("select nursery_id from evidence_stamp order by stamp desc limit ?")
                .param(most)
                .query(UUID.class)
                .list();
    }

    /** Raises the number at the end of the running transaction, since this was told of a batch. */
    void told(UUID nursery, UUID batch) {
        raising(nursery).told.add(batch);
    }

    /** The same, since a batch was forgotten. */
    void forgot(UUID nursery) {
        raising(nursery).forgot = true;
    }

    /** The same, since anything may have changed. */
    void raise(UUID nursery) {
        raising(nursery);
    }

    private Raising raising(UUID nursery) {
        if (running(nursery).isEmpty()) {
            TransactionSynchronizationManager.registerSynchronization(new Raising(nursery));
        }
        Raising running = running(nursery).orElseThrow();
        running.changes++;
        return running;
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
        private final Set<UUID> told = new HashSet<>();
        private boolean forgot;
        private int changes;

        private Raising(UUID nursery) {
            this.nursery = nursery;
        }

        /** What the database refuses now is said as it would have been a moment later, so that a lost race is tried again. */
        private void written() {
            try {
                entities.flush();
            } catch (PersistenceException e) {
                DataAccessException told = DIALECT.translateExceptionIfPossible(e);
                throw told == null ? e : told;
            }
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            written();
            database.sql("insert into evidence_stamp (nursery_id, stamp, tally_format) values (?, 1, ?)"
                            + " on duplicate key update stamp = stamp + 1")
                    .param(nursery.toString())
                    .param(TallyUpgrade.FORMAT)
                    .update();
            if (forgot) {
                database.sql("update evidence_stamp set forgot_at = stamp where nursery_id = ?")
                        .param(nursery.toString())
                        .update();
            }
            List<String> batches = told.stream().map(UUID::toString).sorted().toList();
            for (int from = 0; from < batches.size(); from += AT_ONCE) {
                database.sql("update evidence_batch set as_of ="
                                + " (select stamp from evidence_stamp where nursery_id = :nursery)"
                                + " where nursery_id = :nursery and batch_id in (:batches)")
                        .param("nursery", nursery.toString())
                        .param("batches", batches.subList(from, Math.min(batches.size(), from + AT_ONCE)))
                        .update();
            }
        }
    }
}
