package garden.vivarium.app.plan;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import garden.vivarium.core.Text;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Hedge;
import garden.vivarium.core.plan.InTurn;
import garden.vivarium.core.plan.Prospect;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans committed, and turned into batches. */
@Service
public class Plans {

    private final PlanRepository plans;
    private final Ways ways;
    private final Stock stock;
    private final StockCounts counts;
    private final Batches batches;
    private final Protocols protocols;
    private final ApplicationEventPublisher events;
    private final Seen seen;
    private final Today today;
    private final Words words;

    Plans(
            PlanRepository plans,
            Ways ways,
            Stock stock,
            StockCounts counts,
            Batches batches,
            Protocols protocols,
            ApplicationEventPublisher events,
            Seen seen,
            Today today,
            Words words) {
        this.plans = plans;
        this.ways = ways;
        this.stock = stock;
        this.counts = counts;
        this.batches = batches;
        this.protocols = protocols;
        this.events = events;
        this.seen = seen;
        this.today = today;
        this.words = words;
    }

    /**
     * Commits the chosen way.
     *
     * @throws InvalidField if no number would do, or a reason is needed and none is given
     */
    @Transactional
    PlanView commit(PlanForm form) {
        StockPlantView plant = stock.find(form.stock())
                .orElseThrow(() -> new InvalidField("stock", Messages.text("Plans.stock.plant.not.here")));
        WayRow row = ways.way(plant, form)
                .orElseThrow(() -> new InvalidField("way", Messages.text("Plans.guide.has.no.way")));
        refuse(plant, row.plan().start(), form.reason());
        refuseBeyondStock(plant, row, form);
        if (form.take() == null && !row.plan().inTurn().orElseThrow().isAtOnce()) {
            return commitInTurn(plant, row, form);
        }
        int take = form.take() != null
                ? form.take()
                : row.plan().inTurn().orElseThrow().pieces();
        if (take > Limits.MOST_PIECES) {
            throw new InvalidField(
                    "take",
                    Messages.text("Plans.pieces.more.than.one", "take", take, "mostPieces", Limits.MOST_PIECES));
        }
        ChosenWay chosen = new ChosenWay(
                row.protocol(), row.plan().aim(), row.plan(), take, row.plan().chance(take));
        PlanView plan = plans.save(new Plan(plant.id(), chosen, form.untilOrSettled(), form.reason(), today.now()))
                .view();
        if (form.replaces() != null) {
            replace(form.replaces(), plan);
        }
        tell(form, Map.of(plan, plan.aim().youngPlants()));
        return plan;
    }

    /** What cannot be borne is not planned, unless the grower has more than is counted and says so. */
    private void refuseBeyondStock(StockPlantView plant, WayRow row, PlanForm form) {
        if (form.have() != null && (form.reason() == null || form.reason().isBlank())) {
            throw new InvalidField("reason", Messages.text("Plans.have.needs.word"));
        }
        if (form.take() == null && row.plan().inTurn().isEmpty()) {
            throw new InvalidField(
                    "take",
                    row.plan().isBeyondReach()
                            ? Messages.text("Plans.no.number.pieces.would")
                            : Messages.text("Plans.more.than.it.bears", "code", plant.code()));
        }
        int most = row.plan().piecesAtMost();
        if (form.take() != null && !row.plan().isUncounted() && form.take() > most) {
            throw new InvalidField(
                    "take",
                    Messages.text(
                            "Plans.take.more.than.it.bears",
                            "take",
                            form.take(),
                            "code",
                            plant.code(),
                            "bears",
                            row.plan().piecesAtMost()));
        }
    }

    /** One plan for each cut, each starting on its own day. */
    private PlanView commitInTurn(StockPlantView plant, WayRow row, PlanForm form) {
        InTurn inTurn = row.plan().inTurn().orElseThrow();
        UUID id = UUID.randomUUID();
        Map<PlanView, Integer> made = new LinkedHashMap<>();
        int left = form.wanted();
        for (InTurn.Cut cut : inTurn.cuts()) {
            WayRow then = cut.on().equals(row.plan().start())
                    ? row
                    : ways.way(plant, form.startingWith(row.protocol().key(), cut.on()))
                            .orElseThrow();
            int share = Math.min(left, Math.round((float) form.wanted() * cut.pieces() / inTurn.pieces()));
            made.put(half(plant, then, cut.pieces(), inTurn.chance(), form, id), share);
            left -= share;
        }
        if (form.replaces() != null) {
            replace(form.replaces(), made.keySet().iterator().next());
        }
        tell(form, made);
        return made.keySet().iterator().next();
    }

    private void refuse(StockPlantView plant, LocalDate start, String reason) {
        plant.refusal(start, reason).ifPresent(f -> {
            throw new InvalidField("reason", "%s: %s".formatted(plant.plant().name(), words.of(f)));
        });
    }

    private void replace(UUID old, PlanView now) {
        Plan before = toChange(old);
        if (before.view().standing().state() != PlanState.PLANNED) {
            throw new InvalidField("way", Messages.text("Plans.plan.change.no.longer"));
        }
        before.drop();
        events.publishEvent(new PlanReplaced(old, now));
    }

    private void tell(PlanForm form, Map<PlanView, Integer> made) {
        if (form.forWhom() != null && !form.forWhom().isBlank()) {
            events.publishEvent(new PlanCommitted(made, form.forWhom().strip()));
        }
    }

    /** A plan that is asked for without a page: what for, by which way, and when. */
    public record Request(
            UUID stockPlant,
            String way,
            LocalDate start,
            LocalDate due,
            int youngPlants,
            int sure,
            Integer take,
            String reason) {

        /** One young plant, nine times in ten, by the least number that does. */
        public Request(UUID stockPlant, String way, LocalDate start, LocalDate due) {
            this(stockPlant, way, start, due, 1, 90, null, null);
        }

        /** So many young plants, so sure in per cent. */
        public Request of(int number, int surePercent) {
            return new Request(stockPlant, way, start, due, number, surePercent, take, reason);
        }

        /** Taking a number of one's own, for a reason. */
        public Request taking(int pieces, String why) {
            return new Request(stockPlant, way, start, due, youngPlants, sure, pieces, why);
        }
    }

    /**
     * Commits what is asked for.
     *
     * @throws InvalidField if it cannot be
     */
    @Transactional
    public PlanView commit(Request request) {
        return commit(PlanForm.of(
                request.stockPlant(),
                request.youngPlants(),
                request.due(),
                request.sure(),
                request.start(),
                request.way(),
                request.take(),
                request.reason()));
    }

    /** Plans that became batches, by the day they were to start. */
    @Transactional(readOnly = true)
    public List<PlanView> stuck() {
        return plans.findByStateOrderByStartOn(PlanState.STUCK).stream()
                .map(Plan::view)
                .toList();
    }

    /**
     * Commits two plans for one aim, split as it was reckoned.
     *
     * @return the first of the two
     * @throws InvalidField if no split would do
     */
    @Transactional
    PlanView commitSplit(PlanForm form) {
        StockPlantView plant = stock.find(form.stock())
                .orElseThrow(() -> new InvalidField("stock", Messages.text("Plans.stock.plant.not.here")));
        refuse(plant, form.start() == null ? today.date() : form.start(), form.reason());
        Split split = ways.split(plant, form)
                .orElseThrow(
                        () -> new InvalidField("with", Messages.text("Plans.no.split.would.do", "code", plant.code())));
        UUID id = UUID.randomUUID();
        Hedge hedge = split.hedge();
        int ofFirst = (int) Math.max(0, Math.min(form.wanted(), Math.round(form.wanted() * hedge.enoughOfFirst())));
        Map<PlanView, Integer> made = new LinkedHashMap<>();
        made.put(half(plant, split.one(), hedge.first(), hedge.chance(), form, id), ofFirst);
        made.put(half(plant, split.other(), hedge.second(), hedge.chance(), form, id), form.wanted() - ofFirst);
        tell(form, made);
        return made.keySet().iterator().next();
    }

    private PlanView half(StockPlantView plant, WayRow row, int take, double chance, PlanForm form, UUID split) {
        ChosenWay chosen = new ChosenWay(row.protocol(), row.plan().aim(), row.plan(), take, chance);
        return plans.save(
                        new Plan(plant.id(), chosen, form.untilOrSettled(), form.reason(), today.now()).ofSplit(split))
                .view();
    }

    @Transactional(readOnly = true)
    PlanView find(UUID id) {
        return plans.findById(id).map(Plan::view).orElseThrow(() -> new NotFound(Messages.text("Plans.no.such.plan")));
    }

    /** Plans that have not been stuck yet, by the day to start. */
    @Transactional(readOnly = true)
    public List<PlanView> waiting() {
        return plans.findByStateOrderByStartOn(PlanState.PLANNED).stream()
                .map(Plan::view)
                .toList();
    }

    /**
     * Drops a plan that has not been stuck.
     *
     * @return what that frees, in words
     */
    @Transactional
    public String drop(UUID id) {
        Plan plan = toChange(id);
        plan.drop();
        PlanView view = plan.view();
        List<String> words = new ArrayList<>();
        words.add("Plan dropped.");
        stock.find(view.stockPlantId())
                .ifPresent(s -> words.add(Messages.text(
                        "Plans.keeps.its",
                        "code",
                        s.code(),
                        "then",
                        view.start().take() == 1
                                ? "piece"
                                : Text.of("%,d pieces", view.start().take()))));
        events.publishEvent(new PlanDropped(view, words));
        return String.join(" ", words);
    }

    /** Young plants, as far on as it was asked, that a plan not yet stuck will have given by a day, started on its day or today, from its stock plant. */
    @Transactional(readOnly = true)
    public Prospect toCome(PlanView plan, StockPlantView from, LocalDate day) {
        return ways.planned(
                        protocol(plan), from, startNow(plan), day, plan.aim().piecesPerPot(), plan.until())
                .prospect(plan.start().take());
    }

    /** The protocol of a plan, in the version that it was made by. */
    public Protocol protocol(PlanView plan) {
        return protocols
                .version(plan.protocol(), plan.protocolVersion())
                .orElseThrow(() -> new IllegalStateException("the guide no longer has " + plan.protocol()));
    }

    /** The day on which a plan can start: its own or, once that has passed, today. */
    public LocalDate startNow(PlanView plan) {
        return plan.start().on().isBefore(today.date())
                ? today.date()
                : plan.start().on();
    }

    /** Commits so many pieces more by a way, started today, towards a number that is short. */
    @Transactional
    public PlanView topUp(TopUps.Advice advice, int youngPlants, LocalDate due, double confidence) {
        return commit(new Request(advice.from().id(), advice.way().key(), today.date(), due)
                .of(youngPlants, (int) Math.round(100 * confidence))
                .taking(advice.take(), null));
    }

    /**
     * Turns a plan into a batch, and takes the pieces off what the stock plant can give.
     *
     * @throws InvalidField if the plan has been stuck already, or a number cannot be
     */
    @Transactional
    public BatchView stick(UUID id, NewBatch wanted) {
        return stick(id, wanted, null);
    }

    /**
     * The same, saying how many growths, crowns or bulbs went with each piece of a division.
     *
     * @param each 1 and up, or null for what is usual for the plant's kind
     */
    @Transactional
    public BatchView stick(UUID id, NewBatch wanted, Integer each) {
        Plan plan = toChange(id);
        if (plan.view().standing().state() != PlanState.PLANNED) {
            throw new InvalidField(
                    "taken",
                    Messages.text(
                            "Plans.plan.no.longer.waiting",
                            "batchCode",
                            Optional.ofNullable(plan.view().standing().batchCode())
                                    .orElse("not made")));
        }
        BatchView batch = batches.make(wanted);
        plan.stuck(batch.code());
        counts.cutFor(
                new StockCounts.ForBatch(
                        plan.view().stockPlantId(),
                        wanted.done().method(),
                        wanted.taking().takenOn(),
                        batch.id()),
                wanted.taking().taken(),
                each);
        return batch;
    }

    /** The plan, for whoever changes it; whoever saw another state of it is told. */
    private Plan toChange(UUID id) {
        Plan plan = plans.findById(id).orElseThrow(() -> new NotFound(Messages.text("Plans.no.such.plan")));
        seen.check(plan.mark(), plan.version(), () -> {
            PlanView now = plan.view();
            return switch (now.standing().state()) {
                case PLANNED ->
                    Messages.text(
                            "Plans.plan.still.waits.pieces",
                            "take",
                            now.start().take(),
                            "on",
                            now.start().on());
                case STUCK ->
                    Messages.text(
                            "Plans.plan.has.been.stuck",
                            "batchCode",
                            now.standing().batchCode());
                case DROPPED -> "The plan has been dropped.";
            };
        });
        return plan;
    }
}
