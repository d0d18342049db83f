package garden.vivarium.app.bench;

import garden.vivarium.app.platform.Sentence;
import garden.vivarium.core.Working;
import garden.vivarium.core.watch.Behind;

/**
 * How a batch stands beside its usual, to be told with figures.
 *
 * @param verdict what is said of it
 * @param label in a few words, for lists; null where it is as usual
 * @param sentence what was seen, what was to be expected, and what that means; null where it is as usual
 * @param working how it came about
 */
public record Standing(Behind.Verdict verdict, Sentence label, Sentence sentence, Working working) {

    static Standing asUsual(Working working) {
        return new Standing(Behind.Verdict.AS_USUAL, null, null, working);
    }

    /** Whether there is anything to say. */
    public boolean isTold() {
        return label != null;
    }

    /** Whether it is behind its usual: slow, or failing. */
    public boolean isAlarm() {
        return verdict == Behind.Verdict.SLOW || verdict == Behind.Verdict.FEW;
    }

    /** Whether it is worth a word, and no more. */
    public boolean isNotice() {
        return verdict == Behind.Verdict.LATE;
    }
}
