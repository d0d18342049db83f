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

/** The forms that were sent, by their ids, whether they were done, and where each led. Kept for some days. */
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

    /** A form of a nursery. */
    record Form(UUID nursery, UUID id) {}

    /** How far it is with a form. */
    enum State {
        /** Nobody works on it: it was never sent, or was let go. */
        FREE,
        /** Somebody works on it. */
        TAKEN,
        /** What it asked for is done; where it led may be known or not. */
        KEPT,
        /** It led somewhere, done or refused. */
        ANSWERED
    }

    /**
     * Takes a form to work on.
     *
     * @return whether it is the first of its id, or those before it did nothing and are gone
     */
    boolean take(Form form) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        database.sql("delete from sent_form where sent_at < ? limit 100")
                .param(now.minus(KEPT))
                .update();
        try {
            return database.sql("insert into sent_form (nursery_id, id, sent_at) values (?, ?, ?)")
                            .param(form.nursery().toString())
                            .param(form.id().toString())
                            .param(now)
                            .update()
                    == 1;
        } catch (DuplicateKeyException before) {
            return database.sql("update sent_form set sent_at = ? where nursery_id = ? and id = ?"
                                    + " and answer is null and not kept and sent_at < ?")
                            .param(now)
                            .param(form.nursery().toString())
                            .param(form.id().toString())
                            .param(now.minus(LOST_AFTER))
                            .update()
                    == 1;
        }
    }

    /** How far it is with it. */
    State state(Form form) {
        return database.sql(
                        "select case when answer is not null then 'ANSWERED' when kept then 'KEPT' else 'TAKEN' end from sent_form"
                                + " where nursery_id = ? and id = ?")
                .param(form.nursery().toString())
                .param(form.id().toString())
                .query(String.class)
                .optional()
                .map(State::valueOf)
                .orElse(State.FREE);
    }

    /** Where a form led; empty while it is worked on. */
    Optional<String> answer(Form form) {
        return database.sql("select answer from sent_form where nursery_id = ? and id = ? and answer is not null")
                .param(form.nursery().toString())
                .param(form.id().toString())
                .query(String.class)
                .optional();
    }

    /** What it asked for is done, if the transaction in which this is said comes to its end. */
    void kept(Form form) {
        database.sql("update sent_form set kept = true where nursery_id = ? and id = ?")
                .param(form.nursery().toString())
                .param(form.id().toString())
                .update();
    }

    /** It was done, or refused, and led there. */
    void done(Form form, String address) {
        database.sql("update sent_form set answer = ? where nursery_id = ? and id = ?")
                .param(address)
                .param(form.nursery().toString())
                .param(form.id().toString())
                .update();
    }

    /** It failed: it may be sent again, unless it was done before it failed. */
    void release(Form form) {
        database.sql("delete from sent_form where nursery_id = ? and id = ? and not kept")
                .param(form.nursery().toString())
                .param(form.id().toString())
                .update();
    }
}
