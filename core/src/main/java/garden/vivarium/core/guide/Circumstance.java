package garden.vivarium.core.guide;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Locale;

/** What makes one cause of trouble likelier than another. */
public enum Circumstance {
    WATER("it stands in water"),
    CLOSED("it stands in a closed vessel"),
    DRY("it stands open and rather dry"),
    EARLY("it is early: fewer than nine in ten that will are ready by now"),
    LATE("it is late: nine in ten that will are ready by now"),
    FLESHY("it is a fleshy piece whose wound is dried"),
    OUT_OF_SEASON("it was stuck out of season"),
    STOCK("it is a stock plant");

    private final String words;

    Circumstance(String words) {
        this.words = words;
    }

    /** The words that follow "because". */
    public String words() {
        return words;
    }

    /** Reads the guide's word, as "out-of-season". */
    @JsonCreator
    static Circumstance of(String word) {
        return valueOf(word.replace('-', '_').toUpperCase(Locale.ROOT));
    }
}
