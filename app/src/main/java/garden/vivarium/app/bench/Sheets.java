package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Noted;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.evidence.Running;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.Statement;
import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.Sentinels;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.PieceCode;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.Paces;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that is known of one batch, as its sheet and bench mode show it. */
@Service
public class Sheets {

    private static final double SURE = 0.9;
    private static final int AHEAD = 14;

    private final BatchBook book;
    private final Benches benches;
    private final Evidence evidence;
    private final Running running;
    private final GuideLookup lookup;
    private final Today today;

    Sheets(BatchBook book, Benches benches, Evidence evidence, Running running, GuideLookup lookup, Today today) {
        this.book = book;
        this.benches = benches;
        this.evidence = evidence;
        this.running = running;
        this.lookup = lookup;
        this.today = today;
    }

    /** The whole sheet of one batch. */
    @Transactional(readOnly = true)
    public BatchSheet of(String code) {
        BatchBook.Entry entry = book.entry(code);
        BatchView batch = entry.batch();
        BatchBook.Looks looks = book.looks(code);
        Tallies ready = looks.history().map(h -> h.tallies(Milestone.READY)).orElse(Tallies.none());
        return new BatchSheet(
                benches.row(entry),
                entry.outlook(),
                batch.expected(entry.outlook(), today.date()),
                looks.history().map(h -> details(batch, h, looks.noted())).orElse(List.of()),
                batch.lastKnowingLook() == null ? Optional.empty() : Optional.of(RootingCurve.fit(ready)),
                new BatchSheet.Done(looks.checks(), book.pottings(batch.id())),
                new BatchSheet.ByGuide(
                        lookup.protocol(batch.protocol(), batch.protocolVersion(), batch.way()),
                        lookup.method(batch.method()),
                        lookup.signs(batch.protocol(), batch.protocolVersion(), batch.method())),
                Optional.ofNullable(book.stages(List.of(batch)).get(batch.id())),
                running.now(batch, ready).map(now -> toCome(batch, now)));
    }

    /** Of batches in one vessel with it, those that hardly become ready when it does. */
    @Transactional(readOnly = true)
    public List<Statement> apart(String code, List<String> others) {
        if (others.isEmpty()) {
            return List.of();
        }
        Optional<Paces.Pace> own = pace(book.entry(code));
        return book.ofCodes(others).stream()
                .map(Sheets::pace)
                .flatMap(Optional::stream)
                .flatMap(other -> own.flatMap(o -> Paces.apart(o, other)).stream())
                .toList();
    }

    /** What a few pieces that the last knowing look read tell of all that it did not. */
    static Optional<Statement> fewTell(BatchSheet sheet) {
        BatchView b = sheet.batch();
        if (b.lastKnowingLook() == null || b.isAsleep()) {
            return Optional.empty();
        }
        int day = (int) (b.lastKnowingLook().toEpochDay() - b.dayZero().toEpochDay());
        List<PieceView> pieces = sheet.pieces().stream().map(PieceDetail::view).toList();
        if (pieces.stream().anyMatch(PieceView::byCount)) {
            return Optional.empty();
        }
        List<PieceView> read = pieces.stream()
                .filter(p -> p.lookedOn() == day && p.state() != PieceState.SENT && (!p.wasReady() || p.since() == day))
                .toList();
        int ready = (int) read.stream().filter(PieceView::wasReady).count();
        int others = (int) pieces.stream()
                .filter(p -> p.lookedOn() < day && !p.state().isEnd() && !p.wasReady())
                .count();
        return Sentinels.of(read.size(), ready, others).map(Sentinels::says);
    }

    private static Optional<Paces.Pace> pace(BatchBook.Entry entry) {
        BatchView b = entry.batch();
        if (!b.isStuck() || b.isAsleep()) {
            return Optional.empty();
        }
        Window ready = entry.outlook().in(b.season()).ready().window();
        return Optional.of(new Paces.Pace(
                b.code(),
                b.dayZero().plusDays(Math.round(ready.d10())),
                b.dayZero().plusDays(Math.round(ready.d90()))));
    }

    private static List<PieceDetail> details(BatchView batch, BatchHistory history, Map<Integer, Noted> noted) {
        BatchCode code = BatchCode.parse(batch.code());
        int moved = batch.moved();
        List<PieceDetail> details = new ArrayList<>();
        for (PieceView p : history.pieces()) {
            boolean potted = p.wasReady() && !p.state().isEnd() && moved-- > 0;
            details.add(new PieceDetail(
                    new PieceCode(code, p.piece()), p, noted.getOrDefault(p.piece(), Noted.NOTHING), potted));
        }
        return details;
    }

    private StillToCome toCome(BatchView batch, RunningBatch now) {
        BatchPrior prior = evidence.record().prior(batch.way(), batch.season());
        LocalDate soon = today.date().plusDays(AHEAD);
        Supply ever = Supply.ofChances(now.more(Double.POSITIVE_INFINITY));
        Supply by =
                Supply.ofChances(now.more(soon.toEpochDay() - batch.dayZero().toEpochDay()));
        int judgeable = batch.stuck() - batch.counts().sent();
        return new StillToCome(
                batch.counts().pending(),
                Math.round(100 * now.everReady()),
                Math.round(ever.mean()),
                ever.surely(SURE),
                soon,
                Math.round(by.mean()),
                by.surely(SURE),
                Math.round(now.asFinished(prior.rate(), judgeable)[1]));
    }
}
