package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.timing.AboutDay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;

/** Lines in Vivarium's own columns, and what is wrong with them. */
final class Csv {

    private final List<InvalidLine> faults = new ArrayList<>();
    private final List<CsvLine> lines = new ArrayList<>();

    private int faultCount;

    /** Adds a line that is to be read. */
    void line(long number, Map<String, String> values) {
        lines.add(new CsvLine(number, values));
    }

    /** Whether so many lines are wrong that the rest need not be read to say so. */
    boolean isFaulty() {
        return faultCount >= Caps.FAULTS;
    }

    /** How many faults there are; the first of them are noted. */
    int faultCount() {
        return faultCount;
    }

    List<CsvLine> lines() {
        return lines;
    }

    List<InvalidLine> faults() {
        return faults;
    }

    void fault(long line, String column, String fault, String remedy) {
        fault(new InvalidLine(line, column, fault, remedy));
    }

    void fault(InvalidLine invalid) {
        faultCount++;
        if (faults.size() < Caps.FAULTS) {
            faults.add(invalid);
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

        /** A day, or about a day; none may still come. */
        Optional<AboutDay> day(String column, LocalDate today) {
            return text(column, 40).flatMap(v -> {
                Optional<AboutDay> day = AboutDay.written(v, Optional.empty(), OptionalInt.empty(), today);
                if (day.isEmpty()) {
                    bad(column, Messages.text("Csv.no.day", "v", v), Messages.text("Csv.day.remedy"));
                }
                return day;
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
