package garden.vivarium.app.promise;

import garden.vivarium.app.plan.PlanCommitted;
import garden.vivarium.app.plan.PlanDropped;
import garden.vivarium.app.plan.PlanReplaced;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.TopUps;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done about promises. Each method is one sentence of the work and one transaction. */
@Service
public class Promises {

    private static final double USUAL_CONFIDENCE = 0.9;
    private static final double MAY_COME = 0.1;

    private final PromiseRepository promises;
    private final ClaimRepository claims;
    private final PromiseBook book;
    private final Plans plans;
    private final Stock stock;
    private final Says says;
    private final Seen seen;
    private final Today today;

    Promises(
            PromiseRepository promises,
            ClaimRepository claims,
            PromiseBook book,
            Plans plans,
            Stock stock,
            Says says,
            Seen seen,
            Today today) {
        this.promises = promises;
        this.claims = claims;
        this.book = book;
        this.plans = plans;
        this.stock = stock;
        this.says = says;
        this.seen = seen;
        this.today = today;
    }

    /**
     * Promises plants, and lets the promise draw on what is free.
     *
     * @param who to whom, or for what occasion
     * @param plant the plant
     * @param plants how many, 1 to 5,000
     * @param due by when; null for a name that waits in line
     * @param sure the chance asked for, in per cent; null for 90
     * @throws InvalidField naming the field, if something cannot be
     */
    @Transactional
    public PromiseView make(String who, UUID plant, Integer plants, LocalDate due, Integer sure) {
        PlantView of = stock.plants().stream()
                .filter(p -> p.id().equals(plant))
                .findFirst()
                .orElseThrow(() -> new InvalidField("plant", Messages.text("Promises.plant.not.here.choose")));
        if (who == null || who.isBlank()) {
            throw new InvalidField("who", Messages.text("Promises.say.whom.what.occasion"));
        }
        if (who.strip().length() > 120) {
            throw new InvalidField("who", Messages.text("Promises.shorten.name.characters"));
        }
        if (plants == null || plants < 1 || plants > Limits.MOST_YOUNG_PLANTS) {
            throw new InvalidField(
                    "plants", Messages.text("Promises.promise.plants", "mostYoungPlants", Limits.MOST_YOUNG_PLANTS));
        }
        if (due != null && due.isBefore(today.date())) {
            throw new InvalidField("due", Messages.text("Promises.has.passed.give.today", "due", says.day(due)));
        }
        if (due != null && due.isAfter(today.date().plusYears(5))) {
            throw new InvalidField("due", Messages.text("Promises.more.than.years.ahead", "due", due));
        }
        if (sure != null && (sure < 50 || sure > 99)) {
            throw new InvalidField("sure", "Ask for 50% to 99%; nothing that grows is 100% sure.");
        }
        Promise made = save(of, who.strip(), plants, due, sure == null ? USUAL_CONFIDENCE : sure / 100.0);
        drawOnFree(made.getId());
        return made.view();
    }

    private Promise save(PlantView of, String who, int plants, LocalDate due, double confidence) {
        return promises.save(new Promise(
                of.id(), of.name(), who, plants, due, confidence, promises.lastInLine(of.id()) + 1, today.now()));
    }

    /**
     * Lets a promise draw on what is free of its plant, the first ready first.
     *
     * @return what it draws on, in words
     */
    @Transactional
    public String drawOnFree(UUID id) {
        PromiseView promise = toChange(id).view();
        int missing = promise.owed()
                - claims.findByPromiseId(id).stream()
                        .mapToInt(c -> c.plants() - c.given())
                        .sum();
        int before = missing;
        for (PromiseBook.Offer offer : book.offers(promise)) {
            int draw = Math.min(missing, offer.plants());
            if (draw > 0) {
                draw(id, offer.pool().planId(), offer.pool().batchId(), draw);
                missing -= draw;
            }
        }
        if (missing > 0) {
            return missing == before
                    ? Messages.text("Promises.nothing.free", "plant", promise.plant(), "who", promise.who())
                    : Messages.text(
                            "Promises.draws.not.covered",
                            "who",
                            promise.who(),
                            "missing",
                            promise.owed() - missing,
                            "missingThen",
                            missing);
        }
        int margin = drawMargin(id, promise);
        return margin == 0
                ? Messages.text("Promises.draws.what.all", "who", promise.who(), "owed", promise.owed())
                : Messages.text(
                        "Promises.draws.what.all.more", "who", promise.who(), "owed", promise.owed(), "margin", margin);
    }

    /**
     * Where as many as are owed come only every second time, draws on more that is free, until it is as sure as asked. What comes of a few more may
     * fall just short of that: then each is drawn on again.
     */
    private int drawMargin(UUID id, PromiseView promise) {
        int margin = 0;
        int before = -1;
        while (margin > before && book.shortBy(id) > 0) {
            before = margin;
            for (PromiseBook.Offer offer : book.offers(promise)) {
                int shortBy = book.shortBy(id);
                if (shortBy == 0) {
                    break;
                }
                // More of one batch than is owed in all would not make it surer.
                int useful = promise.owed() - offer.pool().drawnBy(id);
                int less = Math.min(Math.min(offer.plants(), useful), shortBy);
                if (less > 0) {
                    draw(id, offer.pool().planId(), offer.pool().batchId(), less);
                    margin += less;
                }
            }
        }
        return margin;
    }

    private void draw(UUID promise, UUID plan, UUID batch, int plants) {
        claims.findByPromiseId(promise).stream()
                .filter(c -> batch == null ? plan.equals(c.planId()) : batch.equals(c.batchId()))
                .findFirst()
                .ifPresentOrElse(
                        c -> c.draw(plants),
                        () -> claims.save(new Claim(promise, batch == null ? plan : null, batch, plants)));
    }

    /** Lets go of what a promise draws on and has not been given. */
    @Transactional
    public String letGo(UUID claim) {
        Claim found = claims.findById(claim).orElseThrow(() -> new NotFound(Messages.text("Promises.no.such.share")));
        int freed = found.plants() - found.given();
        found.letGo();
        return Messages.text("Promises.free.again", "freed", freed);
    }

    /**
     * Hands plants over.
     *
     * @throws InvalidField if more are given than are owed
     */
    @Transactional
    public String give(UUID claim, Integer plants) {
        Claim from = claims.findById(claim).orElseThrow(() -> new NotFound(Messages.text("Promises.no.such.share")));
        Promise promise = toChange(from.promiseId());
        int owed = promise.view().owed();
        if (plants == null || plants < 1 || plants > owed) {
            throw new InvalidField("plants", Messages.text("Promises.owed.give", "owed", owed));
        }
        from.gave(plants);
        promise.gave(plants, today.date());
        PromiseView now = promise.view();
        if (!now.isOpen()) {
            claims.findByPromiseId(now.id()).forEach(Claim::letGo);
            return Messages.text("Promises.has.all.promise.kept", "who", now.who(), "plants", now.plants());
        }
        return Messages.text(
                "Promises.has", "who", now.who(), "given", now.standing().given(), "plants", now.plants());
    }

    /**
     * Drops a promise.
     *
     * @return what that frees, in words
     */
    @Transactional
    public String drop(UUID id) {
        Promise promise = toChange(id);
        int freed = 0;
        for (Claim c : claims.findByPromiseId(id)) {
            freed += c.plants() - c.given();
            c.letGo();
        }
        promise.drop(today.date());
        String next = book.nextInLine(promise.view().plantId())
                .map(" Next in line for them: %s."::formatted)
                .orElse("");
        return Messages.text(
                "Promises.promise.dropped.free", "who", promise.view().who(), "freed", freed, "next", next);
    }

    /** Moves a promise one place forward among those of its plant that are due on the same day, or wait without one. */
    @Transactional
    public String forward(UUID id) {
        Promise promise = toChange(id);
        PromiseView view = promise.view();
        List<Promise> same = new ArrayList<>(promises.findByState(PromiseState.OPEN).stream()
                .filter(p -> p.view().plantId().equals(view.plantId())
                        && Objects.equals(p.view().due(), view.due()))
                .sorted((a, b) ->
                        Integer.compare(a.view().placeInLine(), b.view().placeInLine()))
                .toList());
        int at = same.indexOf(promise);
        if (at > 0) {
            Promise ahead = same.get(at - 1);
            int place = ahead.view().placeInLine();
            ahead.standAt(view.placeInLine());
            promise.standAt(place);
            return Messages.text(
                    "Promises.stands.before.now",
                    "who",
                    view.who(),
                    "whoThen",
                    ahead.view().who());
        }
        return Messages.text("Promises.served.first.already", "who", view.who());
    }

    /**
     * Plans the pieces that make up what is short, and lets the promise draw on them.
     *
     * @return the plan, to be stuck
     * @throws InvalidField if it is no longer short, or nothing would do
     */
    @Transactional
    public PlanView topUp(UUID id) {
        toChange(id);
        PlantPromises.Judged judged =
                book.judged(id).orElseThrow(() -> new NotFound(Messages.text("Promises.no.such.promise")));
        TopUps.Advice advice = judged.advice()
                .orElseThrow(() -> new InvalidField(
                        "promise",
                        judged.isShort()
                                ? Messages.text(
                                        "Promises.nothing.stuck.today.would",
                                        "who",
                                        judged.promise().who())
                                : Messages.text(
                                        "Promises.promise.not.short.any",
                                        "who",
                                        judged.promise().who())));
        int aim = Math.max(1, Math.max(judged.uncovered(), book.shortBy(id)));
        LocalDate due = judged.promise().due();
        PlanView plan = plans.topUp(advice, aim, due, judged.promise().wanted().confidence());
        // They are stuck for this promise: it draws on as many as may come, so that no later one takes its margin.
        int may = plans.toCome(plan, advice.from(), due).alone().surely(MAY_COME);
        draw(id, plan.id(), null, Math.max(aim, Math.min(judged.promise().owed(), may)));
        return plan;
    }

    /** A plan made for somebody is promised to them. */
    @EventListener
    void promise(PlanCommitted committed) {
        PlanView plan = committed.plans().keySet().iterator().next();
        StockPlantView parent = stock.find(plan.stockPlantId()).orElseThrow();
        Promise made = save(
                parent.plant(),
                committed.forWhom(),
                plan.aim().youngPlants(),
                plan.aim().due(),
                plan.aim().confidence());
        committed.plans().forEach((p, plants) -> draw(made.getId(), p.id(), null, plants));
    }

    /** What drew on a plan that was changed draws on the one that stands for it. */
    @EventListener
    void follow(PlanReplaced replaced) {
        claims.findByPlanId(replaced.old())
                .forEach(
                        c -> c.movesTo(replaced.now().id(), replaced.now().aim().youngPlants()));
    }

    /** What drew on a dropped plan draws on nothing. */
    @EventListener
    void plansNoMore(PlanDropped dropped) {
        for (Claim c : claims.findByPlanId(dropped.plan().id())) {
            PromiseView promise = find(c.promiseId()).view();
            if (promise.isOpen() && c.plants() > c.given()) {
                dropped.consequences()
                        .add(Messages.text(
                                "Promises.promise.drew.not.covered",
                                "who",
                                promise.who(),
                                "given",
                                c.plants() - c.given()));
            }
            c.letGo();
        }
    }

    private Promise find(UUID id) {
        return promises.findById(id).orElseThrow(() -> new NotFound(Messages.text("Promises.no.such.promise")));
    }

    /** The promise, for whoever changes it; whoever saw another state of it is told. */
    private Promise toChange(UUID id) {
        Promise promise = find(id);
        seen.check(promise.mark(), promise.version(), () -> {
            PromiseView now = promise.view();
            return switch (now.standing().state()) {
                case OPEN ->
                    Messages.text(
                            "Promises.has.now",
                            "who",
                            now.who(),
                            "given",
                            now.standing().given(),
                            "plants",
                            now.plants());
                case KEPT -> Messages.text("Promises.has.all.promise.kept.2", "who", now.who(), "plants", now.plants());
                case DROPPED -> Messages.text("Promises.promise.has.been.dropped", "who", now.who());
            };
        });
        return promise;
    }
}
