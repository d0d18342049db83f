package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchReads;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Task;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.round.Round.Item;
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

    private final BatchReads reads;
    private final Batches batches;
    private final Plans plans;
    private final Errands errands;
    private final Stock stock;
    private final Protocols protocols;
    private final Says says;
    private final Today today;

    Rounds(
            BatchReads reads,
            Batches batches,
            Plans plans,
            Errands errands,
            Stock stock,
            Protocols protocols,
            Says says,
            Today today) {
        this.reads = reads;
        this.batches = batches;
        this.plans = plans;
        this.errands = errands;
        this.stock = stock;
        this.protocols = protocols;
        this.says = says;
        this.today = today;
    }

    /** The round of today. */
    @Transactional(readOnly = true)
    Round today() {
        LocalDate day = today.date();
        List<BatchReads.Row> rows = reads.open();
        Map<PlaceView, List<Item>> byPlace =
                new TreeMap<>(Comparator.comparingInt(PlaceView::walkOrder).thenComparing(PlaceView::name));
        List<Item> coming = new ArrayList<>();
        for (BatchReads.Row row : rows) {
            for (Task task : row.tasks()) {
                Item item = new Item(row, task, null, null);
                if (!task.due().isAfter(day)) {
                    byPlace.computeIfAbsent(row.place(), p -> new ArrayList<>()).add(item);
                } else if (!task.due().isAfter(day.plusDays(DAYS_AHEAD))) {
                    coming.add(item);
                }
            }
        }
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        for (PlanView plan : plans.waiting()) {
            StockPlantView parent = parents.get(plan.stockPlantId());
            if (!plan.startOn().isAfter(day)) {
                byPlace.computeIfAbsent(parent.place(), p -> new ArrayList<>())
                        .add(new Item(null, null, start(plan, parent), null));
            }
        }
        for (Errand errand : errands.of(day, parents.values())) {
            byPlace.computeIfAbsent(errand.place(), p -> new ArrayList<>()).add(new Item(null, null, null, errand));
        }
        coming.sort(Comparator.comparing(i -> i.task().due()));
        List<Stop> stops = byPlace.entrySet().stream()
                .map(e -> new Stop(e.getKey(), e.getValue()))
                .toList();
        return new Round(stops, coming, rows.size());
    }

    /**
     * Does a task whole, as its key says.
     *
     * @return what was done, in words
     * @throws Problem if it cannot be done any more
     */
    @Transactional
    String done(Task.Kind kind, String code, UUID potting, boolean notYet) {
        LocalDate day = today.date();
        Task task = reads.tasks(code).stream()
                .filter(t -> t.kind() == kind)
                .filter(t -> potting == null || potting.equals(t.potting()))
                .findFirst()
                .orElseThrow(() -> new Problem("code", "%s no longer asks for that.".formatted(code)));
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
            case STICK -> "%s: %s stuck.".formatted(code, says.count(task.pieces(), "piece", "pieces"));
            case LOOK -> "%s: looked, nothing changed.".formatted(code);
            case MOVE -> "%s: %s potted.".formatted(code, says.count(task.pieces(), "piece", "pieces"));
            case SETTLE -> "%s: all settled.".formatted(code);
            case ASK, TEND ->
                notYet ? "%s: not yet; the round asks again.".formatted(code) : "%s: written down.".formatted(code);
            case SEPARATE ->
                "%s: %s taken; the pieces stay."
                        .formatted(code, says.count(task.pieces(), "young plant", "young plants"));
            case GIVE_UP -> "%s: the rest written off as stalled.".formatted(code);
        };
    }

    private Round.Start start(PlanView plan, StockPlantView s) {
        LocalDate last = plan.lastSafeStart();
        boolean late = last != null && !today.date().isBefore(last);
        String title = protocols
                .version(plan.protocol(), plan.protocolVersion())
                .map(Protocol::title)
                .orElse("");
        return new Round.Start(
                plan,
                s,
                "Take %d from %s".formatted(plan.take(), s.code()),
                "%s, for %s by %s. %s"
                        .formatted(
                                title,
                                says.count(plan.youngPlants(), "young plant", "young plants"),
                                says.day(plan.due()),
                                last == null
                                        ? "No day is safe with what the stock can give."
                                        : "Last safe day to start: %s.".formatted(says.day(last))),
                late);
    }
}
