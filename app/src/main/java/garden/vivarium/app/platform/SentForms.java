package garden.vivarium.app.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The forms that were sent, by their ids, and where each led. Kept for some days, outside of any transaction. */
@Component
class SentForms {

    private static final Duration KEPT = Duration.ofDays(3);
    /** What has had no answer for so long never will: its node ended while it worked. */
    private static final Duration LOST_AFTER = Duration.ofMinutes(2);

    private final JdbcClient database;
    private final Clock clock;

    SentForms(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /**
     * Takes a form to work on.
     *
     * @return whether it is the first of its id
     */
    boolean take(UUID nursery, UUID form) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        database.sql("delete from sent_form where sent_at < ? limit 100")
                .param(now.minus(KEPT))
                .update();
        try {
            return database.sql("insert into sent_form (nursery_id, id, sent_at) values (?, ?, ?)")
                            .param(nursery.toString())
                            .param(form.toString())
                            .param(now)
                            .update()
                    == 1;
        } catch (DuplicateKeyException before) {
            return database.sql("update sent_form set sent_at = ? where nursery_id = ? and id = ?"
                                    + " and answer is null and sent_at < ?")
                            .param(now)
                            .param(nursery.toString())
                            .param(form.toString())
                            .param(now.minus(LOST_AFTER))
                            .update()
                    == 1;
        }
    }

    /** Whether somebody has taken it who neither led anywhere with it nor let it go. */
    boolean isWorkedOn(UUID nursery, UUID form) {
        return database.sql("select count(*) from sent_form where nursery_id = ? and id = ? and answer is null")
                        .param(nursery.toString())
                        .param(form.toString())
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Where a form led; empty while it is worked on. */
    Optional<String> answer(UUID nursery, UUID form) {
        return database.sql("select answer from sent_form where nursery_id = ? and id = ? and answer is not null")
                .param(nursery.toString())
                .param(form.toString())
                .query(String.class)
                .optional();
    }

    /** It was done, and led there. */
    void done(UUID nursery, UUID form, String address) {
        database.sql("update sent_form set answer = ? where nursery_id = ? and id = ?")
                .param(address)
                .param(nursery.toString())
                .param(form.toString())
                .update();
    }

    /** Nothing was done: it may be sent again. */
    void release(UUID nursery, UUID form) {
        database.sql("delete from sent_form where nursery_id = ? and id = ?")
                .param(nursery.toString())
                .param(form.toString())
                .update();
    }
}
