package garden.vivarium.app.exchange;

import garden.vivarium.app.exchange.Column.Sort;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.WordFinder.Found;
import garden.vivarium.core.guide.WordFinder.How;
import garden.vivarium.core.timing.AboutDay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Puts the lines of anybody's notebook into Vivarium's own columns and words, by what was said of it, and says what must still be
 * said.
 */
final class Notebook {

    private static final int SAMPLES = 3;

    private final Table table;
    private final List<Column> columns;
    private final Choices choices;
    private final WordBook book;
    private final LocalDate today;
    private final Map<String, String> mapping;

    private final Csv csv = new Csv();
    private final Map<String, Map<String, WordCount>> words = new LinkedHashMap<>();
    private final Map<String, Optional<String>> days = new HashMap<>();
    private String twoDays;
    private String noYear;
    private int latestYear;
    private int leftByWord;

    private Notebook(Table table, List<Column> columns, Choices choices, WordBook book, LocalDate today) {
        this.table = table;
        this.columns = columns;
        this.choices = choices;
        this.book = book;
        this.today = today;
        this.mapping = ColumnGuess.of(table, columns, choices, book, today);
    }

    private static final class WordCount {
        private final Optional<Found> found;
        private int lines;

        WordCount(Optional<Found> found) {
            this.found = found;
        }
    }

    /** Reads a file by what is known of it so far. */
    static Notebook read(Table table, List<Column> columns, Choices choices, WordBook book, LocalDate today) {
        Notebook notebook = new Notebook(table, columns, choices, book, today);
        notebook.takeLines(notebook.missing().stream().allMatch(m -> m.same() != null));
        return notebook;
    }

    /** The lines in Vivarium's own columns and words, with what is wrong with them. */
    Csv csv() {
        return csv;
    }

    /** What is asked, with nothing said yet of what it would do. */
    Findings asks() {
        return new Findings(
                table.rows().size(),
                (int) table.rows().stream()
                                .filter(r -> choices.leftOut().contains(r.number()))
                                .count()
                        + leftByWord,
                table.headers().stream().map(this::found).toList(),
                missing(),
                new Findings.Days(
                        twoDays != null,
                        noYear != null,
                        twoDays,
                        noYear,
                        latestYear == 0 ? today.getYear() : latestYear),
                wordsFound(),
                List.of(),
                0,
                null);
    }

    /** The faults so far, as the file itself heads its columns. */
    List<Findings.Fault> faults(List<InvalidLine> invalid) {
        Map<Long, Table.Row> rows = new HashMap<>();
        table.rows().forEach(r -> rows.put(r.number(), r));
        return invalid.stream()
                .sorted(Comparator.comparingLong(InvalidLine::line))
                .limit(Caps.SHOWN)
                .map(f -> {
                    String header = header(f.column());
                    Table.Row row = rows.get(f.line());
                    String value = row == null ? "" : value(row, f.column());
                    boolean known = columns.stream().anyMatch(c -> c.name().equals(f.column()));
                    return new Findings.Fault(f.line(), known ? f.column() : "", header, value, f.fault(), f.remedy());
                })
                .toList();
    }

    private String header(String column) {
        return mapping.entrySet().stream()
                .filter(e -> e.getValue().equals(column))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(column);
    }

    private Findings.ColumnFound found(String header) {
        int at = table.headers().indexOf(header);
        List<String> samples = table.rows().stream()
                .map(r -> at < r.cells().size() ? r.cells().get(at) : "")
                .filter(c -> !c.isEmpty())
                .distinct()
                .limit(SAMPLES)
                .map(c -> c.substring(0, Math.min(40, c.length())))
                .toList();
        return new Findings.ColumnFound(header, samples, mapping.getOrDefault(header, ""));
    }

    private List<Findings.Missing> missing() {
        return columns.stream()
                .filter(c -> c.needed() || mapping.containsValue(c.with()))
                .filter(c -> !mapping.containsValue(c.name()))
                .map(c -> new Findings.Missing(c.name(), c.words(), said(c.name())))
                .toList();
    }

    private String said(String column) {
        String same = choices.same().get(column);
        return same == null || same.isBlank() ? null : same.strip();
    }

    /** What is asked of days and words is asked at once, though columns may still be missing. */
    private void takeLines(boolean complete) {
        for (Table.Row row : table.rows()) {
            if (choices.leftOut().contains(row.number())) {
                continue;
            }
            if (complete && row.cells().size() > table.headers().size()) {
                csv.fault(
                        row.number(),
                        "—",
                        "The line has more values than the header has columns.",
                        "Put values with commas in quotation marks, or leave the line out.");
                continue;
            }
            Map<String, String> values = new HashMap<>();
            boolean open = false;
            boolean left = false;
            for (Column column : columns) {
                String typed = value(row, column.name());
                Optional<String> means = typed.isEmpty() ? Optional.of("") : meaning(column, typed);
                open |= means.isEmpty();
                left |= means.filter(Choices.LEAVE::equals).isPresent();
                values.put(column.name(), means.orElse(""));
            }
            leftByWord += left ? 1 : 0;
            if (complete && !open && !left) {
                csv.line(row.number(), values);
            }
        }
    }

    /** What stands in the column, or was said to instead, or of every line. */
    private String value(Table.Row row, String column) {
        String mended = choices.mended().getOrDefault(row.number(), Map.of()).get(column);
        if (mended != null) {
            return mended.strip();
        }
        for (int i = 0; i < table.headers().size(); i++) {
            if (column.equals(mapping.get(table.headers().get(i)))) {
                return i < row.cells().size() ? row.cells().get(i) : "";
            }
        }
        String same = said(column);
        return same == null ? "" : same;
    }

    /** What it says in Vivarium's own words; empty while something must be said first. */
    private Optional<String> meaning(Column column, String typed) {
        if (column.sort() == Sort.DAY) {
            return day(typed);
        }
        if (column.sort() == Sort.COUNT && typed.endsWith(".0")) {
            return Optional.of(typed.substring(0, typed.length() - 2));
        }
        return column.sort().isMatched() ? word(column, typed) : Optional.of(typed);
    }

    /** Notebooks have few days and many lines. */
    private Optional<String> day(String typed) {
        Optional<String> known = days.get(typed);
        if (known == null) {
            known = readDay(typed);
            days.put(typed, known);
        }
        return known;
    }

    private Optional<String> readDay(String typed) {
        String plain = typed.replaceFirst("[T ]\\d\\d:\\d\\d(:\\d\\d)?(\\.\\d+)?Z?$", "");
        if (choices.order() == null && AboutDay.needsOrder(plain)) {
            twoDays = twoDays == null ? typed : twoDays;
            return Optional.empty();
        }
        if (choices.year() == null && AboutDay.needsYear(plain)) {
            noYear = noYear == null ? typed : noYear;
            return Optional.empty();
        }
        Optional<AboutDay> read = AboutDay.written(
                plain,
                Optional.ofNullable(choices.order()),
                choices.year() == null ? OptionalInt.empty() : OptionalInt.of(choices.year()),
                today);
        read.ifPresent(d -> latestYear = Math.max(latestYear, d.to().getYear()));
        return Optional.of(read.map(d -> d.giveOrTake() == 0 ? d.from().toString() : d.from() + "/" + d.to())
                .orElse(typed));
    }

    private Optional<String> word(Column column, String typed) {
        Map<String, WordCount> ofColumn = words.computeIfAbsent(column.name(), c -> new LinkedHashMap<>());
        WordCount word = ofColumn.get(typed);
        if (word == null) {
            int most = column.sort() == Column.Sort.PLANT ? Caps.PLANTS : Caps.WORDS;
            if (ofColumn.size() == most) {
                throw new FileRefused(Messages.text(
                        "Notebook.words", "header", header(column.name()), "most", most, "words", column.words()));
            }
            word = new WordCount(book.find(column.sort(), typed));
            ofColumn.put(typed, word);
        }
        word.lines++;
        Optional<String> said = said(column, typed).map(s -> s.equals(Choices.OWN) ? typed : s);
        return said.or(() -> word(column, typed, ofColumn.get(typed).found));
    }

    private static Optional<String> word(Column column, String typed, Optional<Found> found) {
        return found.isEmpty() && column.sort() == Sort.PLANT ? Optional.of(typed) : found.map(Found::name);
    }

    /** What somebody said that it means, of this file or an earlier one. */
    private Optional<String> said(Column column, String typed) {
        return Optional.ofNullable(
                        choices.words().getOrDefault(column.name(), Map.of()).get(typed))
                .filter(m -> !m.isBlank())
                .or(() -> book.learned(column.sort(), typed))
                .filter(m -> canBeMeant(column.sort(), m));
    }

    /** Nothing else than what the page offers: whatever else was sent, or learned of what was sent, is asked about anew. */
    private boolean canBeMeant(Sort sort, String means) {
        return switch (sort) {
            case PLANT -> true;
            case MEDIUM ->
                means.equals(Choices.OWN)
                        || means.equals(Choices.LEAVE)
                        || book.find(sort, means).isPresent();
            case METHOD, GROUP, CLIMATE ->
                means.equals(Choices.LEAVE) || book.find(sort, means).isPresent();
            case TEXT, DAY, COUNT, CODE -> false;
        };
    }

    private List<Findings.WordFound> wordsFound() {
        List<Findings.WordFound> found = new ArrayList<>();
        for (Column column : columns) {
            words.getOrDefault(column.name(), Map.of()).forEach((typed, word) -> {
                boolean written = word.found.filter(f -> f.how() == How.WRITTEN).isPresent();
                // A plant that nobody knows is a new one; nothing is near that it could be taken for.
                boolean newPlant = column.sort() == Sort.PLANT && word.found.isEmpty();
                Optional<String> said = said(column, typed);
                if (said.isPresent() ? word.found.isEmpty() || !written : !written && !newPlant) {
                    found.add(new Findings.WordFound(
                            column.name(),
                            typed,
                            word.lines,
                            said.or(() -> word.found.map(Found::name)).orElse(null),
                            said.isPresent()));
                }
            });
        }
        return found;
    }
}
