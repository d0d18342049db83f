package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.ReadyByDay;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches that are over, beside what was expected of each on the day it was made. */
@Service
public class FinishedBatches {

    private static final int BATCHES_JUDGED = 400;

    private final BatchBook book;
    private final Evidence evidence;
    private final CurrentNursery nursery;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    FinishedBatches(BatchBook book, Evidence evidence, CurrentNursery nursery) {
        this.book = book;
        this.evidence = evidence;
        this.nursery = nursery;
    }

    /** Those that ended last, as long as no batch has changed. */
    private record Held(long stamp, List<FinishedBatch> last) {}

    /**
     * A batch that is over.
     *
     * @param batch the batch
     * @param expected how many of its pieces were to become ready, as reckoned on the day it was made
     * @param fromOwn whether batches of this nursery stood behind that, rather than the guide alone
     */
    public record FinishedBatch(BatchView batch, Supply expected, boolean fromOwn) {}

    /**
     * A batch that was planned, with what became of it.
     *
     * @param batch the batch
     * @param moves its moves
     * @param ready its tallies of ready
     * @param outlook what was expected of it
     */
    public record Grown(BatchView batch, List<PottingView> moves, Tallies ready, Outlook outlook) {

        /**
         * Young plants that were there by the day: dated by roots, not by the day somebody looked, and counted as they came
         * to settle in the end. Of young plants nobody was asked about, all are held to have settled.
         */
        public ReadyByDay youngPlantsBy(LocalDate day) {
            long days = ChronoUnit.DAYS.between(batch.dayZero(), day) - outlook.settleDays();
            return ReadyByDay.of(ready, outlook.in(batch.season()).ready(), days)
                    .times(perReadyPiece());
        }

        private double perReadyPiece() {
            int gone = batch.counts().ready() - batch.readyToMove();
            double made = gone > 0 && batch.youngPlants() > 0
                    ? (double) batch.youngPlants() / gone
                    : 1.0 / batch.piecesPerPot();
            int asked = moves.stream()
                    .filter(m -> m.settled() != null)
                    .mapToInt(PottingView::youngPlants)
                    .sum();
            return asked == 0 ? made : made * batch.settled() / asked;
        }
    }

    /** Stuck batches by their label codes, over or not. */
    @Transactional(readOnly = true)
    public Map<String, Grown> grown(Collection<String> codes) {
        List<BatchBook.Entry> found =
                book.ofCodes(codes).stream().filter(e -> e.batch().isStuck()).toList();
        List<UUID> ids = found.stream().map(e -> e.batch().id()).toList();
        Map<UUID, List<PottingView>> moves =
                book.moves(found.stream().map(BatchBook.Entry::batch).toList());
        Map<UUID, Evidence.Counted> counted = evidence.counted(ids);
        return found.stream()
                .collect(Collectors.toMap(
                        e -> e.batch().code(),
                        e -> new Grown(
                                e.batch(),
                                moves.getOrDefault(e.batch().id(), List.of()),
                                counted.getOrDefault(e.batch().id(), Evidence.Counted.NOTHING)
                                        .ready(),
                                e.outlook())));
    }

    /** Those that ended last, each piece of which was judged. */
    @Transactional(readOnly = true)
    public List<FinishedBatch> last() {
        UUID of = nursery.required();
        long stamp = book.stamp();
        Held before = held.get(of);
        if (before != null && before.stamp() == stamp) {
            return before.last();
        }
        Held now = new Held(stamp, judged());
        held.put(of, now);
        return now.last();
    }

    private List<FinishedBatch> judged() {
        return book.lastClosed(BATCHES_JUDGED).stream()
                .filter(e -> e.batch().stuck() > 0 && e.batch().counts().sent() == 0)
                .map(e -> {
                    StrikeRate strike = e.outlook().in(e.batch().season()).strike();
                    return new FinishedBatch(
                            e.batch(),
                            Supply.ofChances(ReadyChance.withUnlimitedTime(strike.nextBatch())
                                    .distribution(e.batch().stuck())),
                            !strike.shares().isEmpty());
                })
                .toList();
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.remove(back.nursery());
    }
}
