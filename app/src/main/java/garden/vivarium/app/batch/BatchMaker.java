package garden.vivarium.app.batch;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.Limits;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes batches, new ones and those of old records: refuses what cannot be, gives the code, fixes what was expected. */
@Component
class BatchMaker {

    private final BatchRepository batches;
    private final WithdrawnBatchRepository withdrawn;
    private final OutlookText outlooks;
    private final Stock stock;
    private final People people;
    private final CurrentNursery nursery;
    private final Today today;

    BatchMaker(
            BatchRepository batches,
            WithdrawnBatchRepository withdrawn,
            OutlookText outlooks,
            Stock stock,
            People people,
            CurrentNursery nursery,
            Today today) {
        this.batches = batches;
        this.withdrawn = withdrawn;
        this.outlooks = outlooks;
        this.stock = stock;
        this.people = people;
        this.nursery = nursery;
        this.today = today;
    }

    /**
     * Makes a batch of which this is expected; asleep, its days are counted from its waking. Its code is of the week in which its label is written.
     *
     * @throws InvalidField naming the field, if days or counts cannot be
     */
    Batch make(NewBatch wanted, Outlook outlook, boolean asleep) {
        refuseBadNumbers(wanted);
        LocalDate dayZero = wanted.taking().stuckOn() != null
                ? wanted.taking().stuckOn()
                : wanted.taking().takenOn();
        SeasonFactors season = season(wanted, outlook);
        return batches.save(new Batch(nextCode(dayZero), wanted, outlooks.write(outlook, season), season, asleep)
                .by(
                        wanted.origin() != null && wanted.origin().oldCode() != null
                                ? null
                                : nursery.person().map(SignedIn::name).orElse(null)));
    }

    /** The factors of the season on a batch of which this is expected. */
    SeasonFactors season(NewBatch batch, Outlook outlook) {
        LocalDate dayZero = batch.taking().stuckOn() != null
                ? batch.taking().stuckOn()
                : batch.taking().takenOn();
        Climate here = climateOf(batch.placeId()).orElse(Climate.OPEN);
        Climate ofStock = Optional.ofNullable(batch.origin().stockPlantId())
                .flatMap(stock::find)
                .map(s -> s.place().climate())
                .orElse(here);
        return outlook.season().factors(dayZero, here, ofStock, people.hemisphere());
    }

    /**
     * Refuses what cannot be of any batch.
     *
     * @throws InvalidField naming the field, if days or counts cannot be
     */
    void refuseBadNumbers(NewBatch wanted) {
        Taking t = wanted.taking();
        if (t.taken() < 1 || t.taken() > Limits.MOST_PIECES) {
            throw new InvalidField(
                    "taken",
                    Messages.text(
                            "BatchMaker.cannot.taken.give.make", "taken", t.taken(), "mostPieces", Limits.MOST_PIECES));
        }
        today.refuseFuture("takenOn", t.takenOn());
        if (t.stuckOn() == null) {
            return;
        }
        today.refuseFuture("stuckOn", t.stuckOn());
        if (t.stuckOn().isBefore(t.takenOn())) {
            throw new InvalidField("stuckOn", Messages.text("BatchMaker.they.were.taken.give", "takenOn", t.takenOn()));
        }
        if (t.stuck() < 1 || t.stuck() > t.taken()) {
            throw new InvalidField(
                    "stuck",
                    Messages.text("BatchMaker.taken.cannot.stuck.give", "stuck", t.stuck(), "taken", t.taken()));
        }
        Vessel v = wanted.vessel();
        if (v.isTray() && v.rows() * v.columns() < t.stuck()) {
            throw new InvalidField(
                    "rows",
                    Messages.text(
                            "BatchMaker.tray.holds.give.larger",
                            "rows",
                            v.rows(),
                            "columns",
                            v.columns(),
                            "columnsThen",
                            v.rows() * v.columns()));
        }
    }

    private BatchCode nextCode(LocalDate day) {
        BatchCode first = BatchCode.of(day, 1);
        // The label of a withdrawn batch may still stand somewhere: its code is not given twice.
        int last = Math.max(
                batches.lastNumber(first.year(), first.week()), withdrawn.lastNumber(first.year(), first.week()));
        return BatchCode.of(day, last + 1);
    }

    private Optional<Climate> climateOf(UUID placeId) {
        return stock.places().stream()
                .filter(p -> p.id().equals(placeId))
                .map(PlaceView::climate)
                .findFirst();
    }
}
