package garden.vivarium.app.plan;

import java.util.Comparator;

/** By what a grower wants the ways put in order. Ways that can be done come first in each. */
public enum Order {
    FEWEST("fewest pieces", Comparator.comparing(WayRow::pieces)),
    SUREST("surest with what the stock bears", Comparator.comparing((WayRow r) -> -r.chanceWithAll())),
    SOONEST(
            "soonest ready",
            Comparator.comparing((WayRow r) -> r.plan().expected().ready().to()));

    private final String words;
    private final Comparator<WayRow> by;

    Order(String words, Comparator<WayRow> by) {
        this.words = words;
        this.by = by;
    }

    public String words() {
        return words;
    }

    Comparator<WayRow> comparator() {
        return Comparator.comparing((WayRow r) -> !r.isFeasible())
                .thenComparing(by)
                .thenComparing(r -> -r.weightOfOwn());
    }
}
