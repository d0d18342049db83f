package garden.vivarium.core.watch;

import garden.vivarium.core.guide.Circumstance;
import garden.vivarium.core.guide.Symptom;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * What something seen may mean, the likeliest first. Each cause has a weight (seldom 1, sometimes 2, often 3), doubled by
 * each circumstance that fits. The weights order the list; they are not chances, and are not shown as such.
 *
 * @param symptom what was seen
 * @param findings its causes, the likeliest first
 */
public record Diagnosis(Symptom symptom, List<Finding> findings) {

    /**
     * A cause and why it stands where it does.
     *
     * @param cause the cause
     * @param score its weight, doubled by each circumstance that fits
     * @param because the circumstances that fit
     */
    public record Finding(Symptom.Cause cause, int score, List<Circumstance> because) {}

    /** Weighs the causes of a symptom in the circumstances. */
    public static Diagnosis of(Symptom symptom, Set<Circumstance> circumstances) {
        return new Diagnosis(
                symptom,
                symptom.causes().stream()
                        .map(c -> finding(c, circumstances))
                        .sorted(Comparator.comparing(Finding::score).reversed())
                        .toList());
    }

    private static Finding finding(Symptom.Cause cause, Set<Circumstance> circumstances) {
        List<Circumstance> because =
                cause.likelier().stream().filter(circumstances::contains).toList();
        return new Finding(cause, cause.weight() << because.size(), because);
    }
}
