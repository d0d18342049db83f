package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * The lines of a file under its header, as they stand in it.
 *
 * @param headers of its columns, in order, none of them twice
 * @param rows below the header
 */
record Table(List<String> headers, List<Row> rows) {

    /** In Commons CSV's words. */
    private static final char[] SEPARATORS = {',', ';', '\t'};

    /**
     * A line.
     *
     * @param number as an editor numbers it: of a line with a note of several lines, the first
     * @param cells one a column
     */
    record Row(long number, List<String> cells) {}

    /**
     * Reads text whose values stand apart by commas, semicolons or tabs.
     *
     * @throws FileRefused if it is no table, or larger than is read
     */
    static Table read(String text) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator(text))
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> headers = null;
            List<Row> rows = new ArrayList<>();
            for (CSVRecord record : parser) {
                if (isEmpty(record)) {
                    continue;
                }
                if (headers == null) {
                    headers = headers(record);
                    continue;
                }
                if (rows.size() == Caps.LINES) {
                    throw new FileRefused(Messages.text("Table.lines", "most", Caps.LINES));
                }
                long first = parser.getCurrentLineNumber() - breaks(record);
                rows.add(new Row(first, cells(record, headers.size(), first)));
            }
            if (headers == null) {
                throw new FileRefused("The file is empty. Give a header row, and a line for each batch or look.");
            }
            return new Table(headers, List.copyOf(rows));
        } catch (IOException | UncheckedIOException e) {
            throw new FileRefused("The file is not a table: " + e.getMessage()
                    + ". Close every quotation mark, and save it as CSV in UTF-8.");
        }
    }

    private static boolean isEmpty(CSVRecord record) {
        return record.stream().allMatch(String::isEmpty);
    }

    private static List<String> headers(CSVRecord record) {
        if (record.size() > Caps.COLUMNS) {
            throw new FileRefused(Messages.text("Table.columns", "columns", record.size(), "most", Caps.COLUMNS));
        }
        List<String> headers = new ArrayList<>();
        for (String named : record) {
            String name =
                    shortened(named.isEmpty() ? Messages.text("Table.column", "number", headers.size() + 1) : named);
            headers.add(headers.contains(name) ? name + " (" + (headers.size() + 1) + ")" : name);
        }
        return List.copyOf(headers);
    }

    private static String shortened(String name) {
        return name.substring(0, Math.min(80, name.length())).replaceAll("\\s+", " ");
    }

    /** As many as there are headers; what stands beyond them is kept in a last one, so that it can be named as wrong. */
    private static List<String> cells(CSVRecord record, int columns, long line) {
        List<String> cells = new ArrayList<>(columns);
        for (int i = 0; i < Math.max(columns, record.size()); i++) {
            String cell = i < record.size() ? record.get(i) : "";
            if (cell.length() > Caps.CELL) {
                throw new FileRefused(
                        Messages.text("Table.cell", "line", line, "length", cell.length(), "most", Caps.CELL));
            }
            if (i < columns || !cell.isEmpty()) {
                cells.add(cell);
            }
        }
        return List.copyOf(cells);
    }

    private static long breaks(CSVRecord record) {
        return record.stream()
                .mapToLong(c -> c.lines().count() - 1)
                .filter(n -> n > 0)
                .sum();
    }

    /** The one that stands most often in the first line. */
    private static char separator(String text) {
        String first = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        char most = SEPARATORS[0];
        for (char c : SEPARATORS) {
            if (count(first, c) > count(first, most)) {
                most = c;
            }
        }
        return most;
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }
}
