package garden.vivarium.core.looks;

import garden.vivarium.core.UnknownWord;
import java.util.Arrays;

/** Why a piece was lost. */
public enum LossCause {
    ROT("rot", 'r'),
    DRIED("dried", 'd'),
    PEST("pest", 'p'),
    DAMAGE("damage", 'g'),
    STALLED("stalled", 's'),
    MISLAID("mislaid", 'm'),
    UNKNOWN("unknown", 'u');

    private final String word;
    private final char key;

    LossCause(String word, char key) {
        this.word = word;
        this.key = key;
    }

    /** The word on pages and in files. */
    public String word() {
        return word;
    }

    /** The key that chooses it in bench mode. */
    public char key() {
        return key;
    }

    /**
     * Reads a file's word.
     *
     * @throws UnknownWord if the word names no cause
     */
    public static LossCause of(String word) {
        return Arrays.stream(values())
                .filter(c -> c.word.equalsIgnoreCase(word.strip()))
                .findFirst()
                .orElseThrow(() -> new UnknownWord(UnknownWord.Wanted.CAUSE, word));
    }
}
