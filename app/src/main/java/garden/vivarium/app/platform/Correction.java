package garden.vivarium.app.platform;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** A fact that was corrected. */
@Entity
class Correction extends NurseryRow {

    private UUID subjectId;
    private String what;
    private String was;
    private String became;
    private String why;
    private String personName;
    private Instant madeAt;

    protected Correction() {}

    Correction(UUID subjectId, CorrectedFact fact, String why, String personName, Instant madeAt) {
        this.subjectId = subjectId;
        this.what = fact.what();
        this.was = fact.was();
        this.became = fact.became();
        this.why = why;
        this.personName = personName;
        this.madeAt = madeAt;
    }

    CorrectionView view() {
        return new CorrectionView(new CorrectedFact(what, was, became), why, personName, madeAt);
    }
}
