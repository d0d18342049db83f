package garden.vivarium.app.exchange;

import garden.vivarium.core.timing.DayOrder;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.util.MultiValueMap;

/** Reads what a grower says on the page of a file, and adds it to what was said before. */
final class ImportForm {

    private static final int LONGEST = 500;

    private final MultiValueMap<String, String> typed;
    private final Choices before;
    private final Findings found;

    private ImportForm(MultiValueMap<String, String> typed, Choices before, Findings found) {
        this.typed = typed;
        this.before = before;
        this.found = found;
    }

    static Choices read(MultiValueMap<String, String> typed, Choices before, Findings found, List<Column> columns) {
        ImportForm form = new ImportForm(typed, before, found);
        return new Choices(
                form.columns(columns),
                form.same(columns),
                form.order(),
                form.year(),
                form.words(columns),
                form.mended(columns),
                form.leftOut());
    }

    private String one(String name) {
        String value = typed.getFirst(name);
        return value == null
                ? null
                : value.strip().substring(0, Math.min(LONGEST, value.strip().length()));
    }

    private Map<String, String> columns(List<Column> known) {
        Map<String, String> columns = new HashMap<>(before.columns());
        for (int i = 0; i < found.columns().size(); i++) {
            String said = one("column-" + i);
            if (said != null
                    && (said.isEmpty() || known.stream().anyMatch(c -> c.name().equals(said)))) {
                columns.put(found.columns().get(i).header(), said);
            }
        }
        return columns;
    }

    private Map<String, String> same(List<Column> known) {
        Map<String, String> same = new HashMap<>(before.same());
        known.stream()
                .map(Column::name)
                .filter(c -> one("same-" + c) != null)
                .forEach(c -> same.put(c, one("same-" + c)));
        return same;
    }

    private DayOrder order() {
        String said = one("order");
        for (DayOrder order : DayOrder.values()) {
            if (order.name().equals(said)) {
                return order;
            }
        }
        return before.order();
    }

    private Integer year() {
        String said = one("year");
        return said != null && said.matches("(19|20)\\d\\d") ? Integer.valueOf(said) : before.year();
    }

    /** Each word comes with what was typed, so that what changed meanwhile is not taken for another. */
    private Map<String, Map<String, String>> words(List<Column> known) {
        Map<String, Map<String, String>> words = new HashMap<>();
        before.words().forEach((column, means) -> words.put(column, new HashMap<>(means)));
        for (int i = 0; i < Caps.PLANTS; i++) {
            String column = one("word-column-" + i);
            String word = typed.getFirst("word-typed-" + i);
            String means = one("word-" + i);
            if (word != null
                    && means != null
                    && !means.isEmpty()
                    && known.stream().anyMatch(c -> c.name().equals(column))) {
                words.computeIfAbsent(column, c -> new HashMap<>()).put(word, means);
            }
        }
        return words;
    }

    private Map<Long, Map<String, String>> mended(List<Column> known) {
        Map<Long, Map<String, String>> mended = new HashMap<>();
        before.mended().forEach((line, values) -> mended.put(line, new HashMap<>(values)));
        for (Findings.Fault fault : found.faults()) {
            String said = one("mend-" + fault.line() + "-" + fault.column());
            if (said != null
                    && !said.equals(fault.value())
                    && known.stream().anyMatch(c -> c.name().equals(fault.column()))) {
                mended.computeIfAbsent(fault.line(), l -> new HashMap<>()).put(fault.column(), said);
            }
        }
        return mended;
    }

    private Set<Long> leftOut() {
        Set<Long> left = new HashSet<>(before.leftOut());
        found.faults().stream()
                .map(Findings.Fault::line)
                .filter(l -> one("leave-" + l) != null)
                .forEach(left::add);
        if (one("again") != null) {
            left.clear();
        }
        return left;
    }
}
