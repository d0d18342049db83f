package garden.vivarium.app.exchange;

import garden.vivarium.app.exchange.Column.Sort;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.DayOrder;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Predicate;

/** Guesses what the columns of a file are: as somebody said, by their headers, and where those say nothing by what stands in them. */
final class ColumnGuess {

    private static final int LINES = 200;
    private static final double MOST = 0.7;

    private ColumnGuess() {}

    /** By header, the column that it is taken for; a header that is none is left out. */
    static Map<String, String> of(Table table, List<Column> columns, Choices choices, WordBook book, LocalDate today) {
        Map<String, String> mapping = new LinkedHashMap<>();
        for (String header : table.headers()) {
            String said = choices.columns().get(header);
            if (said != null) {
                take(mapping, header, said, columns);
            }
        }
        for (boolean exactly : new boolean[] {true, false}) {
            for (String header : table.headers()) {
                if (!choices.columns().containsKey(header) && !mapping.containsKey(header)) {
                    columns.stream()
                            .filter(c -> exactly ? isNamed(c, header) : isCalled(c, header))
                            .filter(c -> !mapping.containsValue(c.name()))
                            .filter(c -> mayHold(table, header, c.sort(), today))
                            .findFirst()
                            .ifPresent(c -> take(mapping, header, c.name(), columns));
                }
            }
        }
        for (Column column : columns) {
            if (column.needed() && !mapping.containsValue(column.name())) {
                table.headers().stream()
                        .filter(h ->
                                !mapping.containsKey(h) && !choices.columns().containsKey(h))
                        .filter(h -> fits(table, h, column.sort(), book, today))
                        .findFirst()
                        .ifPresent(h -> take(mapping, h, column.name(), columns));
            }
        }
        return mapping;
    }

    /** No two columns of a file are the same. */
    private static void take(Map<String, String> mapping, String header, String column, List<Column> columns) {
        if (!mapping.containsValue(column)
                && columns.stream().anyMatch(c -> c.name().equals(column))) {
            mapping.put(header, column);
        }
    }

    private static boolean isNamed(Column column, String header) {
        return plain(header).equals(plain(column.name()));
    }

    private static boolean isCalled(Column column, String header) {
        String plain = plain(header);
        return plain.equals(plain(column.words())) || column.called().contains(plain);
    }

    /** "Stuck" may head days or numbers: what is mostly days is no number, and what is mostly numbers no day. */
    private static boolean mayHold(Table table, String header, Sort sort, LocalDate today) {
        return switch (sort) {
            case COUNT -> !mostly(table, header, c -> isDay(c, today));
            case DAY -> !mostly(table, header, c -> c.matches("\\d{1,5}(\\.0)?"));
            default -> true;
        };
    }

    private static boolean isDay(String cell, LocalDate today) {
        return AboutDay.written(cell, Optional.of(DayOrder.DAY_FIRST), OptionalInt.of(today.getYear()), today)
                .isPresent();
    }

    private static String plain(String header) {
        return header.toLowerCase(Locale.ROOT)
                .replaceAll("\\(.*\\)", "")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
    }

    private static boolean fits(Table table, String header, Sort sort, WordBook book, LocalDate today) {
        if (sort != Sort.DAY && !sort.isMatched()) {
            return false;
        }
        return mostly(table, header, c -> sort == Sort.DAY ? isDay(c, today) : book.fits(sort, c));
    }

    private static boolean mostly(Table table, String header, Predicate<String> test) {
        int at = table.headers().indexOf(header);
        List<String> cells = table.rows().stream()
                .limit(LINES)
                .map(r -> at < r.cells().size() ? r.cells().get(at) : "")
                .filter(c -> !c.isEmpty())
                .toList();
        return !cells.isEmpty() && cells.stream().filter(test).count() >= MOST * cells.size();
    }
}
