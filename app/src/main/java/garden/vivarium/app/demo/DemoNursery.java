package garden.vivarium.app.demo;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Hemisphere;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.hipparchus.random.RandomDataGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills the sample nursery by the simulator, from a fixed seed and relative to today, through the same services that
 * growers use. Some things are arranged so that each place shows something worth reading: a batch behind its usual,
 * something too long in water, wounds that have dried, a lot in quarantine, bulbs asleep, a family over four generations.
 */
@Service
public class DemoNursery {

    /** What the sample nursery's grower signs in with. */
    public static final String SIGN_IN = "wren";

    public static final String PASSWORD = "low tide at noon";

    private static final long SEED = 1911;
    private static final String OWN = "own";

    private final People people;
    private final Stock stock;
    private final DemoBatches batches;
    private final DemoTales tales;
    private final DrawnPhotos pictures;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Today today;
    private final TransactionTemplate transaction;
    private final EntityManager entities;

    DemoNursery(
            People people,
            Stock stock,
            DemoBatches batches,
            DemoTales tales,
            DrawnPhotos pictures,
            Guide guide,
            CurrentNursery nursery,
            Today today,
            TransactionTemplate transaction,
            EntityManager entities) {
        this.people = people;
        this.stock = stock;
        this.batches = batches;
        this.tales = tales;
        this.pictures = pictures;
        this.guide = guide;
        this.nursery = nursery;
        this.today = today;
        this.transaction = transaction;
        this.entities = entities;
    }

    /** Makes the nursery unless it is there already: whole or not at all. */
    public synchronized UUID fillOnce() {
        Optional<UUID> there = people.nurseryOf(SIGN_IN);
        if (there.isPresent()) {
            return there.get();
        }
        UUID id = people.open(new People.NewNursery(
                "Cold Slipway Nursery",
                ZoneId.of("Europe/London"),
                Hemisphere.NORTH,
                "GBP",
                SIGN_IN,
                "Wren",
                PASSWORD));
        nursery.workingFor(id, () -> {
            people.settleIn();
            return null;
        });
        fill(id);
        return id;
    }

    /** Fills a nursery that holds nothing. */
    public synchronized void fill(UUID id) {
        nursery.workingFor(
                id,
                () -> transaction.execute(status -> {
                    new Filling(DemoBook.read()).fill();
                    return null;
                }));
    }

    /** One filling: places, mothers by plant in the order in which they came, and the batches made. */
    private final class Filling {

        private final DemoBook book;
        private final RandomDataGenerator random = new RandomDataGenerator(SEED);
        private final Map<String, PlaceView> places = new HashMap<>();
        private final Map<String, List<StockPlantView>> mothers = new HashMap<>();
        private final Map<String, List<BatchView>> made = new HashMap<>();
        private List<Protocol> own;

        Filling(DemoBook book) {
            this.book = book;
        }

        void fill() {
            book.places().forEach((key, p) -> places.put(key, tales.place(p)));
            book.stock().forEach(m -> mothers.put(m.plant(), new ArrayList<>(List.of(stock.add(form(m))))));
            own = tales.ownPlugs();
            // In order of time, since what was expected of a batch follows from those before it.
            for (Event event : events()) {
                event.deed().run();
                entities.flush();
                entities.clear();
            }
            Map<String, StockPlantView> eldest = new HashMap<>();
            mothers.forEach((plant, all) -> eldest.put(plant, all.get(0)));
            book.drying().forEach(d -> tales.drying(d, eldest.get(d.plant()), places.get(d.place())));
            tales.tell(book, eldest);
            entities.flush();
            book.shed().forEach(tales::store);
            book.planned().forEach(p -> tales.plan(p, eldest.get(p.plant())));
            entities.flush();
            book.promised().forEach(p -> tales.promise(p, eldest.get(p.plant())));
            photographs(eldest);
        }

        /** Of the trays that were stuck last, one a plant, and of the eldest mother. */
        private void photographs(Map<String, StockPlantView> eldest) {
            made.values().stream()
                    .filter(all -> !all.isEmpty())
                    .map(all -> all.get(all.size() - 1))
                    .filter(b -> b.isStuck() && b.isTray() && b.age(today.date()) > 6)
                    .sorted(Comparator.comparing(BatchView::stuckOn).reversed())
                    .limit(4)
                    .forEach(pictures::ofTray);
            book.stock().stream().findFirst().map(m -> eldest.get(m.plant())).ifPresent(pictures::ofPlant);
        }

        private StockPlantForm form(DemoBook.Mother m) {
            return new StockPlantForm(
                    new StockPlantForm.Name(m.plant(), null, m.group(), m.nameUnsure(), m.confirmWhen(), false),
                    new StockPlantForm.Rights(m.protection(), null),
                    m.kind(),
                    new StockPlantForm.Came(
                            m.origin(),
                            m.supplier(),
                            m.arrived() == null ? null : today.date().minusDays(m.arrived()),
                            m.inspection()),
                    new StockPlantForm.Stands(places.get(m.place()).name(), null),
                    new StockPlantForm.Condition(m.pieces(), m.state(), null),
                    null);
        }

        private record Event(int ago, Runnable deed) {}

        private List<Event> events() {
            List<Event> events = new ArrayList<>();
            for (DemoBook.Ways w : book.ways()) {
                for (int i = 0; i < w.past(); i++) {
                    int wanted = 140 + (int) ((i + random.nextUniform(0.1, 0.9)) * 900.0 / w.past());
                    int age = inSeason(w, wanted);
                    boolean newer = w.protocol().equals(OWN) && i < w.past() / 2;
                    events.add(new Event(age, () -> make(w, age, newer)));
                }
                for (int age : w.running()) {
                    events.add(new Event(age, () -> make(w, age, true)));
                }
            }
            book.kept().forEach(k -> events.add(new Event(k.ago(), () -> keep(k))));
            book.recut().forEach(r -> events.add(new Event(r.ago(), () -> recut(r))));
            events.sort(Comparator.comparingInt(Event::ago).reversed());
            return events;
        }

        private void make(DemoBook.Ways w, int age, boolean newer) {
            // One batch of the fuchsia lags, so that "behind its usual" has something to show.
            boolean lags = w.protocol().equals("tip-in-plugs") && age == 37;
            double usual = newer && w.better() > 0 ? w.better() : w.rate();
            List<StockPlantView> able = mothers.get(w.plant());
            List<BatchView> before = made.computeIfAbsent(w.plant(), p -> new ArrayList<>());
            before.add(batches.make(
                    new DemoBatches.Planned(w, protocol(w, newer), age, lags ? 0.2 : usual, lags ? 2.0 : w.speed()),
                    able.get(before.size() % able.size()),
                    places.get(w.place()),
                    random));
        }

        /** Keeps from the last batches that were over by then, so that each generation stems from the one before. */
        private void keep(DemoBook.Kept k) {
            List<BatchView> over = made.getOrDefault(k.plant(), List.of()).stream()
                    .filter(b -> b.youngPlants() > 0)
                    .toList();
            List<StockPlantView> family = mothers.get(k.plant());
            UUID youngest = family.get(family.size() - 1).id();
            BatchView from = over.stream()
                    .filter(b -> b.origin().stockPlantId().equals(youngest))
                    .reduce((a, b) -> b)
                    .orElseGet(() -> over.get(over.size() - 1));
            for (int i = 0; i < k.count(); i++) {
                family.add(tales.keep(k, from, from.group(), places.get(k.place()), i));
            }
        }

        private void recut(DemoBook.Recut r) {
            List<BatchView> all = made.get(r.plant());
            tales.recut(r, all.get(all.size() - 1), mothers.get(r.plant()).get(0), places.get(r.place()));
        }

        private Protocol protocol(DemoBook.Ways w, boolean newer) {
            return w.protocol().equals(OWN)
                    ? own.get(newer ? 1 : 0)
                    : guide.protocol(w.protocol()).orElseThrow();
        }

        /** Moves a past batch to the nearest month in its season, as a grower would have stuck it. */
        private int inSeason(DemoBook.Ways w, int age) {
            Protocol protocol = protocol(w, false);
            for (int away = 0; away < 200; away++) {
                for (int candidate : new int[] {age + away, age - away}) {
                    LocalDate day = today.date().minusDays(candidate);
                    if (candidate > DemoBatches.LONGEST_RUNNING
                            && protocol.material()
                                    .season()
                                    .isIn(day, places.get(w.place()).climate(), Hemisphere.NORTH)) {
                        return candidate;
                    }
                }
            }
            return age;
        }
    }
}
