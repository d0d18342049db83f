package garden.vivarium.core.looks;

import garden.vivarium.core.UnknownWord;
import java.util.Arrays;

/** How a piece feels. A firm one is not given up without saying so. */
public enum Firmness {
    FIRM("firm"),
    SOFT("soft"),
    SHRIVELLED("shrivelled");

    private final String word;

    Firmness(String word) {
        this.word = word;
    }

    /** The word on pages and in files. */
    public String word() {
        return word;
    }

    /**
     * Reads a file's word.
     *
     * @throws UnknownWord if the word is none of firm, soft, shrivelled
     */
    public static Firmness of(String word) {
        return Arrays.stream(values())
                .filter(f -> f.word.equalsIgnoreCase(word.strip()))
                .findFirst()
                .orElseThrow(() -> new UnknownWord(UnknownWord.Wanted.FIRMNESS, word));
    }
}
