package garden.vivarium.core.looks;

import garden.vivarium.core.UnknownWord;
import java.util.Arrays;

/** What a look says of a piece, in the order in which a piece can only go forward. */
public enum PieceState {
    /** Looked at, nothing yet. */
    NONE("none"),
    FIRST_SIGN("first_sign"),
    READY("ready"),
    LOST("lost"),
    /** Left unjudged. */
    SENT("sent");

    private final String code;

    PieceState(String code) {
        this.code = code;
    }

    /** The word used in files. */
    public String code() {
        return code;
    }

    /** Whether it may be moved. */
    public boolean isReady() {
        return this == READY;
    }

    /** Whether it is dead. */
    public boolean isLost() {
        return this == LOST;
    }

    /** Whether nothing can be read of the piece after this. */
    public boolean isEnd() {
        return this == LOST || this == SENT;
    }

    /**
     * Reads a file's word.
     *
     * @throws UnknownWord if the word is none of none, first_sign, ready, lost, sent
     */
    public static PieceState of(String code) {
        return Arrays.stream(values())
                .filter(s -> s.code.equalsIgnoreCase(code.strip()))
                .findFirst()
                .orElseThrow(() -> new UnknownWord(UnknownWord.Wanted.STATE, code));
    }
}
