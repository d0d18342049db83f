package garden.vivarium.app.copies;

import java.util.List;

/**
 * What {@code vivarium.json} of a copy says.
 *
 * @param format of the file; {@link #FORMAT} at present
 * @param tables the number of the migration as of which its tables are
 * @param written the day on which it was written, by the nursery's own clock
 * @param nursery id of the nursery
 * @param name what the nursery is called
 * @param units in which all is
 * @param files what else is in it, in order
 */
record Contents(int format, int tables, String written, String nursery, String name, String units, List<Part> files) {

    /** The format that is written. */
    static final int FORMAT = 1;

    static final String UNITS = "metric; days ISO 8601; moments UTC";

    /**
     * A table of it.
     *
     * @param table its name
     * @param rows how many rows it has
     * @param columns names of its columns
     */
    record Part(String table, long rows, List<String> columns) {

        /** The name of its file. */
        String file() {
            return table + ".csv";
        }
    }
}
