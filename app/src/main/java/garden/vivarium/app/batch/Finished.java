package garden.vivarium.app.batch;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
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
    private final OutlookText outlooks;

    Finished(BatchRepository batches, PottingRepository pottings, OutlookText outlooks) {
        this.batches = batches;
        this.pottings = pottings;
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
     * A batch that was planned, with what was moved of it.
     *
     * @param batch the batch
     * @param moves its moves
     */
    public record Grown(BatchView batch, List<PottingView> moves) {

        /** Young plants settled by the day; of those that nobody has looked at since, all that were moved by then. */
        public int youngPlantsBy(LocalDate day) {
            return moves.stream()
                    .filter(p -> !(p.settledOn() == null ? p.movedOn() : p.settledOn()).isAfter(day))
                    .mapToInt(p -> p.settled() == null ? p.youngPlants() : p.settled())
                    .sum();
        }
    }

    /** Batches by their label codes, over or not. */
    @Transactional(readOnly = true)
    public Map<String, Grown> grown(Collection<String> codes) {
        List<Batch> found = batches.findByCodeIn(codes);
        Map<UUID, List<PottingView>> moves =
                pottings
                        .findByBatchIdInOrderByMovedOn(
                                found.stream().map(Batch::getId).toList())
                        .stream()
                        .map(Potting::view)
                        .collect(Collectors.groupingBy(PottingView::batchId));
        return found.stream()
                .collect(Collectors.toMap(
                        Batch::code, b -> new Grown(b.view(), moves.getOrDefault(b.getId(), List.of()))));
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
                    NextBatch rate = outlook.strike().thinnedBy(view.thinning()).nextBatch();
                    return new Over(
                            view,
                            Supply.ofChances(ReadyChance.withUnlimitedTime(rate).distribution(view.stuck())),
                            !outlook.strike().shares().isEmpty());
                })
                .toList();
    }
}
