package garden.vivarium.app.batch;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.CorrectionView;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.treatment.Treatments;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** Tells of batches what really happened: corrects their facts, and withdraws those that never were. */
@Service
public class BatchCorrections {

    private final BatchRepository batches;
    private final WithdrawnBatchRepository withdrawn;
    private final PottingRepository pottings;
    private final BatchMaker maker;
    private final Histories histories;
    private final OutlookText outlooks;
    private final GuideLookup lookup;
    private final Protocols protocols;
    private final Stock stock;
    private final StockCounts counts;
    private final Corrections corrections;
    private final ApplicationEventPublisher events;
    private final CurrentNursery nursery;
    private final BatchToChange toChange;
    private final Says says;
    private final Today today;

    BatchCorrections(
            BatchRepository batches,
            WithdrawnBatchRepository withdrawn,
            PottingRepository pottings,
            BatchMaker maker,
            Histories histories,
            OutlookText outlooks,
            GuideLookup lookup,
            Protocols protocols,
            Stock stock,
            StockCounts counts,
            Corrections corrections,
            ApplicationEventPublisher events,
            CurrentNursery nursery,
            BatchToChange toChange,
            Says says,
            Today today) {
        this.batches = batches;
        this.withdrawn = withdrawn;
        this.pottings = pottings;
        this.maker = maker;
        this.histories = histories;
        this.outlooks = outlooks;
        this.lookup = lookup;
        this.protocols = protocols;
        this.stock = stock;
        this.counts = counts;
        this.corrections = corrections;
        this.events = events;
        this.nursery = nursery;
        this.toChange = toChange;
        this.says = says;
        this.today = today;
    }

    /**
     * Corrects the facts of a batch; its looks and moves stand, and what it tells of its way is reckoned anew. Where the way is
     * another, what is expected of it is what the guide says of that way.
     *
     * @param now how it really was
     * @param why in a word, or null
     * @throws InvalidField naming the field, if days or counts cannot be
     * @throws LookRefused naming the look that could not be true of it
     */
    @Transactional
    public BatchView correct(String code, NewBatch now, String why) {
        Batch batch = toChange.of(code);
        BatchView before = batch.view();
        refuse(batch, now);
        boolean otherWay = !now.done().way(now.plant().grown()).equals(before.way());
        Outlook outlook = otherWay ? ofGuide(now) : outlooks.read(batch.outlookText());
        List<CorrectedFact> changes = changes(before, now);
        if (changes.stream().allMatch(CorrectedFact::isNone)) {
            return before;
        }
        moveHarvest(before, now);
        SeasonFactors season = maker.season(now, outlook);
        batch.correct(now, outlooks.write(outlook, season), season, clock(before, now));
        corrections.keep(batch.getId(), changes, why);
        if (batch.stuckOn() != null) {
            refresh(batch);
        }
        return batch.view();
    }

    /**
     * The same facts, with one treatment that was another.
     *
     * @throws InvalidField as where all facts are corrected
     */
    @Transactional
    public void treated(String code, Treatments was, Treatments now, String why) {
        BatchView batch = toChange.of(code).view();
        HowDone done = batch.done();
        correct(
                code,
                new NewBatch(
                        stock.plantNamed(batch.plant(), batch.group()),
                        batch.origin(),
                        batch.placeId(),
                        done.treated(done.treatment().without(was).and(now), done.deviation()),
                        batch.taking(),
                        batch.vessel(),
                        batch.material(),
                        batch.guess()),
                why);
    }

    private void refresh(Batch batch) {
        try {
            histories.refresh(batch);
        } catch (LookRefused impossible) {
            throw histories
                    .firstImpossible(batch)
                    .map(day -> new InvalidField(
                            impossible.what().name().equals("DAY") ? "stuckOn" : "stuck",
                            Messages.text(
                                    "BatchCorrections.look.could.not.be",
                                    "day",
                                    says.day(day),
                                    "fault",
                                    StringUtils.uncapitalize(impossible.fault()))))
                    .orElse(impossible);
        }
    }

    private void refuse(Batch batch, NewBatch now) {
        maker.refuseBadNumbers(now);
        if ((now.taking().stuckOn() == null) != (batch.stuckOn() == null)) {
            throw new InvalidField("stuckOn", Messages.text("BatchCorrections.stuck.day.stays"));
        }
        if (batch.stuckOn() == null) {
            return;
        }
        pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId())).stream()
                .map(Potting::view)
                .filter(p -> p.movedOn().isBefore(now.taking().stuckOn()))
                .findFirst()
                .ifPresent(p -> {
                    throw new InvalidField(
                            "stuckOn", Messages.text("BatchCorrections.moved.before", "day", says.day(p.movedOn())));
                });
    }

    private Outlook ofGuide(NewBatch now) {
        return protocol(now)
                .map(p -> Outlook.ofGuide(
                        p, lookup.worth(now.done().way(now.plant().grown())), Histories.USUAL_RHO))
                .orElseGet(() -> histories.guideOutlook(
                        now.done().method(), now.done().medium(), now.plant().group()));
    }

    private Optional<Protocol> protocol(NewBatch now) {
        Optional<Protocol> protocol = lookup.protocol(
                now.done().protocol(),
                now.done().protocolVersion(),
                now.done().way(now.plant().grown()));
        protocol.ifPresent(protocols::keep);
        return protocol;
    }

    /** Days run from the day stuck, or from waking, which stays where it was unless that came before the day stuck. */
    private LocalDate clock(BatchView before, NewBatch now) {
        LocalDate stuck = now.taking().stuckOn();
        boolean sleeps = protocol(now).flatMap(Protocol::clockStage).isPresent();
        if (stuck == null || !sleeps) {
            return stuck;
        }
        boolean slept = before.clockOn() == null || !before.clockOn().equals(before.stuckOn());
        LocalDate woke = slept ? before.clockOn() : before.lastLook() == null ? null : stuck;
        return woke != null && woke.isBefore(stuck) ? stuck : woke;
    }

    /** What was cut is taken off the plant that it really came from, on the day on which it really was. */
    private void moveHarvest(BatchView before, NewBatch now) {
        boolean same = before.taken() == now.taking().taken()
                && before.takenOn().equals(now.taking().takenOn())
                && before.method().equals(now.done().method())
                && Objects.equals(before.origin().stockPlantId(), now.origin().stockPlantId());
        if (same || before.origin().stockPlantId() == null) {
            return;
        }
        OptionalInt cut = counts.takeBack(cutFor(before), before.taken());
        if (cut.isPresent() && now.origin().stockPlantId() != null) {
            // Of fewer pieces fewer growths were cut, as far as is known in proportion.
            double each = (double) cut.getAsInt() / Math.max(1, before.taken());
            counts.cutFor(
                    new StockCounts.ForBatch(
                            now.origin().stockPlantId(),
                            now.done().method(),
                            now.taking().takenOn(),
                            before.id()),
                    (int) Math.round(each * now.taking().taken()));
        }
    }

    private static StockCounts.ForBatch cutFor(BatchView b) {
        return new StockCounts.ForBatch(b.origin().stockPlantId(), b.method(), b.takenOn(), b.id());
    }

    private List<CorrectedFact> changes(BatchView was, NewBatch now) {
        return List.of(
                change("plant", was.plant(), now.plant().name()),
                change("stock plant", stockPlant(was.origin()), stockPlant(now.origin())),
                change(
                        "day taken",
                        says.day(was.takenOn()),
                        says.day(now.taking().takenOn())),
                change("pieces taken", was.taken(), now.taking().taken()),
                change(
                        "day stuck",
                        was.stuckOn() == null ? null : says.day(was.stuckOn()),
                        now.taking().stuckOn() == null
                                ? null
                                : says.day(now.taking().stuckOn())),
                change("pieces stuck", was.taking().stuck(), now.taking().stuck()),
                change("place", place(was.placeId()), place(now.placeId())),
                change("way", way(was.done()), way(now.done())),
                change("medium", was.medium(), now.done().medium()),
                change(
                        "treatment",
                        WayWords.of(was.done().treatment()),
                        WayWords.of(now.done().treatment())),
                change(
                        "instead of the protocol",
                        was.done().deviation(),
                        now.done().deviation()),
                change("tray", tray(was.vessel()), tray(now.vessel())),
                change(
                        "vessel",
                        metric(was.vessel().words()),
                        metric(now.vessel().words())),
                change("pieces to a pot", was.piecesPerPot(), now.vessel().piecesPerPot()));
    }

    private static CorrectedFact change(String what, Object was, Object now) {
        return new CorrectedFact(what, was == null ? "" : was.toString(), now == null ? "" : now.toString());
    }

    private static String tray(Vessel v) {
        return v.isTray() ? v.rows() + " × " + v.columns() : "";
    }

    private static String way(HowDone done) {
        return done.protocol() == null
                ? done.method()
                : done.method() + " (" + done.protocol() + ", version " + done.protocolVersion() + ")";
    }

    private String place(UUID id) {
        return stock.places().stream()
                .filter(p -> p.id().equals(id))
                .map(PlaceView::name)
                .findFirst()
                .orElse("");
    }

    private String stockPlant(Origin origin) {
        return Optional.ofNullable(origin.stockPlantId())
                .flatMap(stock::find)
                .map(StockPlantView::code)
                .orElse("");
    }

    /**
     * Withdraws a batch that never was: its plan waits again, what was cut for it stands on its plant again, and it counts
     * nowhere.
     *
     * @param why in a word
     * @throws InvalidField if no word is given
     */
    @Transactional
    public BatchView withdraw(String code, String why) {
        if (why == null || why.isBlank()) {
            throw new InvalidField("why", Messages.text("BatchCorrections.say.why"));
        }
        Batch batch = toChange.of(code);
        BatchView before = batch.view();
        OptionalInt cut = before.origin().stockPlantId() == null
                ? OptionalInt.empty()
                : counts.takeBack(cutFor(before), before.taken());
        batch.withdraw(
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now(),
                why.strip().substring(0, Math.min(300, why.strip().length())),
                cut.isPresent() ? cut.getAsInt() : null);
        batches.flush();
        events.publishEvent(new BatchWithdrawn(before));
        return before;
    }

    /**
     * Withdraws a stick: the pieces dry still. It is taken back by sticking them.
     *
     * @param why in a word, or null
     * @throws InvalidField if they did not dry first, or something has been seen or done of them since
     */
    @Transactional
    public BatchView unstick(String code, String why) {
        Batch batch = toChange.of(code);
        BatchView before = batch.view();
        if (!before.isStuck() || before.takenOn().equals(before.stuckOn())) {
            throw new InvalidField("stuckOn", Messages.text("BatchCorrections.did.not.dry"));
        }
        boolean touched = !histories.log(batch).standing().isEmpty()
                || !pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId()))
                        .isEmpty();
        if (touched) {
            throw new InvalidField("stuckOn", Messages.text("BatchCorrections.looked.at.since"));
        }
        corrections.keep(
                batch.getId(),
                List.of(new CorrectedFact("day stuck", says.day(before.stuckOn()), "drying still")),
                why);
        batch.unstick();
        events.publishEvent(new BatchUnstuck(before));
        return batch.view();
    }

    /** Takes a withdrawal back: the batch is as it was. */
    @Transactional
    public BatchView restore(String code) {
        WithdrawnBatch found = withdrawn.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
        OptionalInt cut = found.restore(found.oldName() == null
                || batches.findByOriginOldCode(found.oldName()).isEmpty());
        withdrawn.saveAndFlush(found);
        Batch batch = batches.findByCode(code).orElseThrow();
        if (batch.stuckOn() != null) {
            histories.refresh(batch);
        }
        BatchView now = batch.view();
        cut.ifPresent(growths -> counts.cutFor(cutFor(now), growths));
        events.publishEvent(new BatchRestored(now));
        return now;
    }

    /** All that were withdrawn, the last first. */
    @Transactional(readOnly = true)
    public List<WithdrawnView> withdrawn() {
        return withdrawn.findAllByOrderByWithdrawnAtDesc().stream()
                .map(WithdrawnBatch::view)
                .toList();
    }

    /** What was corrected of a batch, the last first. */
    @Transactional(readOnly = true)
    public List<CorrectionView> of(UUID batch) {
        return corrections.of(batch);
    }

    private static String metric(String written) {
        return written == null ? null : Prose.of(written).metric();
    }
}
