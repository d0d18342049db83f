package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NotFound;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches as records of a nursery's past have them: found by their old names, made with all their looks at once. */
@Service
public class OldBatches {

    private static final int NAMES_AT_ONCE = 500;

    private final BatchRepository batches;
    private final CheckRepository checks;
    private final PieceFactRepository facts;
    private final BatchMaker maker;
    private final CheckBook book;
    private final Histories histories;

    OldBatches(
            BatchRepository batches,
            CheckRepository checks,
            PieceFactRepository facts,
            BatchMaker maker,
            CheckBook book,
            Histories histories) {
        this.batches = batches;
        this.checks = checks;
        this.facts = facts;
        this.maker = maker;
        this.book = book;
        this.histories = histories;
    }

    /**
     * Makes a batch of the past with all its looks by count. No more was known of it beforehand than the guide says.
     *
     * @param over whether nothing more is asked of it: what was ready has long been moved
     */
    @Transactional
    public BatchView make(NewBatch wanted, List<LookCommand> looks, boolean over) {
        Batch batch = maker.make(
                wanted,
                histories.guideOutlook(
                        wanted.done().method(),
                        wanted.done().medium(),
                        wanted.plant().group()),
                false);
        histories.refreshNew(batch, book.writeFirst(batch, looks), over);
        return batch.view();
    }

    /** Writes down many looks of one batch at once, replaying only when all are there. */
    @Transactional
    public BatchView addLooks(String code, List<LookCommand> looks, boolean over) {
        Batch batch = batches.findToChange(code).orElseThrow(() -> new NotFound("no batch " + code));
        book.write(batch, looks);
        histories.refresh(batch, over);
        return batch.view();
    }

    /** Notes what is known of one piece. */
    @Transactional
    public void describePiece(String code, int piece, String kind, Integer lengthMm, Integer nodes) {
        Batch batch = batch(code);
        PieceFact fact =
                facts.findByBatchIdAndPiece(batch.getId(), piece).orElseGet(() -> new PieceFact(batch.getId(), piece));
        fact.say(kind, lengthMm, nodes);
        facts.save(fact);
    }

    /** The batch that had this name in the records it came from, or has it as its code. */
    @Transactional(readOnly = true)
    public Optional<BatchView> named(String name) {
        return batches.findByOriginOldCode(name)
                .or(() -> batches.findByCode(name))
                .map(Batch::view);
    }

    /** All batches that had these names in the records they came from. */
    @Transactional(readOnly = true)
    public List<BatchView> ofOldNames(List<String> names) {
        List<BatchView> found = new ArrayList<>();
        // Databases dislike very long lists of values.
        for (int from = 0; from < names.size(); from += NAMES_AT_ONCE) {
            batches.findByOriginOldCodeIn(names.subList(from, Math.min(names.size(), from + NAMES_AT_ONCE))).stream()
                    .map(Batch::view)
                    .forEach(found::add);
        }
        return found;
    }

    /** The code of a batch that stands. */
    @Transactional(readOnly = true)
    public Optional<String> codeOf(UUID id) {
        return batches.findById(id).map(Batch::code);
    }

    /** Takes back a look that was written down under an id. */
    @Transactional
    public void takeBackLook(UUID clientId) {
        checks.findByClientId(clientId)
                .filter(c -> !c.isWithdrawn())
                .ifPresent(check -> batches.findById(check.batchId()).ifPresent(batch -> {
                    book.withdraw(check);
                    histories.refresh(batch);
                }));
    }

    /** Looks by count of a batch that stand. */
    @Transactional(readOnly = true)
    public List<LookCommand> countsOf(String code) {
        return histories.counts(batch(code));
    }

    /** What has become of a look that was written down under an id. */
    public enum Fate {
        UNKNOWN,
        STANDS,
        TAKEN_BACK
    }

    /** What has become of the look of this client id. */
    @Transactional(readOnly = true)
    public Fate fate(UUID clientId) {
        return checks.findByClientId(clientId)
                .map(c -> c.isWithdrawn() ? Fate.TAKEN_BACK : Fate.STANDS)
                .orElse(Fate.UNKNOWN);
    }

    /**
     * Tries looks on a batch without keeping them.
     *
     * @throws LookRefused if they cannot be true beside what is known
     */
    @Transactional(readOnly = true, noRollbackFor = LookRefused.class)
    public void tryLooks(String code, List<LookCommand> looks) {
        histories.tryOn(batch(code), looks);
    }

    private Batch batch(String code) {
        return batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
    }
}
