package garden.vivarium.app.batch;

import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.ReadyByDay;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.timing.Milestone;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches that are over, beside what was expected of each on the day it was made. */
@Service
public class Finished {

    private static final int MOST = 400;

    private final BatchRepository batches;
    private final PottingRepository pottings;
    private final TallyRepository tallies;
    private final OutlookText outlooks;

    Finished(BatchRepository batches, PottingRepository pottings, TallyRepository tallies, OutlookText outlooks) {
        this.batches = batches;
        this.pottings = pottings;
        this.tallies = tallies;
        this.outlooks = outlooks;
    }

    /**
     * A batch that is over.
     *
     * @param batch the batch
     * @param expected how many of its pieces were to become ready, as reckoned on the day it was made
     * @param fromOwn whether batches of this nursery stood behind that, rather than the guide alone
     */
    public record Over(BatchView batch, Supply expected, boolean fromOwn) {}

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
            long days = ChronoUnit.DAYS.between(batch.dayNought(), day) - outlook.settleDays();
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
        List<Batch> found = batches.findByCodeIn(codes).stream()
                .filter(b -> b.stuckOn() != null)
                .toList();
        List<UUID> ids = found.stream().map(Batch::getId).toList();
        Map<UUID, List<PottingView>> moves = pottings.findByBatchIdInOrderByMovedOn(ids).stream()
                .map(Potting::view)
                .collect(Collectors.groupingBy(PottingView::batchId));
        Map<UUID, List<TallyRow>> counted = tallies.findByBatchIdIn(ids).stream()
                .filter(t -> t.milestone() == Milestone.READY)
                .collect(Collectors.groupingBy(TallyRow::batchId));
        return found.stream()
                .collect(Collectors.toMap(
                        Batch::code,
                        b -> new Grown(
                                b.view(),
                                moves.getOrDefault(b.getId(), List.of()),
                                Tallies.of(counted.getOrDefault(b.getId(), List.of()).stream()
                                        .collect(Collectors.toMap(TallyRow::interval, TallyRow::pieces, Long::sum))),
                                outlooks.read(b.outlookText()))));
    }

    /** Those that ended last, each piece of which was judged. */
    @Transactional(readOnly = true)
    public List<Over> last() {
        return batches.lastClosed(MOST).stream()
                .filter(b ->
                        b.stuck() != null && b.stuck() > 0 && b.view().counts().sent() == 0)
                .map(b -> {
                    BatchView view = b.view();
                    Outlook outlook = outlooks.read(b.outlookText());
                    StrikeRate strike = outlook.in(view.season()).strike();
                    return new Over(
                            view,
                            Supply.ofChances(ReadyChance.withUnlimitedTime(strike.nextBatch())
                                    .distribution(view.stuck())),
                            !strike.shares().isEmpty());
                })
                .toList();
    }
}
