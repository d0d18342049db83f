package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.evidence.Running;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.Prospect;
import garden.vivarium.core.plan.RunningPieces;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many young plants batches will have given by a day, with all that was seen of them. */
@Service
public class ToCome {

    /** Young plants of a batch that ended longer ago are taken to have left the nursery. */
    private static final int KEPT_FOR = 200;

    private final BatchBook book;
    private final Evidence evidence;
    private final Running runningNow;
    private final Today today;

    ToCome(BatchBook book, Evidence evidence, Running runningNow, Today today) {
        this.book = book;
        this.evidence = evidence;
        this.runningNow = runningNow;
        this.today = today;
    }

    /** A batch that gives, or may still give, young plants. */
    public final class Source {

        private final NurseryRecord record;
        private final BatchView batch;
        private final Outlook outlook;
        private final Tallies ready;
        private final List<PottingView> moves;

        private Source(NurseryRecord record, BatchView batch, Outlook outlook, Tallies ready, List<PottingView> moves) {
            this.record = record;
            this.batch = batch;
            this.outlook = outlook;
            this.ready = ready;
            this.moves = moves;
        }

        public BatchView batch() {
            return batch;
        }

        /** Young plants, settled, by the day or by today, whichever is later: to be put together with others of its way. */
        public Prospect by(LocalDate asked) {
            LocalDate day = asked.isBefore(today.date()) ? today.date() : asked;
            int settle = outlook.settleDays();
            if (!batch.isStuck()) {
                LocalDate stuck = batch.takenOn().plusDays(outlook.callusDays());
                return outlook.planned(
                                batch.way(),
                                season -> Evidence.beforeRunning(record, batch.way(), season),
                                outlook.in(batch.season()),
                                batch.season(),
                                ChronoUnit.DAYS.between(stuck, day) - settle,
                                batch.piecesPerPot())
                        .prospect(batch.taken());
            }
            boolean settles = outlook.settle().isPresent();
            boolean readyOnesInTime = !today.date().plusDays(settle).isAfter(day);
            Supply there = Supply.exactly(readyOnesInTime ? batch.readyToMove() : 0);
            int settling = moves.stream()
                    .filter(m ->
                            m.settled() == null && !m.movedOn().plusDays(settle).isAfter(day))
                    .mapToInt(PottingView::maySettle)
                    .sum();
            return stillReady(day.minusDays(settle)).then(more -> {
                Supply plants = there.and(more)
                        .yielding(outlook.output())
                        .potted(batch.piecesPerPot())
                        .beyond(takenInTurn());
                return settles
                        ? plants.and(Supply.exactly(settling))
                                .surviving(outlook.settle().get().share())
                                .and(Supply.exactly(batch.settled()))
                        : plants.and(Supply.exactly(batch.youngPlants()));
            });
        }

        /** What is taken for granted of its pending pieces, in words; empty where none is pending. */
        public Optional<String> granted() {
            if (batch.closedOn() != null || batch.counts().pending() == 0 || !batch.isStuck()) {
                return Optional.empty();
            }
            return Optional.of(runningNow
                    .now(record, batch, ready)
                    .map(now -> Messages.text(
                            "ToCome.waiting.about.should.come",
                            "pending",
                            batch.counts().pending(),
                            "everReady",
                            Math.round(100 * now.everReady())))
                    .orElseGet(() -> Messages.text(
                            "ToCome.not.looked.at.yet",
                            "pending",
                            batch.counts().pending(),
                            "mean",
                            Math.round(100 * outlook.in(batch.season()).strike().mean()))));
        }

        /** Pots that are still to come of it on average: enough to reckon room with. */
        public double potsOnAverage() {
            double mean = outlook.in(batch.season()).strike().mean();
            double ready = batch.isStuck()
                    ? batch.readyToMove()
                            + batch.counts().pending()
                                    * runningNow
                                            .now(record, batch, this.ready)
                                            .map(RunningBatch::everReady)
                                            .orElse(mean)
                    : batch.taken()
                            * outlook.nextBatch(outlook.in(batch.season())).mean();
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

        private Prospect stillReady(LocalDate day) {
            if (batch.closedOn() != null || batch.counts().pending() == 0) {
                return Prospect.of(Supply.none());
            }
            if (!batch.isAsleep()) {
                return runningNow.pieces(record, batch, ready).by(ChronoUnit.DAYS.between(batch.dayZero(), day));
            }
            // What sleeps is reckoned as if it woke today, whatever was seen of it before.
            return new RunningPieces(
                            batch.way(),
                            Evidence.beforeRunning(record, batch.way(), batch.season()),
                            record.prior(batch.way(), batch.season()).shown(),
                            Tallies.of(Map.of(
                                    Interval.pending(0), (long) batch.counts().pending())))
                    .by(ChronoUnit.DAYS.between(today.date(), day));
        }

        /** Young plants already taken from pieces that stay, and may give more. */
        private int takenInTurn() {
            return moves.stream()
                    .filter(m -> m.pieces() == 0)
                    .mapToInt(PottingView::maySettle)
                    .sum();
        }
    }

    /** All batches that give or may still give young plants, the first stuck first. */
    @Transactional(readOnly = true)
    public List<Source> sources() {
        return sources(book.givingSince(today.date().minusDays(KEPT_FOR)));
    }

    /** The same of some plants alone, by their names. */
    @Transactional(readOnly = true)
    public List<Source> sources(Collection<String> plants) {
        return sources(book.givingSince(today.date().minusDays(KEPT_FOR), plants));
    }

    private List<Source> sources(List<BatchBook.Entry> found) {
        if (found.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<PottingView>> moves =
                book.moves(found.stream().map(BatchBook.Entry::batch).toList());
        NurseryRecord record = evidence.record();
        Map<UUID, Evidence.Counted> counted = evidence.counted(found.stream()
                .map(BatchBook.Entry::batch)
                .filter(b -> b.closedOn() == null)
                .map(BatchView::id)
                .toList());
        return found.stream()
                .map(e -> new Source(
                        record,
                        e.batch(),
                        e.outlook(),
                        counted.getOrDefault(e.batch().id(), Evidence.Counted.NOTHING)
                                .ready(),
                        moves.getOrDefault(e.batch().id(), List.of())))
                .sorted(Comparator.comparing(s -> s.batch().takenOn()))
                .toList();
    }
}
