package garden.vivarium.app.plan;

import garden.vivarium.app.batch.Ribbon;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.WayPlan;

/** One way in answer to an aim, as the page lists it. */
public record WayRow(Protocol protocol, WayPlan plan, Ribbon ribbon, int weightOfOwn, boolean chosen) {

    /** Whether it can be done with this stock, started on the day asked. */
    public boolean isFeasible() {
        return plan.take().isPresent() && !plan.isStockShort();
    }

    int pieces() {
        return plan.take().map(t -> t.pieces()).orElse(Integer.MAX_VALUE);
    }
}
