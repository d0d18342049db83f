package garden.vivarium.app.demo;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.simulate.SimulatedBatch;
import garden.vivarium.core.simulate.TrueRates;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.hipparchus.random.RandomDataGenerator;
import org.springframework.stereotype.Component;

/** Makes one batch of the sample nursery: its true fate is drawn, and then what a grower would have seen and done of it. */
@Component
class DemoBatches {

    static final int LONGEST_RUNNING = 130;

    /** From here back the batches are as if read in from old records: by count, expected as the guide does. */
    private static final int FROM_OLD_RECORDS = 420;

    private static final double RHO = 0.06;
    private static final double TAU = 0.15;
    private static final double LOST_IN_SIGHT = 0.7;

    private final StockCounts counts;
    private final Batches batches;
    private final Moves moves;
    /** One batch in so many was guessed at and timed. */
    private static final int GUESSED_EVERY = 3;

    private final OldBatches oldBatches;
    private final BatchBook book;
    private final Today today;
    private final EntityManager entities;

    DemoBatches(
            StockCounts counts,
            Batches batches,
            Moves moves,
            OldBatches oldBatches,
            BatchBook book,
            Today today,
            EntityManager entities) {
        this.counts = counts;
        this.batches = batches;
        this.moves = moves;
        this.oldBatches = oldBatches;
        this.book = book;
        this.today = today;
        this.entities = entities;
    }

    /** A batch to be made: of which way, stuck how many days ago, with what true of it. */
    record Planned(DemoBook.Ways ways, Protocol protocol, int age, double rate, double speed) {

        boolean past() {
            return age > LONGEST_RUNNING;
        }
    }

    /** Makes the batch, with all that became of it up to today. */
    BatchView make(Planned p, StockPlantView parent, PlaceView place, RandomDataGenerator random) {
        LocalDate stuckOn = today.date().minusDays(p.age());
        int wait = p.protocol().wound().callus().map(Protocol.Callus::usual).orElse(0);
        int taken = p.ways().stuck() + (wait > 0 ? 1 : 0);
        counts.cutFor(
                new StockCounts.ForBatch(parent.id(), p.protocol().method(), stuckOn.minusDays(wait), null),
                taken,
                null);
        NewBatch wanted = wanted(p, parent, place, stuckOn.minusDays(wait), taken, stuckOn);
        if (p.age() > FROM_OLD_RECORDS && p.protocol().clockStage().isEmpty()) {
            BatchView old = oldBatches.make(wanted, looks(p, place, stuckOn, false, random), false);
            finish(old, p.protocol(), random);
            return batches.find(old.code());
        }
        BatchView batch = batches.make(wanted);
        return wake(batch, p, random) ? look(batches.find(batch.code()), p, place, random) : batches.find(batch.code());
    }

    private static NewBatch wanted(
            Planned p, StockPlantView parent, PlaceView place, LocalDate takenOn, int taken, LocalDate stuckOn) {
        NewBatch.Draft draft = NewBatch.by(p.protocol())
                .of(parent.plant(), parent.id(), place.id())
                .taken(takenOn, taken)
                .stuck(stuckOn, p.ways().stuck())
                .measured();
        if (p.age() % GUESSED_EVERY == 0 && p.protocol().clockStage().isEmpty()) {
            // Growers hope: most guess some more than strikes, and some days they are slow or quick.
            int hoped = p.ways().stuck() * (84 + p.age() % 13) / 100;
            int minutes = p.protocol().figures().minutesPerTen() * p.ways().stuck() * (80 + p.age() % 41) / 1000;
            draft.guessed(hoped, Math.max(1, minutes));
        }
        if (p.ways().treatment() != null) {
            draft.treated(Treatments.read(p.ways().treatment()), "no hormone 0.3%");
        }
        if (p.ways().tray() != null) {
            draft.inTray(p.ways().tray().get(0), p.ways().tray().get(1));
        }
        return draft.made();
    }

    /** Says that what was planted asleep woke; false where it sleeps still. */
    private boolean wake(BatchView batch, Planned p, RandomDataGenerator random) {
        Protocol protocol = p.protocol();
        if (protocol.clockStage().isEmpty()) {
            return true;
        }
        LocalDate woke = batch.stuckOn().plusDays(random.nextInt(30, 75));
        if (!p.past() && !woke.isBefore(today.date())) {
            return false;
        }
        batches.say(batch.code(), protocol.clockStage().get().key(), woke, true);
        return true;
    }

    private BatchView look(BatchView batch, Planned p, PlaceView place, RandomDataGenerator random) {
        // Growers read a tray by piece now and then, and count it at a glance the rest of the time.
        boolean byPiece = batch.isTray() && (!p.past() || random.nextInt(0, 2) == 0);
        List<LookCommand> looks = looks(p, place, batch.dayZero(), byPiece, random);
        if (looks.isEmpty()) {
            return batch;
        }
        BatchView stands = oldBatches.addLooks(batch.code(), looks, false);
        entities.flush();
        entities.clear();
        stages(stands, p.protocol());
        if (p.past()) {
            finish(stands, p.protocol(), random);
        } else if (stands.readyToMove() > 1
                && p.age() > 40
                && p.protocol().firstSign().isPresent()) {
            moveHalf(stands, p.protocol());
        }
        return batches.find(batch.code());
    }

    /** Draws the batch's fate from its day 0 on, and what looks at it saw. */
    private List<LookCommand> looks(
            Planned p, PlaceView place, LocalDate begin, boolean byPiece, RandomDataGenerator random) {
        Protocol protocol = p.protocol();
        SeasonFactors season =
                protocol.material().season().factors(begin, place.climate(), place.climate(), Hemisphere.NORTH);
        double slow = p.speed() * season.slower();
        double poor = season.poorer();
        SimulatedBatch truth = SimulatedBatch.draw(
                new TrueRates(
                        p.rate() * poor,
                        RHO,
                        TAU,
                        protocol.firstSign().map(f -> f.days().slowedBy(slow)),
                        protocol.ready().days().slowedBy(slow),
                        LOST_IN_SIGHT),
                p.ways().stuck(),
                random);
        int old = (int) (today.date().toEpochDay() - begin.toEpochDay());
        int last = p.past() ? (int) Math.min(old, protocol.ready().days().d90() * slow * 1.35) : old;
        int least = protocol.course().looks().least();
        int most = Math.max(least + 1, protocol.course().looks().most());
        List<LookCommand> looks = new ArrayList<>();
        int day = protocol.course().looks().first() + random.nextInt(0, 3);
        while (day < last) {
            looks.add(
                    byPiece
                            ? byPiece(begin.plusDays(day), truth.states(day), protocol)
                            : byCount(begin.plusDays(day), truth.on(day), protocol));
            day += p.past() ? random.nextInt((least + most) / 2, most) : random.nextInt(least, most);
        }
        if (p.past() && !looks.isEmpty()) {
            LocalDate end = begin.plusDays(last);
            looks.add(
                    byPiece
                            ? restStalled(end, truth.states(last))
                            : restStalled(end, truth.on(last), p.ways().stuck()));
        }
        return looks;
    }

    /** What was to be done or seen in between was done on its day. */
    private void stages(BatchView batch, Protocol protocol) {
        LocalDate since = batch.dayZero();
        for (Protocol.Stage stage : protocol.course().stages()) {
            if (!stage.startsClock()) {
                since = since.plusDays(stage.after()
                        .orElseGet(() ->
                                stage.when().map(w -> w.first() + w.every()).orElse(0)));
                if (since.isAfter(batch.lastLook())) {
                    return;
                }
                batches.say(batch.code(), stage.key(), since, true);
            }
        }
    }

    private void moveHalf(BatchView b, Protocol protocol) {
        int moving = b.readyToMove() / 2;
        if (protocol.course().inTurn().isPresent()) {
            moves.separate(b.code(), b.lastLook(), youngPlants(protocol, moving), 0);
        } else {
            moves.move(b.code(), b.lastLook(), moving, moving);
        }
    }

    /** What was ready was moved and settled. */
    private void finish(BatchView b, Protocol protocol, RandomDataGenerator random) {
        LocalDate day = b.lastLook();
        int ready = b.readyToMove();
        if (ready == 0 || b.closedOn() != null) {
            return;
        }
        int made = youngPlants(protocol, ready);
        if (protocol.course().inTurn().isPresent()) {
            moves.separate(b.code(), day, made, ready);
        } else {
            moves.move(b.code(), day, ready, made);
        }
        int settled = (int) Math.round(made * random.nextUniform(0.88, 1));
        LocalDate seen = day.plusDays(14);
        moves.settle(
                b.code(), book.pottings(b.id()).get(0).id(), seen.isAfter(today.date()) ? today.date() : seen, settled);
    }

    private static int youngPlants(Protocol protocol, int pieces) {
        return (int) Math.max(1, Math.round(pieces * protocol.figures().output().mean()));
    }

    private static LookCommand byCount(LocalDate day, SimulatedBatch.Seen seen, Protocol protocol) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                protocol.course().looks().kind(),
                new LookCommand.Counted(
                        protocol.firstSign().isPresent() ? seen.firstSign() : null, seen.ready(), seen.lost(), 0, null),
                null,
                null);
    }

    private static LookCommand byPiece(LocalDate day, List<PieceState> states, Protocol protocol) {
        List<LookCommand.Seen> seen = new ArrayList<>();
        for (int i = 0; i < states.size(); i++) {
            PieceState state = states.get(i);
            seen.add(new LookCommand.Seen(
                    i + 1,
                    protocol.course().looks().kind(),
                    state,
                    state == PieceState.LOST ? (i % 3 == 0 ? LossCause.DRIED : LossCause.ROT) : null,
                    null,
                    null,
                    state == PieceState.READY || (state == PieceState.FIRST_SIGN && i % 2 == 0),
                    null,
                    null));
        }
        return LookCommand.ofPieces(
                UUID.randomUUID(), day, protocol.course().looks().kind(), seen, null, null);
    }

    /** The last look at what never moved: written off as stalled. */
    private static LookCommand restStalled(LocalDate day, SimulatedBatch.Seen seen, int stuck) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, seen.ready(), stuck - seen.ready(), 0, null, true),
                "the rest written off",
                null);
    }

    private static LookCommand restStalled(LocalDate day, List<PieceState> states) {
        List<LookCommand.Seen> rest = new ArrayList<>();
        for (int i = 0; i < states.size(); i++) {
            boolean ready = states.get(i) == PieceState.READY;
            boolean lost = states.get(i) == PieceState.LOST;
            rest.add(new LookCommand.Seen(
                    i + 1,
                    LookKind.LIFTED,
                    ready ? PieceState.READY : PieceState.LOST,
                    ready ? null : (lost ? LossCause.ROT : LossCause.STALLED),
                    null,
                    null,
                    ready,
                    null,
                    null));
        }
        return LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, rest, "the rest written off", null);
    }
}
