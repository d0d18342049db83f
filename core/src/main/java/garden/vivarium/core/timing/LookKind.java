package garden.vivarium.core.timing;

import garden.vivarium.core.UnknownWord;
import java.util.Arrays;

/** How a piece was looked at. Only looks that can see or feel roots say anything of roots. */
public enum LookKind {
    /** From above, without touching: top growth, firmness, losses; roots stay unknown. */
    ABOVE("above"),
    /** Through a clear wall, water or bag. */
    WALL("wall"),
    /** A gentle tug: roots hold. */
    TUG("tug"),
    /** Lifted out and seen whole. */
    LIFTED("lifted");

    /**
     * How pieces in a medium are looked at: what stands in water is seen through the glass, and never tugged at.
     *
     * @param medium name of the medium that they really stand in
     */
    public LookKind in(String medium) {
        return medium.equals("water") && (this == TUG || this == LIFTED) ? WALL : this;
    }

    private final String code;

    LookKind(String code) {
        this.code = code;
    }

    /** The word used in files. */
    public String code() {
        return code;
    }

    /** Whether this look can know of a milestone that is told by the sign. Losses are known by every look. */
    public boolean canKnow(Sign sign) {
        return this != ABOVE || sign == Sign.SHOOT;
    }

    /**
     * Reads a file's word.
     *
     * @throws UnknownWord if the word is none of above, wall, tug, lifted
     */
    public static LookKind of(String code) {
        return Arrays.stream(values())
                .filter(k -> k.code.equalsIgnoreCase(code.strip()))
                .findFirst()
                .orElseThrow(() -> new UnknownWord(UnknownWord.Wanted.LOOK, code));
    }
}
