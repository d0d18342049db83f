package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.UnknownWord;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A CSV file with a header, its lines, and what is wrong with them. */
final class Csv {

    private final List<InvalidLine> faults = new ArrayList<>();
    private final List<CsvLine> lines = new ArrayList<>();

    private Csv() {}

    /**
     * Reads a file whose columns must be among those known, and must hold those required.
     *
     * @param text the file; a byte order mark is passed over
     */
    static Csv read(String text, Set<String> required, Set<String> optional) {
        Csv csv = new Csv();
        String body = text.startsWith("\uFEFF") ? text.substring(1) : text;
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(body), format)) {
            List<CSVRecord> records = parser.getRecords();
            if (records.isEmpty()) {
                csv.fault(1, "—", "The file is empty.", "Give a header row and a line for each look.");
                return csv;
            }
            List<String> header =
                    records.get(0).stream().map(h -> h.toLowerCase(Locale.ROOT)).toList();
            csv.checkHeader(header, required, optional);
            if (csv.faults.isEmpty()) {
                csv.takeLines(records, header);
            }
        } catch (IOException | UncheckedIOException e) {
            csv.fault(
                    1,
                    "—",
                    "The file is not a table of comma-separated values: " + e.getMessage() + ".",
                    "Close every quotation mark, and save as CSV in UTF-8.");
        }
        return csv;
    }

    List<CsvLine> lines() {
        return lines;
    }

    List<InvalidLine> faults() {
        return faults;
    }

    void fault(long line, String column, String fault, String remedy) {
        faults.add(new InvalidLine(line, column, fault, remedy));
    }

    private void checkHeader(List<String> header, Set<String> required, Set<String> optional) {
        Set<String> seen = new HashSet<>();
        for (String h : header) {
            if (!required.contains(h) && !optional.contains(h)) {
                Set<String> known = new LinkedHashSet<>(required);
                known.addAll(optional);
                fault(
                        1,
                        h.isEmpty() ? "—" : h,
                        "This column is not known.",
                        "Leave it out, or name it one of: " + String.join(", ", known) + ".");
            }
            if (!seen.add(h)) {
                fault(1, h, "This column stands twice.", "Keep one of the two.");
            }
        }
        required.stream()
                .filter(r -> !header.contains(r))
                .forEach(r -> fault(1, r, "This column is missing.", "Add it; every line needs it."));
    }

    private void takeLines(List<CSVRecord> records, List<String> header) {
        long number = 1;
        for (CSVRecord record : records.subList(1, records.size())) {
            number++;
            if (record.size() != header.size()) {
                fault(
                        number,
                        "—",
                        Messages.text("Csv.line.has.values.header", "record", record.size(), "header", header.size()),
                        "Put values with commas in quotation marks, and leave empty what is not known.");
                continue;
            }
            Map<String, String> values = new HashMap<>();
            for (int i = 0; i < header.size(); i++) {
                values.put(header.get(i), record.get(i));
            }
            lines.add(new CsvLine(number, values));
        }
    }

    /** One line, whose values are read with the fault noted where they cannot be. */
    final class CsvLine {
        private final long number;
        private final Map<String, String> values;

        private CsvLine(long number, Map<String, String> values) {
            this.number = number;
            this.values = values;
        }

        /** The value as it stands, empty if there is none. */
        String raw(String column) {
            return values.getOrDefault(column, "");
        }

        long number() {
            return number;
        }

        /** The value, if there is one. */
        Optional<String> text(String column, int longest) {
            String value = values.getOrDefault(column, "");
            if (value.length() > longest) {
                bad(
                        column,
                        Messages.text("Csv.has.characters", "length", value.length()),
                        Messages.text("Csv.shorten", "longest", longest));
                return Optional.empty();
            }
            return value.isEmpty() ? Optional.empty() : Optional.of(value);
        }

        /** The value that must be there. */
        Optional<String> needed(String column, int longest) {
            if (values.getOrDefault(column, "").isEmpty()) {
                bad(column, "It is empty.", "Every line needs it.");
                return Optional.empty();
            }
            return text(column, longest);
        }

        Optional<LocalDate> day(String column) {
            return text(column, 40).flatMap(v -> {
                try {
                    return Optional.of(LocalDate.parse(v));
                } catch (DateTimeParseException e) {
                    bad(column, Messages.text("Csv.no.day", "v", v), "Write days as 2026-11-24.");
                    return Optional.empty();
                }
            });
        }

        Optional<Integer> number(String column, int least, int most) {
            return text(column, 40).flatMap(v -> {
                try {
                    int n = Integer.parseInt(v);
                    if (n >= least && n <= most) {
                        return Optional.of(n);
                    }
                    bad(
                            column,
                            Messages.text("Csv.out.bounds", "n", n),
                            Messages.text("Csv.give", "least", least, "most", most));
                } catch (NumberFormatException e) {
                    bad(column, Messages.text("Csv.no.whole.number", "v", v), "Write digits only, as 24.");
                }
                return Optional.empty();
            });
        }

        /** The value as one of known words. */
        <T> Optional<T> word(String column, Function<String, T> reading) {
            return text(column, 80).flatMap(v -> {
                try {
                    return Optional.of(reading.apply(v));
                } catch (UnknownWord e) {
                    String key = e.fault().rule().key();
                    Map<String, Object> figures = e.fault().figures();
                    bad(column, Messages.text(key, figures), Messages.text(key + ".remedy", figures));
                    return Optional.empty();
                }
            });
        }

        void bad(String column, String fault, String remedy) {
            fault(number, column, fault, remedy);
        }
    }
}
