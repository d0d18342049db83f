package garden.vivarium.app.technique;

import garden.vivarium.app.platform.Named;
import java.util.Comparator;

/** By what a grower wants the ways put in order. */
enum WaySort implements Named {
    BY_PLANT(Comparator.comparing((WayLine l) -> l.way().plant())
            .thenComparing(l -> -l.done().pieces())
            .thenComparing(l -> l.way().written())),
    SUREST(Comparator.comparingDouble(l -> -l.low())),
    FASTEST(Comparator.comparingDouble(l -> l.time().day(0.5))),
    MOST(Comparator.comparingDouble(l -> -l.gives().perPiece())),
    LEAST_SPACE(Comparator.comparingDouble(l -> -l.gives().perTrayWeek()));
    private final Comparator<WayLine> order;

    WaySort(Comparator<WayLine> order) {
        this.order = order;
    }

    Comparator<WayLine> order() {
        return order;
    }
}
