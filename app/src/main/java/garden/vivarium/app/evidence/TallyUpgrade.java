package garden.vivarium.app.evidence;

import garden.vivarium.app.batch.Retelling;
import garden.vivarium.app.platform.CurrentNursery;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes tallies of an older format anew from the readings that they follow from, before any page is asked for. Format 2 tells
 * what was sent away and given up from what is pending, and until when each piece was seen alive; format 3 stands in tables of
 * evidence's own.
 */
@Component
class TallyUpgrade implements ApplicationRunner {

    static final int FORMAT = 3;

    private static final Logger LOG = LoggerFactory.getLogger(TallyUpgrade.class);
    private static final int AT_ONCE = 200;

    private final Retelling batches;
    private final EvidenceStamp stamp;
    private final CurrentNursery nursery;
    private final JdbcClient database;
    private final TransactionTemplate transaction;

    TallyUpgrade(
            Retelling batches,
            EvidenceStamp stamp,
            CurrentNursery nursery,
            JdbcClient database,
            TransactionTemplate transaction) {
        this.batches = batches;
        this.stamp = stamp;
        this.nursery = nursery;
        this.database = database;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<UUID> older = database
                .sql("select nursery_id from evidence_stamp where tally_format < :now")
                .param("now", FORMAT)
                .query(String.class)
                .list()
                .stream()
                .map(UUID::fromString)
                .toList();
        for (UUID id : older) {
            nursery.workingFor(id, () -> retell(id));
        }
    }

    private Void retell(UUID id) {
        List<UUID> stuck = batches.stuck();
        for (int from = 0; from < stuck.size(); from += AT_ONCE) {
            List<UUID> some = stuck.subList(from, Math.min(stuck.size(), from + AT_ONCE));
            batches.retell(some);
        }
        transaction.executeWithoutResult(t -> {
            database.sql("update evidence_stamp set tally_format = :now where nursery_id = :id")
                    .param("now", FORMAT)
                    .param("id", id.toString())
                    .update();
            stamp.raise(id);
        });
        LOG.info("Tallies of {} batches were made anew", stuck.size());
        return null;
    }
}
