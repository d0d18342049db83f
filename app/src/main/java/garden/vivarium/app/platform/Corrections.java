package garden.vivarium.app.platform;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was corrected: what it was, what it is, who said so, when and why. Whoever corrects something writes it here. */
@Service
public class Corrections {

    private final CorrectionRepository corrections;
    private final CurrentNursery nursery;
    private final Today today;

    Corrections(CorrectionRepository corrections, CurrentNursery nursery, Today today) {
        this.corrections = corrections;
        this.nursery = nursery;
        this.today = today;
    }

    /**
     * Writes down changes of one thing; what did not change is left out.
     *
     * @param why in the words of whoever corrects; null for no word
     * @return how many there were
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public int keep(UUID subject, List<CorrectedFact> changes, String why) {
        if (why != null && why.length() > 300) {
            throw new InvalidField("why", Messages.text("Corrections.shorten.why"));
        }
        String by = nursery.person().map(SignedIn::name).orElse("Vivarium");
        List<Correction> made = changes.stream()
                .filter(c -> !c.isNone())
                .map(c -> new Correction(subject, c, why == null ? "" : why.strip(), by, today.now()))
                .toList();
        corrections.saveAll(made);
        return made.size();
    }

    /** What was corrected of a thing, the last first. */
    @Transactional(readOnly = true)
    public List<CorrectionView> of(UUID subject) {
        return corrections.findBySubjectIdOrderByMadeAtDesc(subject).stream()
                .map(Correction::view)
                .toList();
    }
}
