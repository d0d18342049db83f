package garden.vivarium.app.photo;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A photograph: of what, on which day, by whom. Its picture is a {@link PhotoFile} of the same id. */
@Entity
class Photo extends NurseryRow {

    /** What was photographed. */
    enum Kind {
        BATCH,
        STOCK
    }

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Kind kind;

    private UUID subject;
    private UUID clientId;
    private LocalDate takenOn;
    private int width;
    private int height;
    private String note;
    private String personName;
    private Instant madeAt;

    protected Photo() {}

    Photo(Kind kind, UUID subject, UUID clientId, LocalDate takenOn, String note) {
        this.kind = kind;
        this.subject = subject;
        this.clientId = clientId;
        this.takenOn = takenOn;
        this.note = note;
    }

    void kept(int wide, int high, String person, Instant at) {
        width = wide;
        height = high;
        personName = person;
        madeAt = at;
    }

    void correct(LocalDate day, String words) {
        takenOn = day;
        note = words;
    }

    Kind kind() {
        return kind;
    }

    UUID subject() {
        return subject;
    }

    PhotoView view() {
        return new PhotoView(getId(), takenOn, width, height, note, personName);
    }
}
