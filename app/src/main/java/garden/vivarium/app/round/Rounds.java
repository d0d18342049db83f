package garden.vivarium.app.round;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
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

/** Makes the round, and does what its one key stands for. */
@Service
class Rounds {

    private static final int DAYS_AHEAD = 7;

    private final Benches benches;
    private final Batches batches;
    private final Plans plans;
    private final OtherTasks otherTasks;
    private final Stock stock;
    private final Protocols protocols;
    private final Says says;
    private final Today today;

    Rounds(
            Benches benches,
            Batches batches,
            Plans plans,
            OtherTasks otherTasks,
            Stock stock,
            Protocols protocols,
            Says says,
            Today today) {
        this.benches = benches;
        this.batches = batches;
        this.plans = plans;
        this.otherTasks = otherTasks;
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
        coming.sort(Comparator.comparing(i -> i.task().due()));
        Map<PlaceView, List<Item>> byPlace = due.stream()
                .collect(Collectors.groupingBy(
                        Item::place,
                        () -> new TreeMap<>(
                                Comparator.comparingInt(PlaceView::walkOrder).thenComparing(PlaceView::name)),
                        Collectors.toList()));
        List<Stop> stops = byPlace.entrySet().stream()
                .map(e -> new Stop(e.getKey(), e.getValue()))
                .toList();
        return new Round(stops, coming, rows.size());
    }

    /**
     * Does a task whole, as its key says.
     *
     * @return what was done, in words
     * @throws InvalidField if it cannot be done any more
     */
    @Transactional
    String done(Task.Kind kind, String code, UUID potting, boolean notYet) {
        LocalDate day = today.date();
        Task task = benches.tasks(code).stream()
                .filter(t -> t.kind() == kind)
                .filter(t -> potting == null || potting.equals(t.potting()))
                .findFirst()
                .orElseThrow(() -> new InvalidField("code", Messages.text("Rounds.no.longer.asks", "code", code)));
        switch (kind) {
            case STICK -> batches.stick(code, day, task.pieces());
            case LOOK -> batches.lookUnchanged(code, day);
            case MOVE -> batches.move(code, day, task.pieces(), task.youngPlants());
            case SETTLE -> batches.settle(code, task.potting(), day, task.pieces());
            case GIVE_UP -> batches.giveUp(code, day);
            case ASK, TEND -> batches.say(code, task.stage(), day, !notYet);
            case SEPARATE -> batches.separate(code, day, task.pieces(), 0);
        }
        return switch (kind) {
            case STICK -> Messages.text("Rounds.stuck", "code", code, "pieces", task.pieces());
            case LOOK -> Messages.text("Rounds.looked.nothing.changed", "code", code);
            case MOVE -> Messages.text("Rounds.potted", "code", code, "pieces", task.pieces());
            case SETTLE -> Messages.text("Rounds.all.settled", "code", code);
            case ASK, TEND ->
                notYet
                        ? Messages.text("Rounds.not.yet.round.asks", "code", code)
                        : Messages.text("Rounds.written.down", "code", code);
            case SEPARATE -> Messages.text("Rounds.taken.pieces.stay", "code", code, "pieces", task.pieces());
            case GIVE_UP -> Messages.text("Rounds.rest.written.off.as", "code", code);
        };
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
