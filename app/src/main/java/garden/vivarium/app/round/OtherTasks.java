package garden.vivarium.app.round;

import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.CareView;
import garden.vivarium.app.care.Outcome;
import garden.vivarium.app.plan.TopUps;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.promise.PlantPromises;
import garden.vivarium.app.promise.PromiseBook;
import garden.vivarium.app.promise.PromiseView;
import garden.vivarium.app.round.Item.Action;
import garden.vivarium.app.round.Item.OtherTask;
import garden.vivarium.app.round.Item.Subject;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Finds what the day asks beside the batches: care due, treatments to judge, stock plants rested, asleep or in quarantine. */
@Component
class OtherTasks {

    private static final int ASK_EVERY = 14;
    private static final int DAYS_UNTIL_PRESSING = 3;
    private static final int REST_TOLD_FOR = 60;

    private final CareBook care;
    private final PromiseBook promises;
    private final Stock stock;
    private final StockCounts counts;
    private final Says says;
    private final Words words;

    OtherTasks(CareBook care, PromiseBook promises, Stock stock, StockCounts counts, Says says, Words words) {
        this.care = care;
        this.promises = promises;
        this.stock = stock;
        this.counts = counts;
        this.says = says;
        this.words = words;
    }

    /** All of the day, among these stock plants. */
    List<OtherTask> of(LocalDate day, Collection<StockPlantView> all) {
        Map<UUID, PlaceView> places =
                stock.places().stream().collect(Collectors.toMap(PlaceView::id, Function.identity()));
        List<OtherTask> found = new ArrayList<>();
        care.due(day).forEach(c -> found.add(treat(c, places, day)));
        care.asking(day).forEach(c -> found.add(judge(c, places)));
        promises.atRisk().forEach(j -> found.add(atRisk(j, all)));
        Map<UUID, LocalDate> seen = counts.lastLooks();
        for (StockPlantView s : all.stream().filter(s -> !s.isRetired()).toList()) {
            quarantine(s, day).ifPresent(found::add);
            asleep(s, seen.get(s.id()), day).ifPresent(found::add);
            dyingFlower(s, seen.get(s.id()), day).ifPresent(found::add);
            rested(s, day).ifPresent(found::add);
        }
        return found;
    }

    /** A promise whose chance has fallen below what was asked stands where its plant does. */
    private OtherTask atRisk(PlantPromises.Judged j, Collection<StockPlantView> all) {
        PromiseView p = j.promise();
        Optional<TopUps.Advice> advice = j.advice();
        PlaceView place = advice.map(a -> a.from().place())
                .orElseGet(() -> all.stream()
                        .filter(s -> s.plant().id().equals(p.plantId()))
                        .findFirst()
                        .map(StockPlantView::place)
                        .orElseGet(() -> stock.places().get(0)));
        String stands = words.say(
                "round.promise.stands",
                "chance",
                says.percent(j.chance()),
                "asked",
                says.percent(p.wanted().confidence()),
                "due",
                p.due());
        return new OtherTask(
                place,
                Verb.PROMISE,
                new Subject(p.who(), "/promises#p-" + p.id(), p.plant()),
                words.say("round.promise.at.risk", "owed", p.owed()),
                stands + " " + advice.map(a -> topUp(p, a)).orElseGet(() -> words.say("round.promise.too.late")),
                true,
                advice.map(a -> List.of(
                                Action.send(
                                        words.say("round.promise.stick", "take", a.take()),
                                        "/promises/" + p.id() + "/top-up",
                                        Map.of()),
                                Action.go(Messages.text("OtherTasks.see"), "/promises#p-" + p.id())))
                        .orElseGet(() -> List.of(Action.go(Messages.text("OtherTasks.see"), "/promises#p-" + p.id()))));
    }

    private String topUp(PromiseView p, TopUps.Advice a) {
        boolean laterToo = !a.last().equals(p.due()) && a.takeThen() != a.take();
        return words.say(
                laterToo ? "round.promise.top.up.or.later" : "round.promise.top.up",
                "take",
                a.take(),
                "code",
                a.from().code(),
                "way",
                a.way().title(),
                "then",
                a.takeThen(),
                "last",
                a.last());
    }

    private OtherTask treat(CareView c, Map<UUID, PlaceView> places, LocalDate day) {
        boolean against = c.trouble().cause() != null;
        return new OtherTask(
                places.get(c.subject().place()),
                c.act() == null ? Verb.TREAT : Verb.AGAIN,
                new Subject(
                        c.subject().code(),
                        // Each by itself, so that one put off leaves the others.
                        c.subject().sheet() + "#care-" + c.id(),
                        against
                                ? words.say(
                                        "round.treat.against",
                                        "cause",
                                        c.trouble().cause())
                                : ""),
                c.what(),
                words.say(
                        c.act() == null ? "round.treat.why" : "round.again.why",
                        "due",
                        c.days().due()),
                day.isAfter(c.days().due().plusDays(DAYS_UNTIL_PRESSING)),
                List.of(
                        Action.send(Messages.text("OtherTasks.done"), "/care/" + c.id() + "/done", Map.of()),
                        Action.send(Messages.text("OtherTasks.no.more"), "/care/" + c.id() + "/no-more", Map.of())));
    }

    private OtherTask judge(CareView c, Map<UUID, PlaceView> places) {
        String address = "/care/" + c.id() + "/outcome";
        return new OtherTask(
                places.get(c.subject().place()),
                Verb.WORKED,
                new Subject(c.subject().code(), c.subject().sheet() + "#care-" + c.id(), ""),
                c.what(),
                c.trouble().cause() == null
                        ? words.say(
                                "round.worked.why", "ago", says.away(c.days().done()))
                        : words.say(
                                "round.worked.for.why",
                                "ago",
                                says.away(c.days().done()),
                                "cause",
                                c.trouble().cause().toLowerCase(Locale.ROOT)),
                false,
                List.of(
                        Action.send(
                                Messages.text("OtherTasks.worked"), address, Map.of("outcome", Outcome.WORKED.name())),
                        Action.send(
                                Messages.text("OtherTasks.partly"), address, Map.of("outcome", Outcome.PARTLY.name())),
                        Action.send(Messages.text("OtherTasks.not"), address, Map.of("outcome", Outcome.NOT.name()))));
    }

    private Optional<OtherTask> quarantine(StockPlantView s, LocalDate day) {
        if (s.quarantineUntil() == null || day.isBefore(s.quarantineUntil())) {
            return Optional.empty();
        }
        return Optional.of(of(
                s,
                Verb.LIFT,
                words.say("round.lift"),
                words.say("round.lift.why", "until", s.quarantineUntil()),
                List.of(Action.send(Messages.text("OtherTasks.lift.it"), "/stock/" + s.id() + "/lift", Map.of()))));
    }

    private Optional<OtherTask> asleep(StockPlantView s, LocalDate seen, LocalDate day) {
        boolean ask = s.state() == StockState.DORMANT
                && !s.isLot()
                && (seen == null || !day.isBefore(seen.plusDays(ASK_EVERY)));
        if (!ask) {
            return Optional.empty();
        }
        String address = "/stock/" + s.id() + "/woken";
        return Optional.of(of(
                s,
                Verb.WOKEN,
                words.say("round.woken"),
                seen == null
                        ? words.say("round.woken.never.why")
                        : words.say("round.woken.why", "ago", says.away(seen)),
                List.of(
                        Action.send(Messages.text("OtherTasks.not.yet"), address, Map.of("notYet", "true")),
                        Action.send(Messages.text("OtherTasks.it.has.woken"), address, Map.of()))));
    }

    private Optional<OtherTask> dyingFlower(StockPlantView s, LocalDate seen, LocalDate day) {
        boolean ask = s.plant().flowersOnce()
                && (s.state() == StockState.IN_FLOWER || s.state() == StockState.DYING)
                && (seen == null || !day.isBefore(seen.plusDays(ASK_EVERY)));
        return ask
                ? Optional.of(of(
                        s,
                        Verb.OFFSETS,
                        words.say("round.offsets"),
                        words.say("round.offsets.why"),
                        List.of(
                                Action.go(Messages.text("OtherTasks.plan"), "/plan?stock=" + s.id()),
                                Action.go(Messages.text("OtherTasks.look"), "/stock/" + s.id() + "#look"))))
                : Optional.empty();
    }

    private Optional<OtherTask> rested(StockPlantView s, LocalDate day) {
        Optional<LocalDate> rested = s.regrowth().restsUntil();
        Optional<Integer> may = s.regrowth().mayTake(day, false);
        boolean tell = rested.isPresent()
                && !day.isBefore(rested.get())
                && day.isBefore(rested.get().plusDays(REST_TOLD_FOR))
                && s.condition().restSeenOn() == null
                && s.state() == StockState.GROWING
                && !s.isQuarantined(day)
                && may.orElse(0) > 0;
        return tell
                ? Optional.of(of(
                        s,
                        Verb.CUT,
                        words.say("round.rested", "may", may.get()),
                        words.say(
                                "round.rested.why",
                                "since",
                                rested.get(),
                                "estimated",
                                s.bears().estimated(),
                                "pieces",
                                s.piecesNow()),
                        List.of(
                                Action.send(
                                        Messages.text("OtherTasks.seen"), "/stock/" + s.id() + "/rest-seen", Map.of()),
                                Action.go(Messages.text("OtherTasks.plan"), "/plan?stock=" + s.id()))))
                : Optional.empty();
    }

    private static OtherTask of(StockPlantView s, Verb verb, String what, String why, List<Action> actions) {
        return new OtherTask(
                s.place(),
                verb,
                new Subject(s.code(), "/stock/" + s.id(), s.plant().name()),
                what,
                why,
                false,
                actions);
    }
}
