package garden.vivarium.app.exchange;

import java.util.List;
import java.util.Map;

/**
 * What was found in a file when it was looked through, by what is known of it so far.
 *
 * @param lines below its header
 * @param leftOut how many of them are left out
 * @param columns of the file, and what each is taken for
 * @param missing columns that every line needs, and the file does not have
 * @param days what must be said of its days
 * @param words that are not known as they are written
 * @param faults of lines, the first of them
 * @param faultCount all of them
 * @param preview what it would do; null while something is open
 */
public record Findings(
        int lines,
        int leftOut,
        List<ColumnFound> columns,
        List<Missing> missing,
        Days days,
        List<WordFound> words,
        List<Fault> faults,
        int faultCount,
        Preview preview) {

    /** A column of the file: its header, some of what stands in it, and what it is taken for; empty for nothing. */
    public record ColumnFound(String header, List<String> samples, String column) {}

    /** A column that is needed and not there; {@code same} is what was said to hold of every line, or null. */
    public record Missing(String column, String words, String same) {

        private static final String NONE = "0";

        public boolean isOfLosses() {
            return column.equals("lost");
        }

        public boolean isTheRest() {
            return HistoryFile.REST.equals(same);
        }

        public boolean isNone() {
            return NONE.equals(same);
        }
    }

    /**
     * What must be said of days.
     *
     * @param order whether figures as {@code example} may be two days
     * @param year whether there are days without a year
     * @param example one of them
     */
    public record Days(boolean order, boolean year, String example, String yearless, Integer usualYear) {}

    /**
     * A word that must be matched.
     *
     * @param column in which it stands
     * @param typed as it is written
     * @param lines how many lines have it
     * @param means what it is taken for; null where nothing is near
     * @param approved whether somebody said so, in this file or an earlier one
     */
    public record WordFound(String column, String typed, int lines, String means, boolean approved) {

        public boolean isOfMedium() {
            return column.equals("medium");
        }

        public boolean isOfPlant() {
            return column.equals("plant");
        }

        /** Whether it is one of their own from now on. */
        public boolean isOwn() {
            return Choices.OWN.equals(means);
        }

        /** Whether the lines with it are left out. */
        public boolean isLeftOut() {
            return Choices.LEAVE.equals(means);
        }

        /** Whether it means something that is none of the choices by its column. */
        public boolean isElse(Map<String, List<FileWords.Choice>> choices) {
            return means != null
                    && !isOwn()
                    && !isLeftOut()
                    && choices.get(column).stream().noneMatch(c -> c.means().equals(means));
        }
    }

    /** A line that cannot be read: what stands where, what is wrong, and what would do; {@code column} is empty for the line as a whole. */
    public record Fault(long line, String column, String header, String value, String fault, String remedy) {}

    /** How many needed columns nothing is said of. */
    public int unsaid() {
        return (int) missing.stream().filter(m -> m.same() == null).count();
    }

    /** How many words are asked about. */
    public int asked() {
        return words.size() - known();
    }

    /** How many words somebody answered for. */
    public int known() {
        return (int) words.stream().filter(WordFound::approved).count();
    }

    /** How many of its columns are taken for something. */
    public int taken() {
        return (int) columns.stream().filter(c -> !c.column().isEmpty()).count();
    }

    /** Whether nothing is left to be said of its columns, days and words. */
    public boolean isClear() {
        return missing.stream().allMatch(m -> m.same() != null)
                && !days.order()
                && !days.year()
                && words.stream().allMatch(WordFound::approved);
    }

    /** Whether it may be kept. */
    public boolean isGood() {
        return isClear() && faultCount == 0 && preview != null;
    }
}
