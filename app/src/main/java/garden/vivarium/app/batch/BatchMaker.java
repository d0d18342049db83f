package garden.vivarium.app.batch;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes batches, new ones and those of old records: refuses what cannot be, gives the code, fixes what was expected. */
@Component
class BatchMaker {

    private final BatchRepository batches;
    private final OutlookText outlooks;
    private final Stock stock;
    private final People people;
    private final Today today;

    BatchMaker(BatchRepository batches, OutlookText outlooks, Stock stock, People people, Today today) {
        this.batches = batches;
        this.outlooks = outlooks;
        this.stock = stock;
        this.people = people;
        this.today = today;
    }

    /**
     * Makes a batch of which this is expected; asleep, its days are counted from its waking. Its code is of the week in which its label is written.
     *
     * @throws Problem naming the field, if days or counts cannot be
     */
    Batch make(NewBatch wanted, Outlook outlook, boolean asleep) {
        refuseBadNumbers(wanted);
        Climate climate = climateOf(wanted.placeId());
        Hemisphere hemisphere = people.hemisphere();
        LocalDate dayNought = wanted.stuckOn() != null ? wanted.stuckOn() : wanted.takenOn();
        return batches.save(new Batch(
                nextCode(dayNought),
                wanted,
                outlooks.write(outlook),
                outlook.season().factors(dayNought, climate, hemisphere),
                asleep));
    }

    private void refuseBadNumbers(NewBatch b) {
        if (b.taken() < 1 || b.taken() > Batches.MOST_PIECES) {
            throw new Problem(
                    "taken",
                    "%d cannot be taken; give 1 to %,d, or make two batches."
                            .formatted(b.taken(), Batches.MOST_PIECES));
        }
        today.refuseFuture("takenOn", b.takenOn());
        if (b.stuckOn() == null) {
            return;
        }
        today.refuseFuture("stuckOn", b.stuckOn());
        if (b.stuckOn().isBefore(b.takenOn())) {
            throw new Problem("stuckOn", "They were taken on %s; give that day or a later one.".formatted(b.takenOn()));
        }
        if (b.stuck() < 1 || b.stuck() > b.taken()) {
            throw new Problem(
                    "stuck",
                    "%d of %d taken cannot be stuck; give 1 to %d.".formatted(b.stuck(), b.taken(), b.taken()));
        }
        if (b.rows() != null && b.columns() != null && b.rows() * b.columns() < b.stuck()) {
            throw new Problem(
                    "rows",
                    "A tray of %d × %d holds %d; give a larger tray, or stick fewer."
                            .formatted(b.rows(), b.columns(), b.rows() * b.columns()));
        }
    }

    private BatchCode nextCode(LocalDate day) {
        BatchCode first = BatchCode.of(day, 1);
        return BatchCode.of(day, batches.lastNumber(first.year(), first.week()) + 1);
    }

    private Climate climateOf(UUID placeId) {
        return stock.places().stream()
                .filter(p -> p.id().equals(placeId))
                .map(PlaceView::climate)
                .findFirst()
                .orElse(Climate.OPEN);
    }
}
