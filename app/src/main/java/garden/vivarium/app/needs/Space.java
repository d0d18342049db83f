package garden.vivarium.app.needs;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.bench.ToCome;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.Room;
import garden.vivarium.app.plan.WayRow;
import garden.vivarium.app.plan.Ways;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.TraySpace;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stands where and when, in trays, and where plans do not fit. */
@Service
class Space implements Room {

    private static final int WEEKS = 26;
    /** What is late stays a week longer, day after day. */
    private static final int DAYS_LATE_BATCHES_STAY = 7;

    private final ToCome toCome;
    private final Plans plans;
    private final Ways ways;
    private final Stock stock;
    private final Says says;
    private final Today today;

    Space(ToCome toCome, Plans plans, Ways ways, Stock stock, Says says, Today today) {
        this.toCome = toCome;
        this.plans = plans;
        this.ways = ways;
        this.stock = stock;
        this.says = says;
        this.today = today;
    }

    /**
     * A place.
     *
     * @param place where
     * @param weeks trays taken at the start of each week from today
     * @param overfull the first days on which it does not fit; empty where it fits or nobody has measured
     * @param stays what stands there, or will
     */
    record Bench(
            PlaceView place, List<Double> weeks, Optional<TraySpace.Overfull> overfull, List<TraySpace.Stay> stays) {

        /** So much of what stands there is shown at once. */
        private static final int SHOWN = 30;

        /** What of it is shown at once. */
        public List<TraySpace.Stay> first() {
            return stays.subList(0, Math.min(SHOWN, stays.size()));
        }

        /** How much more stands there. */
        public int more() {
            return stays.size() - first().size();
        }

        /** The end of its drawing's scale: what it holds, or the most that is taken. */
        public double top() {
            return place.trays() == null ? most() : Math.max(place.trays(), most());
        }

        /** The most that is taken at the start of a week. */
        public double most() {
            return weeks.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }
    }

    @Transactional(readOnly = true)
    List<Bench> benches() {
        Map<UUID, List<TraySpace.Stay>> stays = stays(null, place -> true);
        LocalDate day = today.date();
        return stock.places().stream()
                .map(p -> {
                    List<TraySpace.Stay> there = stays.getOrDefault(p.id(), List.of());
                    TraySpace space = new TraySpace(p.trays() == null ? Double.MAX_VALUE : p.trays(), there);
                    return new Bench(
                            p,
                            IntStream.range(0, WEEKS)
                                    .mapToObj(w -> space.on(day.plusWeeks(w)))
                                    .toList(),
                            space.firstOverfull(day, day.plusWeeks(WEEKS)),
                            there);
                })
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> doesNotFit(StockPlantView plant, WayRow row, UUID replaced) {
        PlaceView place = plant.place();
        if (place.trays() == null || row.plan().take().isEmpty()) {
            return Optional.empty();
        }
        List<TraySpace.Stay> own = stays(
                "this plan",
                row.plan().expected(),
                row.plan().take().get().pieces(),
                row.youngPlants().map(y -> y.middle()).orElse(0));
        LocalDate until = row.plan().expected().end().plusDays(1);
        TraySpace space =
                new TraySpace(place.trays(), stays(replaced, place.id()::equals).getOrDefault(place.id(), List.of()));
        return space.and(own)
                .firstOverfull(row.plan().start(), until)
                .map(o -> Messages.text(
                        "Space.holds.trays.from.would",
                        "name",
                        place.name(),
                        "trays",
                        says.amount(place.trays()),
                        "from",
                        says.day(o.from()),
                        "until",
                        says.day(o.until()),
                        "most",
                        says.amount(o.most())));
    }

    private static List<TraySpace.Stay> stays(String what, Expected expected, int pieces, int pots) {
        return TraySpace.stays(what, expected, TraySpace.traysFor(pieces), pots);
    }

    /** What stands at places, and what is planned but for one plan that is being changed; null for none. */
    private Map<UUID, List<TraySpace.Stay>> stays(UUID without, Predicate<UUID> at) {
        Map<UUID, List<TraySpace.Stay>> stays = new HashMap<>();
        toCome.sources().stream()
                .filter(s -> s.batch().closedOn() == null && at.test(s.batch().placeId()))
                .forEach(s -> running(s, stays));
        List<PlanView> waiting =
                plans.waiting().stream().filter(p -> !p.id().equals(without)).toList();
        Map<UUID, StockPlantView> parents = waiting.isEmpty()
                ? Map.of()
                : stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        waiting.stream()
                .filter(p -> at.test(parents.get(p.stockPlantId()).place().id()))
                .forEach(p -> planned(p, parents.get(p.stockPlantId()), stays));
        return stays;
    }

    private void running(ToCome.Source s, Map<UUID, List<TraySpace.Stay>> stays) {
        BatchView b = s.batch();
        LocalDate day = today.date();
        int pieces = b.isStuck() ? b.counts().pending() + b.readyToMove() : b.taken();
        LocalDate ready = s.expected().ready().to();
        LocalDate until = ready.isBefore(day.plusDays(DAYS_LATE_BATCHES_STAY))
                ? day.plusDays(DAYS_LATE_BATCHES_STAY)
                : ready.plusDays(1);
        if (pieces > 0) {
            double trays = b.isTray() ? 1 : TraySpace.traysFor(pieces);
            add(stays, b.placeId(), new TraySpace.Stay(b.code(), b.takenOn(), until, trays));
        }
        if (s.settleDays() > 0) {
            int settling = Math.max(0, b.youngPlants() - b.settled());
            potted(stays, b, settling, day, day.plusDays(DAYS_LATE_BATCHES_STAY));
            potted(stays, b, (int) Math.round(s.potsOnAverage()), until, until.plusDays(s.settleDays()));
        }
    }

    private static void potted(
            Map<UUID, List<TraySpace.Stay>> stays, BatchView b, int pots, LocalDate from, LocalDate until) {
        if (pots > 0) {
            add(
                    stays,
                    b.placeId(),
                    new TraySpace.Stay(
                            Messages.text("Space.potted", "code", b.code()), from, until, TraySpace.traysOfPots(pots)));
        }
    }

    private void planned(PlanView p, StockPlantView from, Map<UUID, List<TraySpace.Stay>> stays) {
        Expected expected = ways.outlook(plans.protocol(p), from).expected(ways.setting(from), plans.startNow(p));
        int pots = (int) Math.round(plans.toCome(p, from, p.aim().due()).alone().mean());
        stays(
                        Messages.text("Space.plan.of", "day", says.day(p.start().on())),
                        expected,
                        p.start().take(),
                        pots)
                .forEach(s -> add(stays, from.place().id(), s));
    }

    private static void add(Map<UUID, List<TraySpace.Stay>> stays, UUID place, TraySpace.Stay stay) {
        stays.computeIfAbsent(place, p -> new ArrayList<>()).add(stay);
    }
}
