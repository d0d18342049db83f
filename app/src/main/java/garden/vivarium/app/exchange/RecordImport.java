package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;

/** A file that was brought in: its lines, what was said of them, what was found, and what became of it. */
@Entity
class RecordImport extends NurseryRow {

    private String kind;
    private String name;
    private String personName;

    @Column(columnDefinition = "longblob")
    private byte[] raw;

    @Column(columnDefinition = "longtext")
    private String content;

    @Convert(converter = FileText.OfChoices.class)
    @Column(columnDefinition = "longtext")
    private Choices choices = Choices.NONE;

    @Convert(converter = FileText.OfFindings.class)
    @Column(columnDefinition = "longtext")
    private Findings findings;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private ImportState state = ImportState.READING;

    private String problem;
    private int percent;
    private int kept;
    private Instant madeAt;
    private Instant changedAt;

    protected RecordImport() {}

    RecordImport(String kind, String name, String personName, byte[] raw, Instant now) {
        this.kind = kind;
        this.name = name;
        this.personName = personName;
        this.raw = raw.clone();
        this.madeAt = now;
        this.changedAt = now;
    }

    String kind() {
        return kind;
    }

    byte[] raw() {
        return raw;
    }

    String content() {
        return content;
    }

    Choices choices() {
        return choices;
    }

    ImportState state() {
        return state;
    }

    Findings findings() {
        return findings;
    }

    /** Its text is known; its bytes are not needed any more. */
    void holds(String text) {
        content = text;
        raw = null;
    }

    void choose(Choices said) {
        choices = said;
    }

    void found(Findings what) {
        findings = what;
    }

    void at(ImportState now, String why, Instant when) {
        state = now;
        problem = why;
        percent = 0;
        changedAt = when;
    }

    void kept(int howMany) {
        kept = howMany;
    }

    /** What was kept needs its lines no more. */
    void forget() {
        content = null;
        raw = null;
    }

    ImportView view() {
        return new ImportView(
                getId(),
                kind,
                name,
                personName,
                state,
                problem,
                percent,
                kept,
                new ImportView.Times(madeAt, changedAt),
                choices,
                findings);
    }
}
