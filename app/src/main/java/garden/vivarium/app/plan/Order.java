package garden.vivarium.app.plan;

import garden.vivarium.core.plan.Advice;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** By what a grower wants the ways put in order. Ways that can be done come first in each. */
public enum Order {
    /** As {@link Advice} has it. */
    ADVICE("as advised", r -> 0),
    FEWEST("fewest pieces, least stock cut", WayRow::pieces),
    SUREST("surest with what the stock bears", r -> -r.plan().chance(r.plan().piecesAtMost())),
    SOONEST("soonest ready", r -> r.plan().expected().ready().to().toEpochDay());

    private final String words;
    private final ToDoubleFunction<WayRow> by;

    Order(String words, ToDoubleFunction<WayRow> by) {
        this.words = words;
        this.by = by;
    }

    public String words() {
        return words;
    }

    List<WayRow> sorted(List<WayRow> rows) {
        if (this == ADVICE) {
            return Advice.sorted(rows, WayRow::advised);
        }
        // A chance is dear to reckon, and a sort would ask for it many times.
        IdentityHashMap<WayRow, Double> keys = new IdentityHashMap<>();
        rows.forEach(r -> keys.put(r, by.applyAsDouble(r)));
        return rows.stream()
                .sorted(Comparator.comparing((WayRow r) -> !r.isFeasible())
                        .thenComparing(keys::get)
                        .thenComparing(r -> -r.rests().own()))
                .toList();
    }
}
