package garden.vivarium.app.batch;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.MediumReader;
import garden.vivarium.core.guide.WordFinder.Found;
import garden.vivarium.core.guide.WordFinder.How;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Media and treatments as this nursery has them: what it used before comes first, and what it named once is known. */
@Service
public class OwnWays {

    private static final int LONGEST_MEDIUM = 80;

    private final BatchRepository batches;
    private final Guide guide;

    OwnWays(BatchRepository batches, Guide guide) {
        this.batches = batches;
        this.guide = guide;
    }

    /** Media, those of the nursery's own batches first, the most used foremost, then the rest of the guide's. */
    @Transactional(readOnly = true)
    public List<String> media() {
        Set<String> media = new LinkedHashSet<>(
                batches.media().stream().map(BatchRepository.WordRow::getWord).toList());
        media.addAll(guide.media());
        return List.copyOf(media);
    }

    /**
     * The medium that is meant by what was typed: of the guide, of the nursery's own, or a mix by parts.
     *
     * @param field the form's field
     * @param isOwn whether it was said that it is one of their own, to be named now
     * @throws InvalidField if nobody knows it, with what it may have meant
     */
    @Transactional(readOnly = true)
    public String medium(String field, String typed, boolean isOwn) {
        String name = typed == null ? "" : typed.strip();
        if (name.isEmpty() || name.length() > LONGEST_MEDIUM) {
            throw new InvalidField(field, Messages.text("OwnWays.say.medium"));
        }
        Optional<Found> found = reader().read(name);
        if (found.filter(f -> f.how() != How.NEAR).isPresent()) {
            return found.get().name();
        }
        Optional<String> mix = reader().withOwnParts(name);
        if (mix.isPresent()) {
            return mix.get();
        }
        if (isOwn) {
            return name;
        }
        throw new InvalidField(
                field,
                found.map(f -> Messages.text("OwnWays.near.medium", "typed", name, "near", f.name()))
                        .orElseGet(() -> Messages.text("OwnWays.unknown.medium", "typed", name)));
    }

    /** Reads media of the guide and of the nursery. */
    @Transactional(readOnly = true)
    public MediumReader reader() {
        return MediumReader.of(
                guide.mediumWords(),
                batches.media().stream()
                        .map(BatchRepository.WordRow::getWord)
                        .filter(m -> !m.contains(" + "))
                        .toList());
    }

    /** Treatments of the nursery's own batches by the method, the most used first. */
    @Transactional(readOnly = true)
    public List<String> treatments(String method) {
        Map<String, Long> used = new LinkedHashMap<>();
        batches.treatments(method).forEach(t -> {
            for (String one : t.getTreatments().eachWritten()) {
                used.merge(one, t.getBatches(), Long::sum);
            }
        });
        List<String> words = new ArrayList<>(used.keySet());
        words.sort(Comparator.comparing(used::get).reversed());
        return words;
    }
}
