package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.GiveUp;
import garden.vivarium.core.watch.NextLook;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a batch needs, and when: it puts the core's rules of watching to one batch. */
@Component
class TaskFinder {

    private static final Protocol.Looks USUAL_LOOKS = new Protocol.Looks(10, 4, 21, LookKind.LIFTED);
    private static final int USUAL_LIMIT = 30;
    private static final int DAYS_UNTIL_PRESSING = 7;

    private final GuideLookup lookup;
    private final Today today;

    TaskFinder(GuideLookup lookup, Today today) {
        this.lookup = lookup;
        this.today = today;
    }

    /**
     * What is known of one batch when its tasks are sought.
     *
     * @param batch the batch
     * @param outlook what was expected of it when it was made
     * @param ready its tallies of ready
     * @param now what is known of its pending pieces; empty where none is, or none was looked at yet
     * @param unsettled moves of which nobody has said whether they settled
     * @param lastTaking day of the last taking, or null
     * @param stages where it stands in its protocol
     */
    record BatchFacts(
            BatchView batch,
            Outlook outlook,
            Tallies ready,
            Optional<RunningBatch> now,
            List<PottingView> unsettled,
            LocalDate lastTaking,
            Optional<StageClock> stages) {

        SeasonOutlook expected() {
            return outlook.in(batch.season());
        }

        /** The day of the last look that could know of ready, 0 before the first. */
        int seen() {
            return ready.lastDay();
        }
    }

    /** Tasks of one batch, due or still to come, the most pressing first. */
    List<Task> tasks(BatchFacts k) {
        BatchView b = k.batch();
        if (!b.isStuck()) {
            return List.of(stick(k));
        }
        List<Task> tasks = new ArrayList<>();
        k.stages()
                .flatMap(StageClock::next)
                .ifPresent(s -> tasks.add(stage(b, k.stages().orElseThrow(), s)));
        if (b.isAsleep()) {
            return tasks;
        }
        if (b.readyToMove() > 0 && !lookup.method(b.method()).pottedOnDay0()) {
            tasks.add(protocolOf(b)
                    .flatMap(p -> p.course().inTurn())
                    .map(days -> separate(k, days))
                    .orElseGet(() -> move(b)));
        }
        // Where ready is settled already there is nothing to wait for.
        if (k.outlook().settleDays() > 0) {
            k.unsettled().forEach(p -> tasks.add(settle(k, p)));
        }
        if (b.counts().pending() > 0) {
            Optional<GiveUp> stalled = k.now().map(GiveUp::of).filter(g -> g.pieces() > 0);
            stalled.ifPresent(g -> tasks.add(giveUp(k, g)));
            if (stalled.isEmpty() || !stalled.get().isAll()) {
                tasks.add(look(k));
            }
        }
        return tasks;
    }

    private Optional<Protocol> protocolOf(BatchView b) {
        return lookup.protocol(b.protocol(), b.protocolVersion(), b.way());
    }

    /** Questions and steps of the days on which something is due. */
    enum Step implements Rule {
        WHEN_TO_STICK,
        CUT_ON,
        MIDDLE_OF_THE_WAIT,
        WHEN_TO_ASK,
        FIRST_ASKED,
        ASKED_AGAIN,
        WHEN_IT_IS_DUE,
        STAGE_BEFORE,
        DAYS_OF_THE_STAGE,
        WHEN_TO_TAKE,
        FIRST_READY,
        TAKEN_LAST,
        DAYS_BETWEEN,
        HOW_LONG_READY,
        LIMIT,
        WHEN_SETTLED,
        POTTED_ON,
        DAYS_TO_SETTLE,
        WHEN_TO_LOOK_FIRST,
        FIRST_LOOK
    }

    private Task stick(BatchFacts k) {
        BatchView b = k.batch();
        int wait = k.outlook().callusDays();
        int least = k.outlook().callus().map(Outlook.CallusStage::least).orElse(0);
        int most = k.outlook().callus().map(Outlook.CallusStage::most).orElse(0);
        LocalDate due = b.takenOn().plusDays(wait);
        return new Task(
                Task.Kind.STICK,
                b,
                Sentence.of("task.stick", "taken", b.taken()),
                Sentence.of("task.stick.why", "ago", new Sentence.Ago(b.takenOn()), "least", least, "most", most),
                due,
                today.date().isAfter(b.takenOn().plusDays(most)),
                null,
                b.taken(),
                Working.of(
                        Statement.of(Step.WHEN_TO_STICK),
                        Statement.of(Step.CUT_ON, "day", b.takenOn()),
                        Statement.of(Step.MIDDLE_OF_THE_WAIT, "least", least, "most", most, "wait", wait, "due", due)));
    }

    private Task stage(BatchView b, StageClock clock, Protocol.Stage stage) {
        LocalDate due = clock.due().orElseThrow();
        // Whoever found pieces ready has seen what the question asks for: only the act is left.
        boolean answered = stage.when().isPresent() && !stage.startsClock() && b.earliestReady() != null;
        boolean seen = stage.when().isPresent() && !answered;
        return new Task(
                seen ? Task.Kind.ASK : Task.Kind.TEND,
                b,
                Sentence.of(seen ? question(stage.when().orElseThrow().ask()) : stage.act()),
                answered
                        ? Sentence.of("task.answered.why", "day", b.earliestReady())
                        : seen
                                ? Sentence.of(
                                        "task.ask.why",
                                        "act",
                                        Sentence.Cased.lower(stage.act()),
                                        "clock",
                                        stage.startsClock())
                                : Sentence.of(
                                        "task.tend.why", "days", stage.after().orElseThrow(), "since", clock.since()),
                due,
                !seen && today.date().isAfter(due.plusDays(DAYS_UNTIL_PRESSING)),
                null,
                b.counts().pending(),
                stage.when()
                        .map(w -> Working.of(
                                Statement.of(Step.WHEN_TO_ASK),
                                Statement.of(Step.FIRST_ASKED, "days", w.first(), "since", clock.since()),
                                Statement.of(Step.ASKED_AGAIN, "every", w.every(), "due", due)))
                        .orElseGet(() -> Working.of(
                                Statement.of(Step.WHEN_IT_IS_DUE),
                                Statement.of(Step.STAGE_BEFORE, "day", clock.since()),
                                Statement.of(
                                        Step.DAYS_OF_THE_STAGE,
                                        "days",
                                        stage.after().orElse(0),
                                        "due",
                                        due))),
                stage.key());
    }

    /** Pieces that stay and give in turn: the largest first, again after some days. */
    private Task separate(BatchFacts k, int days) {
        BatchView b = k.batch();
        LocalDate due =
                k.lastTaking() == null ? b.earliestReady() : k.lastTaking().plusDays(days);
        Object test = protocolOf(b)
                .<Object>map(p -> p.ready().test())
                .orElseGet(() -> Sentence.of("task.separate.own.roots"));
        return new Task(
                Task.Kind.SEPARATE,
                b,
                Sentence.of("task.separate", "pieces", b.readyToMove()),
                Sentence.of("task.separate.why", "test", test, "plants", b.youngPlants()),
                due,
                false,
                null,
                b.readyToMove(),
                Working.of(
                        Statement.of(Step.WHEN_TO_TAKE),
                        k.lastTaking() == null
                                ? Statement.of(Step.FIRST_READY, "day", b.earliestReady())
                                : Statement.of(Step.TAKEN_LAST, "day", k.lastTaking()),
                        Statement.of(Step.DAYS_BETWEEN, "days", days)));
    }

    private Task move(BatchView b) {
        int limit = protocolOf(b).map(p -> p.course().tooLong()).orElse(USUAL_LIMIT);
        LocalDate by = b.earliestReady().plusDays(limit);
        boolean late = today.date().isAfter(by);
        return new Task(
                Task.Kind.MOVE,
                b,
                Sentence.of("task.move", "pieces", b.readyToMove()),
                Sentence.of(late ? "task.move.late" : "task.move.why", "ready", b.earliestReady(), "by", by),
                b.earliestReady(),
                late,
                null,
                b.readyToMove(),
                Working.of(
                        Statement.of(Step.HOW_LONG_READY),
                        Statement.of(Step.FIRST_READY, "day", b.earliestReady()),
                        Statement.of(Step.LIMIT, "days", limit, "by", by)));
    }

    /** Nothing has settled before. */
    private static final int SOONEST_SETTLED = 5;

    private Task settle(BatchFacts k, PottingView p) {
        int days = Math.max(SOONEST_SETTLED, k.outlook().settleDays());
        LocalDate due = p.movedOn().plusDays(days);
        return new Task(
                Task.Kind.SETTLE,
                k.batch(),
                Sentence.of("task.settle", "plants", p.maySettle()),
                Sentence.of("task.settle.why", "ago", new Sentence.Ago(p.movedOn()), "days", days),
                due,
                false,
                p.id(),
                p.maySettle(),
                Working.of(
                        Statement.of(Step.WHEN_SETTLED),
                        Statement.of(Step.POTTED_ON, "day", p.movedOn()),
                        Statement.of(Step.DAYS_TO_SETTLE, "days", days, "due", due)));
    }

    private Task look(BatchFacts k) {
        BatchView b = k.batch();
        Protocol.Looks looks = protocolOf(b).map(p -> p.course().looks()).orElse(USUAL_LOOKS);
        double slower = b.season().slower();
        int age = b.age(today.date());
        Working working;
        int day;
        Sentence why;
        if (k.now().isEmpty()) {
            day = (int) Math.round(looks.first() * slower);
            why = Sentence.of(
                    "task.look.first.why",
                    "age",
                    age,
                    "day",
                    day,
                    "how",
                    Sentence.Cased.upper(looks.kind().in(b.way().medium())));
            working = Working.of(
                    Statement.of(Step.WHEN_TO_LOOK_FIRST),
                    Statement.of(Step.FIRST_LOOK, "first", looks.first(), "slower", slower, "day", day));
        } else {
            NextLook next = NextLook.of(k.now().get(), k.seen(), looks.least(), looks.most());
            day = next.day();
            why = next.isWorthIt()
                    ? Sentence.of(
                            "task.look.why",
                            "age",
                            age,
                            "seen",
                            Math.min(k.seen(), age),
                            "day",
                            day,
                            "inTen",
                            Math.max(1, Math.round(10 * next.chance())))
                    : Sentence.of(
                            "task.look.longest.why",
                            "age",
                            age,
                            "seen",
                            Math.min(k.seen(), age),
                            "day",
                            day,
                            "inAHundred",
                            Math.round(100 * next.chance()),
                            "most",
                            looks.most());
            if (!next.isWorthIt() && day >= k.expected().ready().window().d10()) {
                why = inWindow(k, age, next);
            }
            working = next.working();
        }
        LocalDate due = b.dayZero().plusDays(day);
        boolean overdue = today.date().isAfter(due.plusDays(looks.most()));
        return new Task(
                Task.Kind.LOOK,
                b,
                Sentence.of("task.look", "pieces", b.counts().pending()),
                why,
                due,
                overdue,
                null,
                b.counts().pending(),
                working);
    }

    /** Inside its window or past it, nobody is told that nothing is to be expected. */
    private Sentence inWindow(BatchFacts k, int age, NextLook next) {
        Window window = k.expected().ready().window();
        return Sentence.of(
                "task.look.window.why",
                "age",
                age,
                "seen",
                Math.min(k.seen(), age),
                "from",
                Math.round(window.d10()),
                "to",
                Math.round(window.d90()),
                "past",
                age > window.d90(),
                "day",
                next.day(),
                "inAHundred",
                Math.round(100 * next.chance()));
    }

    private Task giveUp(BatchFacts k, GiveUp stalled) {
        BatchView b = k.batch();
        int firm = b.progress().seen().firmPending();
        return new Task(
                Task.Kind.GIVE_UP,
                b,
                Sentence.of("task.give.up", "pieces", stalled.pieces()),
                Sentence.of(
                        "task.give.up.why",
                        "day",
                        stalled.lastLook(),
                        "inAHundred",
                        Math.round(100 * stalled.chance()),
                        "others",
                        stalled.waiting() - stalled.pieces(),
                        "firm",
                        firm,
                        "allFirm",
                        firm == b.counts().pending()),
                b.lastKnowingLook(),
                false,
                null,
                stalled.pieces(),
                stalled.working());
    }

    /** The question alone: what follows it is what to do then. */
    private static Prose question(Prose ask) {
        return ask.untilFirst('?');
    }
}
