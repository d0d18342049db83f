package garden.vivarium.app.exchange;

import java.util.List;

/**
 * A column that a kind of file may have.
 *
 * @param name in Vivarium's own files
 * @param words what growers read
 * @param needed whether no line can do without it
 * @param sort what stands in it
 * @param called what people head it with, in small letters
 * @param with the column beside which it is needed too; empty for none
 */
record Column(String name, String words, boolean needed, Sort sort, List<String> called, String with) {

    /** What stands in a column. */
    enum Sort {
        /** Words that stand for themselves. */
        TEXT,
        /** A day, or about a day. */
        DAY,
        /** A whole number. */
        COUNT,
        /** One of few words that only Vivarium's own files use. */
        CODE,
        METHOD,
        MEDIUM,
        PLANT,
        GROUP,
        CLIMATE;

        /** Whether its words are matched with known ones, and asked about. */
        boolean isMatched() {
            return this == METHOD || this == MEDIUM || this == PLANT || this == GROUP || this == CLIMATE;
        }
    }

    static Column needed(String name, String words, Sort sort, String... called) {
        return new Column(name, words, true, sort, List.of(called), "");
    }

    static Column optional(String name, String words, Sort sort, String... called) {
        return new Column(name, words, false, sort, List.of(called), "");
    }

    /** Needed where the file has that other column. */
    Column neededWith(String other) {
        return new Column(name, words, needed, sort, called, other);
    }
}
