package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Moves batches about: whole, in part, and together with another. A batch of which some pieces stand elsewhere is one batch still:
 * it has one label, one record of looks and counts once.
 */
@Service
public class Whereabouts {

    private final BatchRepository batches;
    private final BatchStandRepository stands;
    private final Stock stock;
    private final CurrentNursery nursery;
    private final Seen seen;
    private final Today today;

    Whereabouts(
            BatchRepository batches,
            BatchStandRepository stands,
            Stock stock,
            CurrentNursery nursery,
            Seen seen,
            Today today) {
        this.batches = batches;
        this.stands = stands;
        this.stock = stock;
        this.nursery = nursery;
        this.seen = seen;
        this.today = today;
    }

    /** Where it stood and stands, the last first. */
    @Transactional(readOnly = true)
    public List<StandView> of(UUID batch) {
        return stands.findByBatchIdOrderBySinceDesc(batch).stream()
                .map(BatchStand::view)
                .toList();
    }

    /**
     * Carries a batch to another place, or some of its pieces. The place is made if it is new.
     *
     * @param pieces how many of it; null for all
     * @param cells which, in words; may be null
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    public BatchView carry(String code, LocalDate day, String place, Integer pieces, String cells) {
        Batch batch = batch(code);
        if (place == null || place.isBlank()) {
            throw new InvalidField("place", Messages.text("Whereabouts.say.where"));
        }
        refuseBadDay(batch, day);
        PlaceView to = stock.placeNamed(place.strip(), Climate.HEATED);
        int here = standing(batch) - apart(batch);
        if (pieces != null && (pieces < 1 || pieces > here)) {
            throw new InvalidField("pieces", Messages.text("Whereabouts.pieces", "here", here));
        }
        boolean whole = pieces == null || (pieces == here && apart(batch) == 0);
        if (whole) {
            stands.findByBatchIdOrderBySinceDesc(batch.getId()).stream()
                    .filter(s -> s.view().until() == null)
                    .forEach(s -> s.ends(day));
            batch.carried(to.id());
        } else {
            batch.touched();
        }
        stands.save(new BatchStand(batch.getId(), to, whole ? null : pieces, whole ? null : said(cells), day, who()));
        return batch.view();
    }

    /** Puts a part back to the rest. */
    @Transactional
    public BatchView rejoin(String code, UUID part, LocalDate day) {
        Batch batch = batch(code);
        refuseBadDay(batch, day);
        BatchStand stand = stands.findById(part)
                .filter(s -> s.isPart())
                .filter(s -> stands.findByBatchIdOrderBySinceDesc(batch.getId()).contains(s))
                .orElseThrow(() -> new NotFound("no such part"));
        stand.ends(day);
        batch.touched();
        return batch.view();
    }

    /**
     * Puts two batches into one vessel. Each keeps its label and its record: they are looked at together, and counted apart.
     *
     * @throws InvalidField if they are of different plants, or the other is not known
     */
    @Transactional
    public BatchView together(String code, String other) {
        Batch batch = batch(code);
        Batch with = batches.findToChange(other == null ? "" : other.strip().toUpperCase(Locale.ROOT))
                .or(() -> batches.findToChange(other == null ? "" : other.strip()))
                .orElseThrow(() -> new InvalidField(
                        "other", Messages.text("Whereabouts.no.such", "other", String.valueOf(other))));
        if (with.getId().equals(batch.getId())
                || !with.view().plant().equals(batch.view().plant())) {
            throw new InvalidField(
                    "other",
                    Messages.text(
                            "Whereabouts.other.plant", "plant", batch.view().plant()));
        }
        batch.standsWith(with);
        return batch.view();
    }

    /** Takes a batch out of the vessel that it shared. */
    @Transactional
    public BatchView apart(String code) {
        Batch batch = batch(code);
        batch.standsAlone();
        return batch.view();
    }

    /** Codes of the batches that stand in one vessel with it. */
    @Transactional(readOnly = true)
    public List<String> with(String code) {
        return batches.findByCode(code).stream()
                .filter(b -> b.together() != null)
                .flatMap(b -> batches.findByTogether(b.together()).stream())
                .map(Batch::code)
                .filter(c -> !c.equals(code))
                .sorted()
                .toList();
    }

    private static int standing(Batch batch) {
        BatchView b = batch.view();
        return b.isStuck() ? b.counts().pending() + b.readyToMove() : b.taken();
    }

    private int apart(Batch batch) {
        return stands.findByBatchIdOrderBySinceDesc(batch.getId()).stream()
                .filter(BatchStand::isPart)
                .mapToInt(BatchStand::pieces)
                .sum();
    }

    private void refuseBadDay(Batch batch, LocalDate day) {
        today.refuseFuture("day", day);
        if (day.isBefore(batch.takenOn())) {
            throw new InvalidField("day", Messages.text("BatchMaker.they.were.taken.give", "takenOn", batch.takenOn()));
        }
    }

    private static String said(String cells) {
        return cells == null || cells.isBlank()
                ? null
                : cells.strip().substring(0, Math.min(200, cells.strip().length()));
    }

    private String who() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }

    private Batch batch(String code) {
        Batch batch = batches.findToChange(code).orElseThrow(() -> new NotFound("no batch " + code));
        seen.check(batch.mark(), batch.changes(), () -> batch.view().stands());
        return batch;
    }
}
