package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.treatment.Treatments;
import garden.vivarium.core.treatment.UnreadTreatment;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was written of hormones and doses and cannot be read: its owner says what it was, once for all batches that have it. */
@Service
public class TreatmentsToSettle {

    private final BatchRepository batches;
    private final BatchCorrections corrections;
    private final CurrentNursery nursery;

    TreatmentsToSettle(BatchRepository batches, BatchCorrections corrections, CurrentNursery nursery) {
        this.batches = batches;
        this.corrections = corrections;
        this.nursery = nursery;
    }

    /**
     * Something that cannot be read.
     *
     * @param words as it was written
     * @param codes of the batches that have it
     */
    public record Unread(String words, List<String> codes) {}

    /** All of it, in the order of its words. */
    @Transactional(readOnly = true)
    public List<Unread> all() {
        Map<String, List<String>> found = new TreeMap<>();
        List<String> codes = batches.havingTreatment(nursery.required(), UnreadTreatment.NAME);
        if (codes.isEmpty()) {
            return List.of();
        }
        batches.treated(codes)
                .forEach(b -> b.treatment()
                        .unread()
                        .forEach(u -> found.computeIfAbsent(u.written(), w -> new ArrayList<>())
                                .add(b.code())));
        return found.entrySet().stream()
                .map(e -> new Unread(e.getKey(), e.getValue().stream().sorted().toList()))
                .toList();
    }

    /**
     * Says what it was.
     *
     * @param typed a treatment that can be read; that there was none is one too
     * @return in how many batches it is settled
     * @throws InvalidField if what is typed cannot be read either
     */
    @Transactional
    public int settle(String words, String typed) {
        if (typed == null || typed.isBlank()) {
            throw new InvalidField("is", Messages.text("TreatmentsToSettle.empty"));
        }
        Treatments now = Treatments.read(typed);
        if (!now.unread().isEmpty()) {
            throw new InvalidField("is", Messages.text("TreatmentsToSettle.unread", "typed", typed.strip()));
        }
        Treatments was = new Treatments(List.of(new UnreadTreatment(words)));
        List<String> codes = all().stream()
                .filter(u -> u.words().equals(words))
                .flatMap(u -> u.codes().stream())
                .toList();
        codes.forEach(code -> corrections.treated(code, was, now, Messages.text("TreatmentsToSettle.why")));
        return codes.size();
    }
}
