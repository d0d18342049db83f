package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.bench.ToCome;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.promise.PromiseBook;
import garden.vivarium.app.promise.PromiseView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.watch.Absence;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What an absence means: what to do before, what not to start, what will suffer, what can wait. */
@Service
class Away {

    private static final int CARE_HARMS_AFTER = 3;
    private static final int USUAL_LIMIT = 21;

    private final Benches benches;
    private final ToCome toCome;
    private final Plans plans;
    private final PromiseBook promises;
    private final CareBook care;
    private final Protocols protocols;
    private final Says says;
    private final Words words;
    private final Today today;

    Away(
            Benches benches,
            ToCome toCome,
            Plans plans,
            PromiseBook promises,
            CareBook care,
            Protocols protocols,
            Says says,
            Words words,
            Today today) {
        this.benches = benches;
        this.toCome = toCome;
        this.plans = plans;
        this.promises = promises;
        this.care = care;
        this.protocols = protocols;
        this.says = says;
        this.words = words;
        this.today = today;
    }

    /**
     * One thing that an absence touches.
     *
     * @param code what it concerns
     * @param address its page
     * @param what in words
     * @param why the reason
     * @param day on which it falls
     * @param place where, or the empty text
     */
    record Touched(String code, String address, String what, String why, LocalDate day, String place) {}

    /**
     * All of it.
     *
     * @param before to do before leaving
     * @param notStart plans not to start as they stand
     * @param suffers what suffers whatever is done
     * @param waits what can wait till the return
     */
    record Outlook(List<Touched> before, List<Touched> notStart, List<Touched> suffers, List<Touched> waits) {}

    /**
     * Judges an absence.
     *
     * @throws InvalidField naming the field, if the days cannot be
     */
    @Transactional(readOnly = true)
    Outlook judge(LocalDate from, LocalDate back) {
        if (from.isBefore(today.date())) {
            throw new InvalidField("from", Messages.text("Away.has.passed.give.today", "from", says.day(from)));
        }
        if (!back.isAfter(from)) {
            throw new InvalidField("back", Messages.text("Away.not.after.you.leave", "back", says.day(back)));
        }
        if (back.isAfter(from.plusDays(Absence.MOST_DAYS))) {
            throw new InvalidField(
                    "back", Messages.text("Away.absence.reckoned.up.days", "mostDays", Absence.MOST_DAYS));
        }
        Absence absence = new Absence(from, back);
        Outlook found = new Outlook(new ArrayList<>(), new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        List<Benches.Row> rows = benches.open();
        rows.forEach(r -> r.tasks().forEach(t -> sort(absence, found, r, t)));
        Map<UUID, String> places = rows.stream()
                .collect(Collectors.toMap(r -> r.batch().id(), r -> r.place().name()));
        toCome.sources()
                .forEach(s ->
                        becomesReady(absence, found, s, places.get(s.batch().id())));
        plans.waiting().forEach(p -> start(absence, found, p));
        care.due(back.minusDays(1))
                .forEach(c -> put(
                        absence,
                        found,
                        new Touched(
                                c.subject().code(),
                                c.subject().sheet(),
                                c.what(),
                                words.say("away.care.why", "due", c.days().due()),
                                c.days().due(),
                                ""),
                        Optional.of(c.days().due().plusDays(CARE_HARMS_AFTER))));
        promises.open().stream()
                .filter(p -> p.due() != null && absence.covers(p.due()))
                .forEach(p -> found.before().add(owed(p)));
        List.of(found.before(), found.notStart(), found.suffers(), found.waits())
                .forEach(l -> l.sort(Comparator.comparing(Touched::day)));
        return found;
    }

    private Touched owed(PromiseView p) {
        return new Touched(
                p.who(),
                "/promises#p-" + p.id(),
                words.say("away.owed", "owed", p.owed(), "plant", p.plant()),
                words.say("away.owed.why"),
                p.due(),
                "");
    }

    private void sort(Absence absence, Outlook found, Benches.Row row, Task task) {
        BatchView b = task.batch();
        put(
                absence,
                found,
                new Touched(
                        b.code(),
                        "/batches/" + b.code(),
                        words.say("away.task", "plant", b.plant(), "task", task.what()),
                        words.of(task.why()),
                        task.due(),
                        row.place().name()),
                harms(task));
    }

    /** From when waiting harms: ready pieces that stand too long, stages with a timer. */
    private Optional<LocalDate> harms(Task task) {
        return switch (task.kind()) {
            case MOVE -> Optional.of(task.due().plusDays(limit(task.batch())));
            case TEND -> Optional.of(task.due().plusDays(CARE_HARMS_AFTER));
            case STICK, LOOK, ASK, SEPARATE, SETTLE, GIVE_UP -> Optional.empty();
        };
    }

    private int limit(BatchView b) {
        return b.protocol() == null
                ? USUAL_LIMIT
                : protocols
                        .version(b.protocol(), b.protocolVersion())
                        .map(p -> p.course().tooLong())
                        .orElse(USUAL_LIMIT);
    }

    /** A batch none of which stands ready yet, but whose first may, and stand too long before the return. */
    private void becomesReady(Absence absence, Outlook found, ToCome.Source source, String place) {
        BatchView b = source.batch();
        if (b.closedOn() != null
                || !b.isStuck()
                || b.isAsleep()
                || b.readyToMove() > 0
                || b.counts().pending() == 0) {
            return;
        }
        LocalDate first = source.firstReady();
        LocalDate harms = first.plusDays(limit(b));
        if (absence.judge(first, Optional.of(harms)) == Absence.Meaning.SUFFERS) {
            found.suffers()
                    .add(new Touched(
                            b.code(),
                            "/batches/" + b.code(),
                            words.say("away.ready", "plant", b.plant()),
                            words.say("away.ready.why", "first", first, "harms", harms, "back", absence.back()),
                            first,
                            place));
        }
    }

    private void start(Absence absence, Outlook found, PlanView plan) {
        Optional<Protocol> protocol = protocols.version(plan.protocol(), plan.protocolVersion());
        String title = protocol.map(Protocol::title).orElse(plan.protocol());
        LocalDate firstLook = plan.start()
                .on()
                .plusDays(protocol.map(p -> p.course().looks().first()).orElse(7));
        boolean startsThen = absence.covers(plan.start().on());
        boolean tenderThen = plan.start().on().isBefore(absence.from()) && absence.covers(firstLook);
        if (!startsThen && !tenderThen) {
            return;
        }
        boolean canWait =
                plan.start().lastSafe() != null && !plan.start().lastSafe().isBefore(absence.back());
        found.notStart()
                .add(new Touched(
                        "Plan",
                        "/plan/" + plan.id() + "/stick",
                        words.say("away.plan", "take", plan.start().take(), "title", title.toLowerCase(Locale.ROOT)),
                        words.say(startsThen ? "away.plan.then" : "away.plan.tender")
                                + " "
                                + (canWait
                                        ? words.say(
                                                "away.plan.can.wait",
                                                "last",
                                                plan.start().lastSafe())
                                        : words.say("away.plan.cannot.wait")),
                        plan.start().on(),
                        ""));
    }

    private static void put(Absence absence, Outlook found, Touched what, Optional<LocalDate> harms) {
        switch (absence.judge(what.day(), harms)) {
            case BEFORE -> found.before().add(what);
            case SUFFERS -> found.suffers().add(what);
            case WAITS -> found.waits().add(what);
            case AFTER -> {}
        }
    }
}
