package garden.vivarium.app.round;

import garden.vivarium.app.platform.Named;
import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.UUID;

/** A grower's own reminder: for a day, or for what happens to a batch. */
@Entity
class Reminder extends NurseryRow {

    /** What may happen to a batch. */
    enum Event implements Named {
        FIRST_SIGN,
        READY,
        OVER;
    }

    private String what;
    private LocalDate dueOn;
    private UUID batchId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Event event;

    private UUID placeId;
    private LocalDate doneOn;
    private String personName;

    protected Reminder() {}

    Reminder(String what, UUID placeId, String personName) {
        this.what = what;
        this.placeId = placeId;
        this.personName = personName;
    }

    void on(LocalDate day) {
        dueOn = day;
    }

    void when(UUID batch, Event happens) {
        batchId = batch;
        event = happens;
    }

    void says(String words) {
        what = words;
    }

    void done(LocalDate day) {
        doneOn = day;
    }

    String what() {
        return what;
    }

    LocalDate dueOn() {
        return dueOn;
    }

    UUID batchId() {
        return batchId;
    }

    Event event() {
        return event;
    }

    UUID placeId() {
        return placeId;
    }

    String personName() {
        return personName;
    }
}
