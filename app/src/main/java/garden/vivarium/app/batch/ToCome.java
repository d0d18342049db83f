package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Today;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.watch.StillToCome;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many young plants batches will have given by a day, with all that was seen of them. */
@Service
public class ToCome {

    /** Young plants of a batch that ended longer ago are taken to have left the nursery. */
    private static final int KEPT_FOR = 200;

    private final BatchRepository batches;
    private final PottingRepository pottings;
    private final OutlookText outlooks;
    private final Today today;

    ToCome(BatchRepository batches, PottingRepository pottings, OutlookText outlooks, Today today) {
        this.batches = batches;
        this.pottings = pottings;
        this.outlooks = outlooks;
        this.today = today;
    }

    /** A batch that gives, or may still give, young plants. */
    public final class Source {

        private final BatchView batch;
        private final Outlook outlook;
        private final List<PottingView> moves;

        private Source(BatchView batch, Outlook outlook, List<PottingView> moves) {
            this.batch = batch;
            this.outlook = outlook;
            this.moves = moves;
        }

        public BatchView batch() {
            return batch;
        }

        /** Young plants, settled, by the day or by today, whichever is later. */
        public Supply by(LocalDate asked) {
            LocalDate day = asked.isBefore(today.date()) ? today.date() : asked;
            int settle = outlook.settleDays();
            if (!batch.isStuck()) {
                LocalDate stuck = batch.takenOn().plusDays(outlook.callusDays());
                return Supply.of(
                        ReadyChance.after(
                                outlook.nextBatch(batch.thinning()),
                                outlook.ready().slowedBy(batch.slowing()),
                                ChronoUnit.DAYS.between(stuck, day) - settle),
                        batch.taken(),
                        outlook.output(),
                        batch.piecesPerPot());
            }
            boolean settles = outlook.settle().isPresent();
            boolean readyOnesInTime = !today.date().plusDays(settle).isAfter(day);
            Supply plants = Supply.exactly(readyOnesInTime ? batch.readyToMove() : 0)
                    .and(stillReady(day.minusDays(settle)))
                    .yielding(outlook.output())
                    .potted(batch.piecesPerPot())
                    .beyond(takenInTurn());
            if (!settles) {
                return plants.and(Supply.exactly(batch.youngPlants()));
            }
            int settling = moves.stream()
                    .filter(m ->
                            m.settled() == null && !m.movedOn().plusDays(settle).isAfter(day))
                    .mapToInt(PottingView::youngPlants)
                    .sum();
            return plants.and(Supply.exactly(settling))
                    .surviving(outlook.settle().get().share())
                    .and(Supply.exactly(batch.settled()));
        }

        /** Pots that are still to come of it on average: enough to reckon room with. */
        public double potsOnAverage() {
            double ready = batch.isStuck()
                    ? batch.readyToMove()
                            + batch.counts().pending()
                                    * outlook.strike()
                                            .thinnedBy(batch.thinning())
                                            .mean()
                    : batch.taken() * outlook.nextBatch(batch.thinning()).mean();
            return ready * outlook.output().mean() / batch.piecesPerPot();
        }

        /** Days from a move until pots have settled; 0 where the way has no move. */
        public int settleDays() {
            return outlook.settleDays();
        }

        /** The days on which its stages are expected; of what sleeps, as if it woke today. */
        public Expected expected() {
            return batch.expected(outlook, today.date());
        }

        /** The day by which one in ten of those that will is expected to be ready. */
        public LocalDate firstReady() {
            return expected().ready().from();
        }

        private Supply stillReady(LocalDate day) {
            if (batch.closedOn() != null) {
                return Supply.none();
            }
            Counts counts = batch.counts();
            // What sleeps is reckoned as if it woke today.
            LocalDate nought = batch.isAsleep() ? today.date() : batch.dayNought();
            int lastLook = batch.isAsleep() || batch.lastKnowingLook() == null
                    ? 0
                    : (int) Math.max(0, ChronoUnit.DAYS.between(nought, batch.lastKnowingLook()));
            NextBatch rate = outlook.strike().thinnedBy(batch.thinning()).nextBatch();
            RootingTime time = outlook.ready().slowedBy(batch.slowing());
            return new StillToCome(counts.ready(), counts.lost(), counts.pending(), lastLook)
                    .readyBy(rate, time, ChronoUnit.DAYS.between(nought, day));
        }

        /** Young plants already taken from pieces that stay, and may give more. */
        private int takenInTurn() {
            return moves.stream()
                    .filter(m -> m.pieces() == 0)
                    .mapToInt(PottingView::youngPlants)
                    .sum();
        }
    }

    /** All batches that give or may still give young plants, the first stuck first. */
    @Transactional(readOnly = true)
    public List<Source> sources() {
        return sources(batches.givingSince(today.date().minusDays(KEPT_FOR)));
    }

    /** The same of some plants alone, by their names. */
    @Transactional(readOnly = true)
    public List<Source> sources(Collection<String> plants) {
        return plants.isEmpty()
                ? List.of()
                : sources(batches.givingSince(today.date().minusDays(KEPT_FOR), plants));
    }

    private List<Source> sources(List<Batch> found) {
        Map<UUID, List<PottingView>> moves =
                pottings
                        .findByBatchIdInOrderByMovedOn(
                                found.stream().map(Batch::getId).toList())
                        .stream()
                        .map(Potting::view)
                        .collect(Collectors.groupingBy(PottingView::batchId));
        return found.stream()
                .map(b ->
                        new Source(b.view(), outlooks.read(b.outlookText()), moves.getOrDefault(b.getId(), List.of())))
                .sorted(Comparator.comparing(s -> s.batch().takenOn()))
                .toList();
    }
}
