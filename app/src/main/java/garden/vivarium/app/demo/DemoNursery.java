package garden.vivarium.app.demo;

import garden.vivarium.app.batch.BatchReads;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.simulate.SimulatedBatch;
import garden.vivarium.core.simulate.Truth;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hipparchus.random.RandomDataGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills the sample nursery by the simulator, from a fixed seed and relative to today, through the same services that
 * growers use. Some things are arranged so that each place shows something worth reading: a batch behind its usual,
 * something too long in water, wounds that have dried.
 */
@Service
public class DemoNursery {

    /** What the sample nursery's grower signs in with. */
    public static final String SIGN_IN = "wren";

    public static final String PASSWORD = "low tide at noon";

    private static final long SEED = 1911;
    private static final double RHO = 0.06;
    private static final double TAU = 0.15;
    private static final double LOST_IN_SIGHT = 0.7;

    private final People people;
    private final Stock stock;
    private final Batches batches;
    private final OldBatches oldBatches;
    private final BatchReads reads;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Today today;
    private final TransactionTemplate transaction;
    private final EntityManager entities;

    DemoNursery(
            People people,
            Stock stock,
            Batches batches,
            OldBatches oldBatches,
            BatchReads reads,
            Guide guide,
            CurrentNursery nursery,
            Today today,
            TransactionTemplate transaction,
            EntityManager entities) {
        this.people = people;
        this.stock = stock;
        this.batches = batches;
        this.oldBatches = oldBatches;
        this.reads = reads;
        this.guide = guide;
        this.nursery = nursery;
        this.today = today;
        this.transaction = transaction;
        this.entities = entities;
    }

    /** Makes the nursery unless it is there already: whole or not at all. */
    public void fillOnce() {
        if (people.nurseryOf(SIGN_IN).isPresent()) {
            return;
        }
        UUID id = people.open(new People.NewNursery(
                "Cold Slipway Nursery", ZoneId.of("Europe/London"), Hemisphere.NORTH, SIGN_IN, "Wren", PASSWORD));
        nursery.workingFor(
                id,
                () -> transaction.execute(status -> {
                    fill();
                    return null;
                }));
    }

    private void fill() {
        Map<String, PlaceView> places = new HashMap<>();
        DemoStock.PLACES.forEach(p -> places.put(p.name(), stock.placeNamed(p.name(), p.climate())));
        Map<String, StockPlantView> parents = new HashMap<>();
        for (DemoStock.Parent p : DemoStock.PARENTS) {
            parents.put(
                    p.plant(),
                    stock.add(new StockPlantForm(
                            p.plant(),
                            p.group(),
                            p.protection(),
                            p.origin(),
                            p.place(),
                            null,
                            p.pieces(),
                            p.state(),
                            p.quarantineDays() == 0 ? null : today.date().plusDays(p.quarantineDays()),
                            null)));
        }
        RandomDataGenerator random = new RandomDataGenerator(SEED);
        List<Planned> planned = new ArrayList<>();
        for (DemoStock.Ways w : DemoStock.WAYS) {
            for (int i = 0; i < w.batches(); i++) {
                int age = 150 + (int) (i * 520.0 / Math.max(1, w.batches())) + random.nextInt(0, 40);
                planned.add(new Planned(w, inSeason(w, age), w.rate(), w.speed()));
            }
            for (int age : w.running()) {
                // One batch of the fuchsia lags, so that "behind its usual" has something to show.
                boolean lags = w.protocol().equals("tip-in-plugs") && age == 37;
                planned.add(new Planned(w, age, lags ? 0.2 : w.rate(), lags ? 2.0 : w.speed()));
            }
        }
        // In order of time, since what was expected of a batch follows from those before it.
        planned.sort(Comparator.comparingInt(Planned::age).reversed());
        for (Planned p : planned) {
            make(p, parents.get(p.ways().plant()), places.get(p.ways().place()), random);
            entities.flush();
            entities.clear();
        }
        drying(parents.get("Haworthia ‘Barnacle’"), places.get(DemoStock.GLASS_DRY));
    }

    private record Planned(DemoStock.Ways ways, int age, double rate, double speed) {}

    /** Moves a past batch to the nearest month in its season, as a grower would have stuck it. */
    private int inSeason(DemoStock.Ways w, int age) {
        Protocol protocol = protocol(w);
        for (int away = 0; away < 200; away++) {
            for (int candidate : new int[] {age + away, age - away}) {
                LocalDate day = today.date().minusDays(candidate);
                if (candidate > 130 && protocol.season().isIn(day, climate(w.place()), Hemisphere.NORTH)) {
                    return candidate;
                }
            }
        }
        return age;
    }

    private void make(Planned p, StockPlantView parent, PlaceView place, RandomDataGenerator random) {
        Protocol protocol = protocol(p.ways());
        LocalDate stuckOn = today.date().minusDays(p.age());
        int wait = protocol.callus().map(Protocol.Callus::usual).orElse(0);
        int taken = p.ways().stuck() + (wait > 0 ? 1 : 0);
        double slow = p.speed() * protocol.season().slowing(stuckOn, place.climate(), Hemisphere.NORTH);
        double poor = protocol.season().thinning(stuckOn, place.climate(), Hemisphere.NORTH);
        SimulatedBatch truth = SimulatedBatch.draw(
                new Truth(
                        p.rate() * poor,
                        RHO,
                        TAU,
                        protocol.firstSign().map(f -> f.days().slowedBy(slow)),
                        protocol.ready().days().slowedBy(slow),
                        LOST_IN_SIGHT),
                p.ways().stuck(),
                random);
        int columns = p.ways().stuck() % 8 == 0 ? 8 : 6;
        BatchView batch = batches.make(new NewBatch(
                parent.plant(),
                parent.id(),
                null,
                place.id(),
                null,
                null,
                protocol.key(),
                protocol.version(),
                protocol.method(),
                protocol.medium(),
                p.ways().treatment() != null ? p.ways().treatment() : String.join(";", protocol.treatment()),
                p.ways().treatment() != null ? "no hormone 0.3%" : null,
                stuckOn.minusDays(wait),
                taken,
                stuckOn,
                p.ways().stuck(),
                p.ways().tray() ? p.ways().stuck() / columns : null,
                p.ways().tray() ? columns : null,
                protocol.vessel().words(),
                StockState.GROWING,
                protocol.piece().kind(),
                protocol.piece().lengthMm().orElse(null),
                protocol.piece().nodes().orElse(null),
                protocol.firstSign().isEmpty(),
                1,
                null,
                null));
        look(batch, protocol, truth, p, slow, random);
    }

    private void look(
            BatchView batch,
            Protocol protocol,
            SimulatedBatch truth,
            Planned p,
            double slow,
            RandomDataGenerator random) {
        boolean past = p.age() > 130;
        int last = (int) (past ? protocol.ready().days().d90() * slow * 1.35 : p.age());
        List<LookCommand> looks = new ArrayList<>();
        int day = protocol.looks().first() + random.nextInt(0, 3);
        while (day < last) {
            looks.add(
                    p.ways().tray()
                            ? byPiece(batch, truth.states(day), protocol, day)
                            : byCount(batch, truth.on(day), protocol, day));
            day += protocol.looks().least()
                    + random.nextInt(1, Math.max(2, protocol.looks().most() - 2));
        }
        if (looks.isEmpty()) {
            return;
        }
        BatchView stands = oldBatches.addLooks(batch.code(), looks, false);
        if (past) {
            finish(stands, random);
        } else if (stands.readyToMove() > 0
                && p.age() > 40
                && protocol.firstSign().isPresent()) {
            int moving = Math.max(1, stands.readyToMove() / 2);
            batches.move(batch.code(), stands.lastLook(), moving, moving);
        }
    }

    /** What was ready was moved and settled; what never moved was given up. */
    private void finish(BatchView b, RandomDataGenerator random) {
        LocalDate day = b.lastLook();
        if (b.counts().pending() > 0) {
            batches.giveUp(b.code(), day);
        }
        int ready = batches.find(b.code()).readyToMove();
        if (ready > 0 && batches.find(b.code()).closedOn() == null) {
            batches.move(b.code(), day, ready, ready);
            int settled = (int) Math.round(ready * random.nextUniform(0.88, 1));
            batches.settle(b.code(), reads.sheet(b.code()).pottings().get(0).id(), day.plusDays(14), settled);
        }
    }

    private static LookCommand byCount(BatchView b, SimulatedBatch.Seen seen, Protocol protocol, int day) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                b.stuckOn().plusDays(day),
                protocol.looks().kind(),
                new LookCommand.Counted(
                        protocol.firstSign().isPresent() ? seen.firstSign() : null, seen.ready(), seen.lost(), 0, null),
                null,
                null);
    }

    private static LookCommand byPiece(BatchView b, List<PieceState> states, Protocol protocol, int day) {
        List<LookCommand.Seen> seen = new ArrayList<>();
        for (int i = 0; i < states.size(); i++) {
            PieceState state = states.get(i);
            seen.add(new LookCommand.Seen(
                    i + 1,
                    protocol.looks().kind(),
                    state,
                    state == PieceState.LOST ? (i % 3 == 0 ? LossCause.DRIED : LossCause.ROT) : null,
                    null,
                    null,
                    state == PieceState.READY || (state == PieceState.FIRST_SIGN && i % 2 == 0),
                    null,
                    null));
        }
        return LookCommand.ofPieces(
                UUID.randomUUID(), b.stuckOn().plusDays(day), protocol.looks().kind(), seen, null, null);
    }

    /** Offsets cut some days ago whose wounds have dried. */
    private void drying(StockPlantView parent, PlaceView place) {
        Protocol protocol = guide.protocol("offset-in-gritty-mix").orElseThrow();
        batches.make(new NewBatch(
                parent.plant(),
                parent.id(),
                null,
                place.id(),
                null,
                null,
                protocol.key(),
                protocol.version(),
                protocol.method(),
                protocol.medium(),
                String.join(";", protocol.treatment()),
                null,
                today.date().minusDays(3),
                9,
                null,
                null,
                null,
                null,
                protocol.vessel().words(),
                StockState.GROWING,
                protocol.piece().kind(),
                null,
                null,
                false,
                1,
                8,
                12));
    }

    private Protocol protocol(DemoStock.Ways w) {
        return guide.protocol(w.protocol()).orElseThrow();
    }

    private static Climate climate(String place) {
        return DemoStock.PLACES.stream()
                .filter(p -> p.name().equals(place))
                .map(DemoStock.Spot::climate)
                .findFirst()
                .orElseThrow();
    }
}
