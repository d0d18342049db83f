package garden.vivarium.app.plan;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Turns a plan into the batch that somebody describes at the bench. */
@Service
class Sticking {

    private final Plans plans;
    private final Stock stock;
    private final OwnWays own;

    Sticking(Plans plans, Stock stock, OwnWays own) {
        this.plans = plans;
        this.stock = stock;
        this.own = own;
    }

    /**
     * Sticks it; its place is made if it is new, and a medium or treatment that was named is known from then on.
     *
     * @throws InvalidField if the plan has been stuck already, or something cannot be, or is to be asked about
     */
    @Transactional
    BatchView stick(UUID id, StickForm form) {
        PlanView plan = plans.find(id);
        StockPlantView plant = stock.find(plan.stockPlantId()).orElseThrow();
        String medium = own.medium("medium", form.done().medium(), form.done().isOwnMedium());
        NewBatch wanted = form.batch(
                plan, plant, stock.placeNamed(form.stands().place(), Climate.HEATED), plans.protocol(plan), medium);
        if (wanted.done().contradicts(wanted.taking()) && !form.done().isSameDay()) {
            throw new InvalidField("sameDay", Messages.text("Sticking.callus.same.day"));
        }
        return plans.stick(id, wanted, form.cut().each());
    }
}
