package garden.vivarium.app.door;

import garden.vivarium.app.people.StaffChanged;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NightlyWork;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The book at the door of a nursery: who came in, who did not, and what owners changed. Owners read it; nobody changes it. */
@Component
class DoorBook implements NightlyWork {

    private static final Duration KEPT = Duration.ofDays(400);
    private static final int SHOWN = 500;
    private static final int LONGEST_ABOUT = 120;
    private static final int LONGEST_NAME = 80;

    private final JdbcClient database;
    private final CurrentNursery nursery;
    private final Clock clock;

    DoorBook(JdbcClient database, CurrentNursery nursery, Clock clock) {
        this.database = database;
        this.nursery = nursery;
        this.clock = clock;
    }

    /** What is written down. */
    enum What {
        SIGNED_IN,
        WRONG_PASSWORD,
        WRONG_CODE,
        RECOVERED,
        LINK_MADE,
        LINK_USED,
        FACTOR_ON,
        FACTOR_OFF,
        SESSION_ENDED,
        INVITED,
        ADDED,
        MAY_OTHERWISE,
        LEFT,
        PASSWORD
    }

    /**
     * An entry.
     *
     * @param at when
     * @param what happened
     * @param person who did it, or at whose name it was tried
     * @param about whom or what; empty where that says itself
     * @param browser where
     */
    record Entry(Instant at, What what, String person, String about, String browser) {}

    /** Writes something down, whatever becomes of what it was about. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void write(UUID of, What what, String person, String about, String browser) {
        database.sql("insert into door_entry (nursery_id, at, what, person, about, browser) values (?, ?, ?, ?, ?, ?)")
                .params(
                        of.toString(),
                        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
                        what.name(),
                        cut(person, LONGEST_NAME),
                        cut(about, LONGEST_ABOUT),
                        cut(browser, LONGEST_NAME))
                .update();
    }

    /** Owners change something: written down as part of that. */
    @EventListener
    @Transactional
    public void changed(StaffChanged change) {
        Optional<SignedIn> who = nursery.person();
        UUID where = change.nursery() == null ? who.map(SignedIn::nurseryId).orElse(null) : change.nursery();
        String by = change.by() == null ? who.map(SignedIn::name).orElse(null) : change.by();
        if (where != null && by != null) {
            database.sql(
                            "insert into door_entry (nursery_id, at, what, person, about, browser) values (?, ?, ?, ?, ?, '')")
                    .params(
                            where.toString(),
                            LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
                            change.what().name(),
                            cut(by, LONGEST_NAME),
                            cut(change.about(), LONGEST_ABOUT))
                    .update();
        }
    }

    /** The last of the current nursery, the latest first. */
    @Transactional(readOnly = true)
    public List<Entry> last() {
        return database.sql("select at, what, person, about, browser from door_entry where nursery_id = ?"
                        + " order by at desc, id desc limit ?")
                .params(nursery.required().toString(), SHOWN)
                .query((row, i) -> new Entry(
                        row.getObject(1, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        What.valueOf(row.getString(2)),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5)))
                .list();
    }

    @Override
    public String nightly() {
        return "the book at the door";
    }

    /** What is older than a year and a month is forgotten. */
    @Override
    @Transactional
    public void tonight() {
        database.sql("delete from door_entry where nursery_id = ? and at < ?")
                .params(
                        nursery.required().toString(),
                        LocalDateTime.ofInstant(clock.instant().minus(KEPT), ZoneOffset.UTC))
                .update();
    }

    private static String cut(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }
}
