package garden.vivarium.core.guide;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Locale;

/** What makes one cause of trouble likelier than another. */
public enum Circumstance {
    WATER,
    CLOSED,
    DRY,
    EARLY,
    LATE,
    FLESHY,
    OUT_OF_SEASON,
    STOCK;

    /** Reads the guide's word, as "out-of-season". */
    @JsonCreator
    static Circumstance of(String word) {
        return valueOf(word.replace('-', '_').toUpperCase(Locale.ROOT));
    }
}
