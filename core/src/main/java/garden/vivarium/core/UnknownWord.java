package garden.vivarium.core;

import java.util.List;

/** A word of a file or form that stands for nothing here. */
public final class UnknownWord extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** What a word should have been: one of the few that stand for it. */
    public enum Wanted implements Rule {
        /** none, first_sign, ready, lost or sent. */
        STATE,
        /** A cause of loss. */
        CAUSE,
        /** firm, soft or shrivelled. */
        FIRMNESS,
        /** above, wall, tug or lifted. */
        LOOK,
        /** yes or no. */
        YES_OR_NO,
        /** A number and an ingredient. */
        PART_OF_A_MIX
    }

    private final transient Rule wanted;
    private final String word;
    private final String known;

    /** An unknown word where what is known goes without saying. */
    public UnknownWord(Rule wanted, String word) {
        this(wanted, word, List.of());
    }

    /**
     * An unknown word.
     *
     * @param wanted what it should have been
     * @param word the word
     * @param known the words that would have been known
     */
    public UnknownWord(Rule wanted, String word, List<String> known) {
        super("%s: %s".formatted(wanted.key(), word));
        this.wanted = wanted;
        this.word = word;
        this.known = String.join(", ", known);
    }

    /** What it should have been, the {@code word}, and those {@code known}. */
    public Statement fault() {
        return Statement.of(wanted, "word", word, "known", known);
    }
}
