package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Named;
import garden.vivarium.core.plan.Advice;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** By what a grower wants the ways put in order. Ways that can be done come first in each. */
public enum Order implements Named {
    /** As {@link Advice} has it. */
    ADVICE(r -> 0),
    FEWEST(WayRow::pieces),
    SUREST(r -> -r.plan().chance(r.plan().piecesAtMost())),
    SOONEST(r -> r.plan().expected().ready().to().toEpochDay());
    private final ToDoubleFunction<WayRow> by;

    Order(ToDoubleFunction<WayRow> by) {
        this.by = by;
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
