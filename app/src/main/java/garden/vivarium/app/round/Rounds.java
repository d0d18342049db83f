package garden.vivarium.app.round;

import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.climate.AirAlarms;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.round.Round.Stop;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes the round. */
@Service
class Rounds {

    private static final int DAYS_AHEAD = 7;

    private final Benches benches;
    private final Plans plans;
    private final OtherTasks otherTasks;
    private final Upkeeps upkeeps;
    private final Reminders reminders;
    private final AirAlarms air;
    private final PutOffs putOffs;
    private final Carrying carrying;
    private final Stock stock;
    private final Protocols protocols;
    private final Says says;
    private final Today today;

    Rounds(
            Benches benches,
            Plans plans,
            OtherTasks otherTasks,
            Upkeeps upkeeps,
            Reminders reminders,
            AirAlarms air,
            PutOffs putOffs,
            Carrying carrying,
            Stock stock,
            Protocols protocols,
            Says says,
            Today today) {
        this.benches = benches;
        this.plans = plans;
        this.otherTasks = otherTasks;
        this.upkeeps = upkeeps;
        this.reminders = reminders;
        this.air = air;
        this.putOffs = putOffs;
        this.carrying = carrying;
        this.stock = stock;
        this.protocols = protocols;
        this.says = says;
        this.today = today;
    }

    /** The round of today. */
    @Transactional(readOnly = true)
    Round today() {
        LocalDate day = today.date();
        List<Benches.Row> rows = benches.open();
        List<Item> due = new ArrayList<>();
        List<Item.BatchTask> coming = new ArrayList<>();
        for (Benches.Row row : rows) {
            for (Task task : row.tasks()) {
                Item.BatchTask item = new Item.BatchTask(row, task);
                if (!task.due().isAfter(day)) {
                    due.add(item);
                } else if (!task.due().isAfter(day.plusDays(DAYS_AHEAD))) {
                    coming.add(item);
                }
            }
        }
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        plans.waiting().stream()
                .filter(p -> !p.start().on().isAfter(day))
                .forEach(p -> due.add(start(p, parents.get(p.stockPlantId()))));
        due.addAll(otherTasks.of(day, parents.values()));
        Map<UUID, PlaceView> places =
                stock.places().stream().collect(Collectors.toMap(PlaceView::id, Function.identity()));
        due.addAll(upkeeps.of(day, rows, places));
        due.addAll(reminders.of(day, places));
        air.now()
                .forEach(a -> due.add(new Item.OtherTask(
                        a.place(),
                        Verb.AIR,
                        new Item.Subject("", "/benches/air/" + a.place().id() + "#" + a.key(), ""),
                        a.what(),
                        a.why(),
                        a.pressing(),
                        List.of(Item.Action.go(
                                Messages.text("Rounds.see"),
                                "/benches/air/" + a.place().id())))));
        Map<String, PutOffs.Off> off = putOffs.later(day);
        List<Round.Later> later = due.stream()
                .filter(i -> off.containsKey(PutOffs.named(i)))
                .map(i -> new Round.Later(i, off.get(PutOffs.named(i))))
                .sorted(Comparator.comparing(l -> l.off().until()))
                .toList();
        due.removeIf(i -> off.containsKey(PutOffs.named(i)));
        coming.sort(Comparator.comparing(i -> i.task().due()));
        Map<PlaceView, List<Item>> byPlace = due.stream()
                .collect(Collectors.groupingBy(
                        Item::place,
                        () -> new TreeMap<>(
                                Comparator.comparingInt(PlaceView::walkOrder).thenComparing(PlaceView::name)),
                        Collectors.toList()));
        List<Stop> stops = byPlace.entrySet().stream()
                .map(e -> new Stop(e.getKey(), groups(e.getValue()), carrying.along(e.getValue())))
                .toList();
        return new Round(stops, coming, later, rows.size());
    }

    /** Like things together, in the order of the work; of each sort what presses comes first. */
    private static List<Round.Group> groups(List<Item> items) {
        return items.stream()
                .sorted(Comparator.comparing((Item i) -> !i.pressing()))
                .collect(Collectors.groupingBy(Item::sort, TreeMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(e -> new Round.Group(e.getKey(), e.getValue()))
                .toList();
    }

    private Item.Start start(PlanView plan, StockPlantView s) {
        LocalDate last = plan.start().lastSafe();
        boolean late = last != null && !today.date().isBefore(last);
        String title = protocols
                .version(plan.protocol(), plan.protocolVersion())
                .map(Protocol::title)
                .orElse("");
        return new Item.Start(
                plan,
                s,
                Messages.text("Rounds.take.from", "take", plan.start().take(), "code", s.code()),
                Messages.text(
                        "Rounds.for.by",
                        "title",
                        title,
                        "youngPlants",
                        plan.aim().youngPlants(),
                        "due",
                        says.day(plan.aim().due()),
                        "then",
                        last == null
                                ? "No day is safe with what the stock can give."
                                : "Last safe day to start: %s.".formatted(says.day(last))),
                late);
    }
}
