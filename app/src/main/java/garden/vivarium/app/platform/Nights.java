package garden.vivarium.app.platform;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Has what is done once in a day done once, however many nodes there are: whichever marks the day first in the shared table does
 * it. What fails is tried again the next day, and stands in the log.
 */
@Component
public class Nights {

    private static final Logger LOG = LoggerFactory.getLogger(Nights.class);
    private static final LocalDate NEVER = LocalDate.of(1970, 1, 1);

    private final ObjectProvider<NightlyWork> works;
    private final JdbcClient database;
    private final CurrentNursery nursery;
    private final Today today;

    Nights(ObjectProvider<NightlyWork> works, JdbcClient database, CurrentNursery nursery, Today today) {
        this.works = works;
        this.database = database;
        this.nursery = nursery;
        this.today = today;
    }

    /** Does what is due. */
    @Scheduled(fixedDelay = 20, initialDelay = 2, timeUnit = TimeUnit.MINUTES)
    public void due() {
        List<UUID> nurseries = database.sql("select id from nursery").query(String.class).list().stream()
                .map(UUID::fromString)
                .toList();
        for (UUID id : nurseries) {
            nursery.workingFor(id, () -> {
                LocalDate day = today.date();
                works.orderedStream().filter(w -> claims(id, w.nightly(), day)).forEach(w -> run(w, id));
                return null;
            });
        }
    }

    private boolean claims(UUID id, String name, LocalDate day) {
        database.sql("insert ignore into nightly_work (nursery_id, name, done_on) values (?, ?, ?)")
                .params(id.toString(), name, NEVER)
                .update();
        return database.sql("update nightly_work set done_on = ? where nursery_id = ? and name = ? and done_on < ?")
                        .params(day, id.toString(), name, day)
                        .update()
                == 1;
    }

    private static void run(NightlyWork work, UUID id) {
        try {
            work.tonight();
        } catch (RuntimeException e) {
            LOG.error("{} failed for nursery {}", work.nightly(), id, e);
        }
    }
}
