package garden.vivarium.core.treatment;

import java.util.Arrays;
import java.util.Optional;

/** What is done to a piece and has no measure. */
public enum Handling implements Treatment {
    SEALED("wound sealed"),
    BOTTOM_HEAT("bottom heat"),
    DARK("dark"),
    COVERED("covered"),
    OPEN("open"),
    LAMP_LIGHT("lamp light"),
    WEAK_FEED("weak feed"),
    SLANT_CUT("slant cut"),
    STRAIGHT_CUT("straight cut"),
    WOUNDED("wounded"),
    TIP_PINCHED("tip pinched"),
    ROOTED_ON_PARENT("rooted on parent"),
    ROOTS_STRIPPED("roots stripped"),
    SAP_WASHED("sap washed"),
    REUSED_MEDIUM("reused medium"),
    KEPT_DRY("kept dry"),
    KEPT_MOIST("kept moist"),
    LARGE_PIECES("large pieces"),
    SMALL_PIECES("small pieces"),
    MOVED_EARLY("moved early"),
    MOVED_LATE("moved late");

    private final String written;

    Handling(String written) {
        this.written = written;
    }

    @Override
    public String code() {
        return name();
    }

    @Override
    public String written() {
        return written;
    }

    /** The one that is written so; empty for none. */
    static Optional<Handling> written(String words) {
        return Arrays.stream(values()).filter(h -> h.written.equals(words)).findFirst();
    }

    /** The one of a code; empty for none. */
    static Optional<Handling> ofCode(String code) {
        return Arrays.stream(values()).filter(h -> h.name().equals(code)).findFirst();
    }
}
