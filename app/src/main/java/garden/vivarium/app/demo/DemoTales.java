package garden.vivarium.app.demo;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.benchmap.BenchMoves;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.CareView;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.needs.Stores;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.promise.Promises;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Symptom;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.stock.Quarantine;
import garden.vivarium.core.watch.PlaceFit;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What else happened at the sample nursery: families, care, looks at stock plants, a protocol of its own. */
@Component
class DemoTales {

    private static final int SURE = 90;

    private static final int TOLD_OF_REST = 2;

    private final Stock stock;
    private final BenchMoves maps;
    private final StockCounts counts;
    private final Batches batches;
    private final CareBook care;
    private final Plans plans;
    private final Stores stores;
    private final Promises promises;
    private final Protocols protocols;
    private final Guide guide;
    private final Today today;

    DemoTales(
            Stock stock,
            BenchMoves maps,
            StockCounts counts,
            Batches batches,
            CareBook care,
            Plans plans,
            Stores stores,
            Promises promises,
            Protocols protocols,
            Guide guide,
            Today today) {
        this.stock = stock;
        this.maps = maps;
        this.counts = counts;
        this.batches = batches;
        this.care = care;
        this.plans = plans;
        this.stores = stores;
        this.promises = promises;
        this.protocols = protocols;
        this.guide = guide;
        this.today = today;
    }

    private static Protocol warmedFromBelow(Protocol p) {
        Protocol.Air air = p.keeping().air();
        Protocol.Air warmer = new Protocol.Air(
                air.cover(),
                air.warmth(),
                Optional.of(Warmth.of(22)),
                Prose.of("from a mat, until rooted"),
                air.humidity(),
                air.light(),
                air.lampHours());
        return new Protocol(
                p.identity(),
                p.technique(),
                p.material(),
                p.wound(),
                p.placing(),
                new Protocol.Keeping(p.keeping().water(), warmer),
                p.course(),
                p.potting(),
                p.figures(),
                p.reasons());
    }

    /** The nursery's own protocol in two versions: plugs as the guide has them, then with warmth from below. */
    List<Protocol> ownPlugs() {
        Protocol first = protocols.copy("tip-in-plugs", "Slipway plugs");
        Protocol second = protocols.change(warmedFromBelow(first), "warmth from below until rooted; nothing else");
        return List.of(first, second);
    }

    /** A young plant of a batch becomes a stock plant. */
    StockPlantView keep(DemoBook.Kept kept, BatchView batch, String group, PlaceView place, int number) {
        return stock.add(
                new StockPlantForm(
                        kept.plant(),
                        group,
                        Protection.FREE,
                        "young plant of " + batch.code(),
                        new StockPlantForm.Stands(place.name(), null),
                        new StockPlantForm.Condition(kept.pieces(), StockState.GROWING, null),
                        null),
                batch.id(),
                Math.min(batch.stuck(), 3 + 7 * number));
    }

    /** Pieces of a running batch are cut again. */
    void recut(DemoBook.Recut recut, BatchView batch, StockPlantView mother, PlaceView place) {
        Protocol p = guide.protocol(recut.protocol()).orElseThrow();
        LocalDate day = today.date().minusDays(recut.ago());
        batches.make(NewBatch.by(p)
                .of(mother.plant(), batch.origin().stockPlantId(), place.id())
                .cutAgainFrom(batch.id())
                .taken(day, recut.pieces())
                .stuck(day, recut.pieces())
                .perPot(3)
                .made());
    }

    /** Pieces cut some days ago whose wounds have dried. */
    void drying(DemoBook.Drying d, StockPlantView parent, PlaceView place) {
        LocalDate day = today.date().minusDays(d.ago());
        batches.make(NewBatch.by(guide.protocol(d.protocol()).orElseThrow())
                .of(parent.plant(), parent.id(), place.id())
                .taken(day, d.pieces())
                .measured()
                .guessed(d.hunch(), d.minutes())
                .made());
        counts.cutFor(
                new StockCounts.ForBatch(
                        parent.id(), guide.protocol(d.protocol()).orElseThrow().method(), day, null),
                d.pieces(),
                null);
    }

    /** A place, and how many trays it holds. */
    PlaceView place(DemoBook.Spot spot) {
        PlaceView place = stock.placeNamed(spot.name(), spot.climate());
        stock.holds(place.id(), spot.trays());
        if (spot.size() != null) {
            maps.describe(
                    place.id(),
                    null,
                    new Size(spot.size().get(0), spot.size().get(1)),
                    new PlaceFit.Air(
                            Optional.ofNullable(spot.warmth()).map(w -> Warmth.between(w.get(0), w.get(1))),
                            Optional.ofNullable(spot.humidity()).map(h -> new PlaceFit.Range(h.get(0), h.get(1))),
                            Optional.ofNullable(spot.light())));
        }
        return place;
    }

    /** What is in the shed. */
    void store(DemoBook.Stored s) {
        stores.keep(s.name(), s.there(), s.pack(), s.price(), s.recipe());
    }

    /** A plan for later. */
    void plan(DemoBook.Planned p, StockPlantView mother) {
        LocalDate day = today.date();
        plans.commit(new Plans.Request(mother.id(), p.protocol(), day.plusDays(p.startIn()), day.plusDays(p.inDays()))
                .of(p.plants(), SURE));
    }

    /** Plants are promised, and each promise draws on what is free. */
    void promise(DemoBook.Promised p, StockPlantView mother) {
        promises.make(
                p.who(),
                mother.plant().id(),
                p.plants(),
                p.inDays() == null ? null : today.date().plusDays(p.inDays()),
                null);
    }

    /** Hard cuts, treatments and how they turned out, looks, and the quarantine of what came in. */
    void tell(DemoBook book, Map<String, StockPlantView> mothers) {
        book.cutHard()
                .forEach(c -> counts.cut(
                        mothers.get(c.plant()).id(), c.pieces(), today.date().minusDays(c.ago()), true));
        book.care().forEach(c -> treat(c, mothers.get(c.plant())));
        for (DemoBook.Look look : book.looks()) {
            StockPlantView mother = mothers.get(look.plant());
            counts.look(
                    mother.id(), today.date().minusDays(look.ago()), null, look.shoots(), mother.state(), look.note());
        }
        book.stock().stream().filter(m -> m.quarantine() != null).forEach(m -> quarantine(m, mothers.get(m.plant())));
        // Most rests were seen to be over long ago; the round tells of two.
        mothers.values().stream()
                .sorted((a, b) -> a.code().compareTo(b.code()))
                .filter(s -> s.state() == StockState.GROWING)
                .skip(TOLD_OF_REST)
                .forEach(s -> stock.restSeen(s.id()));
    }

    private void treat(DemoBook.Treated c, StockPlantView plant) {
        Symptom.Cause cause = guide.symptom(c.symptom()).orElseThrow().causes().get(c.cause());
        CareView done = care.did(
                subject(plant),
                cause.care(),
                c.symptom(),
                cause.cause(),
                today.date().minusDays(c.ago()),
                cause.askAfter());
        if (c.outcome() != null) {
            care.turnedOut(done.id(), c.outcome());
        }
    }

    private void quarantine(DemoBook.Mother m, StockPlantView plant) {
        Quarantine course = new Quarantine(m.quarantine(), today.date().minusDays(m.arrived() - 1L));
        stock.quarantine(plant.id(), course.ends());
        String what = "looked over and treated";
        List<LocalDate> days = course.treatments();
        days.stream()
                .filter(d -> d.isBefore(today.date()))
                .forEach(d -> care.did(subject(plant), what, null, null, d, 0));
        care.course(
                subject(plant),
                what,
                Messages.name(m.quarantine()),
                days.stream().filter(d -> !d.isBefore(today.date())).toList(),
                course.ends());
    }

    private static Subject subject(StockPlantView plant) {
        return new Subject(
                Subject.Kind.STOCK, plant.id(), plant.code(), plant.place().id());
    }
}
