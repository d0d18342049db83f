package garden.vivarium.app.technique;

import java.util.Comparator;

/** By what a grower wants the ways put in order. */
enum WaySort {
    BY_PLANT(
            "by plant",
            Comparator.comparing((WayLine l) -> l.way().plant())
                    .thenComparing(l -> -l.done().pieces())
                    .thenComparing(l -> l.way().words())),
    SUREST("surest", Comparator.comparingDouble(l -> -l.low())),
    FASTEST("fastest", Comparator.comparingDouble(l -> l.time().day(0.5))),
    MOST(
            "most young plants of a piece",
            Comparator.comparingDouble(l -> -l.gives().perPiece())),
    LEAST_SPACE(
            "most young plants of a tray and week",
            Comparator.comparingDouble(l -> -l.gives().perTrayWeek()));

    private final String words;
    private final Comparator<WayLine> order;

    WaySort(String words, Comparator<WayLine> order) {
        this.words = words;
        this.order = order;
    }

    public String words() {
        return words;
    }

    Comparator<WayLine> order() {
        return order;
    }
}
