package garden.vivarium.app.exchange;

import garden.vivarium.core.timing.DayOrder;
import java.util.Map;
import java.util.Set;

/**
 * What a grower said of a file.
 *
 * @param columns by the file's own header, the column that it is; empty for one that is left out
 * @param same by column that the file does not have, what holds of every line
 * @param order of days in figures; null where nobody said
 * @param year of days without one; null where nobody said
 * @param words by column, what each typed word means
 * @param mended by line and column, what stands there instead
 * @param leftOut lines that are not read
 */
record Choices(
        Map<String, String> columns,
        Map<String, String> same,
        DayOrder order,
        Integer year,
        Map<String, Map<String, String>> words,
        Map<Long, Map<String, String>> mended,
        Set<Long> leftOut) {

    /** A word that means nothing known, and is one of their own from now on. */
    static final String OWN = "=";

    /** The lines with that word are left out. */
    static final String LEAVE = "-";

    static final Choices NONE = new Choices(null, null, null, null, null, null, null);

    Choices {
        columns = columns == null ? Map.of() : columns;
        same = same == null ? Map.of() : same;
        words = words == null ? Map.of() : words;
        mended = mended == null ? Map.of() : mended;
        leftOut = leftOut == null ? Set.of() : leftOut;
    }
}
