package garden.vivarium.app.care;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.guide.CareAct;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** Care done on a day, or due on one. */
@Entity
class Care extends NurseryRow {

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private Subject.Kind subject;

    private UUID subjectId;
    private String subjectCode;
    private UUID placeId;
    private String what;
    private String symptom;
    private String cause;
    private LocalDate dueOn;
    private LocalDate doneOn;
    private LocalDate askOn;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Outcome outcome;

    private LocalDate outcomeOn;
    private UUID course;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private CareAct act;

    private UUID about;
    private String personName;
    private Instant madeAt;

    @Version
    private long version;

    protected Care() {}

    Care(Subject of, String what, String symptom, String cause, UUID course, Instant madeAt) {
        this.subject = of.kind();
        this.subjectId = of.id();
        this.subjectCode = of.code();
        this.placeId = of.place();
        this.what = what;
        this.symptom = symptom;
        this.cause = cause;
        this.course = course;
        this.madeAt = madeAt;
    }

    void due(LocalDate day) {
        dueOn = day;
    }

    void done(LocalDate day, String person) {
        doneOn = day;
        personName = person;
    }

    void ask(LocalDate day) {
        askOn = day;
    }

    /** It was otherwise than was written down. */
    void correct(String really, LocalDate day) {
        if (askOn != null && doneOn != null) {
            askOn = askOn.plusDays(day.toEpochDay() - doneOn.toEpochDay());
        }
        what = really;
        doneOn = day;
    }

    void turnedOut(Outcome how, LocalDate day) {
        outcome = how;
        outcomeOn = day;
    }

    /** It is one of the acts that are asked for again; {@code move} is the move that it concerns, or null. */
    void is(CareAct which, UUID move) {
        act = which;
        about = move;
    }

    /** Which of the acts that are asked for again; null for anything else. */
    CareAct act() {
        return act;
    }

    UUID course() {
        return course;
    }

    boolean isDone() {
        return doneOn != null;
    }

    CareView view() {
        return new CareView(
                getId(),
                new Subject(subject, subjectId, subjectCode, placeId),
                what,
                new CareView.Trouble(symptom, cause),
                new CareView.Days(dueOn, doneOn, askOn),
                new CareView.Result(outcome, outcomeOn),
                course,
                act,
                personName,
                Seen.mark(mark(), version));
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "care " + getId();
    }

    long version() {
        return version;
    }
}
