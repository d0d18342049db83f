package garden.vivarium.app.story;

import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.stock.Quarantine;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done for a stock plant, with what follows from it. */
@Service
class StockCare {

    private static final int LONGEST_WAIT_DAYS = 365;

    private final Stock stock;
    private final StockCounts counts;
    private final CareBook care;
    private final Today today;

    StockCare(Stock stock, StockCounts counts, CareBook care, Today today) {
        this.stock = stock;
        this.counts = counts;
        this.care = care;
        this.today = today;
    }

    /**
     * Puts a stock plant in quarantine against a pest, and its treatments on the round.
     *
     * @return the course of treatments
     * @throws InvalidField if the start is far away
     */
    @Transactional
    Quarantine quarantine(UUID id, Quarantine.Pest pest, LocalDate start) {
        if (start.isBefore(today.date().minusYears(1))
                || start.isAfter(today.date().plusYears(1))) {
            throw new InvalidField("start", Messages.text("StockCare.not.within.year.today", "start", start));
        }
        StockPlantView plant = plant(id);
        Quarantine course = new Quarantine(pest, start);
        stock.quarantine(id, course.ends());
        care.course(
                subject(plant),
                Messages.text("StockCare.treated.against", "pest", Messages.name(pest)),
                Messages.name(pest),
                course.treatments(),
                course.ends());
        return course;
    }

    /** Says whether what slept has woken. */
    @Transactional
    StockPlantView woken(UUID id, boolean notYet) {
        StockState state = notYet ? plant(id).state() : StockState.GROWING;
        return counts.look(id, today.date(), null, null, state, null);
    }

    /**
     * Writes down what was done for it.
     *
     * @param askAfter days after which to ask whether it worked, 0 for never
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    void did(UUID id, String what, LocalDate doneOn, int askAfter) {
        if (askAfter < 0 || askAfter > LONGEST_WAIT_DAYS) {
            throw new InvalidField(
                    "askAfter", Messages.text("StockCare.ask.after.days", "longestWaitDays", LONGEST_WAIT_DAYS));
        }
        care.did(subject(plant(id)), what, null, null, doneOn, askAfter);
    }

    private static Subject subject(StockPlantView plant) {
        return new Subject(
                Subject.Kind.STOCK, plant.id(), plant.code(), plant.place().id());
    }

    private StockPlantView plant(UUID id) {
        return stock.find(id).orElseThrow(() -> new NotFound(Messages.text("StockCare.no.such.stock.plant")));
    }
}
