package garden.vivarium.app.bench;

import garden.vivarium.app.batch.AsKnown;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.Text;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.watch.Behind;
import garden.vivarium.core.watch.GiveUp;
import garden.vivarium.core.watch.NextLook;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** What a batch needs, and when: it puts the core's rules of watching to one batch. */
@Component
class TaskFinder {

    private static final Protocol.Looks USUAL_LOOKS = new Protocol.Looks(10, 4, 21, LookKind.LIFTED);
    private static final int USUAL_LIMIT = 30;
    private static final int DAYS_UNTIL_PRESSING = 7;

    private final GuideLookup lookup;
    private final Says says;
    private final Today today;
    private final Map<UUID, Judgement> judged = new ConcurrentHashMap<>();

    TaskFinder(GuideLookup lookup, Says says, Today today) {
        this.lookup = lookup;
        this.says = says;
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
        k.unsettled().forEach(p -> tasks.add(settle(k, p)));
        if (b.counts().pending() > 0) {
            Optional<GiveUp> stalled = k.now().map(GiveUp::of).filter(g -> g.pieces() > 0);
            stalled.ifPresent(g -> tasks.add(giveUp(k, g)));
            if (stalled.isEmpty() || !stalled.get().isAll()) {
                tasks.add(look(k));
            }
        }
        return tasks;
    }

    /** Whether it is known already if a batch is behind, so that its looks need not be read again. */
    boolean isJudged(BatchView batch) {
        Judgement held = judged.get(batch.id());
        return held != null && held.changes() == batch.changes();
    }

    /**
     * Whether the batch is behind its usual, judged at each look that could know; empty before the first. It is dear to reckon
     * and follows from its looks and from what was expected when it was stuck alone, so it is kept until the batch changes.
     *
     * @param known asked only where it is not judged yet
     */
    Optional<Behind> behind(BatchView batch, Outlook outlook, Supplier<AsKnown> known) {
        return judged.compute(
                        batch.id(),
                        (id, held) -> held != null && held.changes() == batch.changes()
                                ? held
                                : new Judgement(batch.changes(), judge(outlook.in(batch.season()), known.get())))
                .behind();
    }

    private record Judgement(int changes, Optional<Behind> behind) {}

    private static Optional<Behind> judge(SeasonOutlook expected, AsKnown known) {
        return Behind.of(expected.prior(), expected.firstSignPrior(), known.ready(), known.firstSign());
    }

    private Optional<Protocol> protocolOf(BatchView b) {
        return lookup.protocol(b.protocol(), b.protocolVersion(), b.way());
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
                "Stick what has callused of %d".formatted(b.taken()),
                "Cut %s; wounds are dry after %d to %d days. Dry and hard to the touch? Then stick."
                        .formatted(says.away(b.takenOn()), least, most),
                due,
                today.date().isAfter(b.takenOn().plusDays(most)),
                null,
                b.taken(),
                Working.of(
                        "When to stick",
                        Working.step("Cut on", says.day(b.takenOn())),
                        Working.step(
                                "The middle of the protocol's wait",
                                "(%d + %d) ÷ 2 = %d days: %s".formatted(least, most, wait, says.day(due)))));
    }

    private Task stage(BatchView b, StageClock clock, Protocol.Stage stage) {
        LocalDate due = clock.due().orElseThrow();
        boolean seen = stage.when().isPresent();
        String held = stage.startsClock() ? " Until it wakes no day is counted." : "";
        return new Task(
                seen ? Task.Kind.ASK : Task.Kind.TEND,
                b,
                stage.when().map(w -> question(w.ask())).orElse(stage.act()),
                stage.when()
                        .map(w -> "If so: %s.%s".formatted(uncapital(stage.act()), held))
                        .orElseGet(() ->
                                "%d days after %s.".formatted(stage.after().orElseThrow(), says.day(clock.since()))),
                due,
                !seen && today.date().isAfter(due.plusDays(DAYS_UNTIL_PRESSING)),
                null,
                b.counts().pending(),
                stage.when()
                        .map(w -> Working.of(
                                "When to ask",
                                Working.step(
                                        "It waits to be seen, whatever the day; first asked",
                                        "%d days after %s".formatted(w.first(), says.day(clock.since()))),
                                Working.step(
                                        "After each “not yet”, again",
                                        "every %d days: %s".formatted(w.every(), says.day(due)))))
                        .orElseGet(() -> Working.of(
                                "When it is due",
                                Working.step("The stage before it ended on", says.day(clock.since())),
                                Working.step(
                                        "Plus the protocol's days",
                                        "%d: %s".formatted(stage.after().orElse(0), says.day(due))))),
                stage.key());
    }

    /** Pieces that stay and give in turn: the largest first, again after some days. */
    private Task separate(BatchFacts k, int days) {
        BatchView b = k.batch();
        LocalDate due =
                k.lastTaking() == null ? b.earliestReady() : k.lastTaking().plusDays(days);
        String test = protocolOf(b).map(p -> p.ready().test()).orElse("roots of their own");
        return new Task(
                Task.Kind.SEPARATE,
                b,
                "Take young plants from %s".formatted(says.count(b.readyToMove(), "piece", "pieces")),
                "The largest first: %s. The pieces stay and give again%s."
                        .formatted(
                                test,
                                b.youngPlants() > 0
                                        ? "; %s so far"
                                                .formatted(says.count(b.youngPlants(), "young plant", "young plants"))
                                        : ""),
                due,
                false,
                null,
                b.readyToMove(),
                Working.of(
                        "When to take",
                        k.lastTaking() == null
                                ? Working.step("The first was seen ready on", says.day(b.earliestReady()))
                                : Working.step("Taken last on", says.day(k.lastTaking())),
                        Working.step("Days between takings, as the protocol has it", days + " days")));
    }

    private Task move(BatchView b) {
        int limit = protocolOf(b).map(p -> p.course().tooLong()).orElse(USUAL_LIMIT);
        LocalDate by = b.earliestReady().plusDays(limit);
        boolean late = today.date().isAfter(by);
        return new Task(
                Task.Kind.MOVE,
                b,
                "Move %s".formatted(says.count(b.readyToMove(), "ready piece", "ready pieces")),
                late
                        ? "Too long: the first was ready by %s, and should have moved by %s. Roots tangle and break."
                                .formatted(says.day(b.earliestReady()), says.day(by))
                        : "The first was ready by %s; move by %s.".formatted(says.day(b.earliestReady()), says.day(by)),
                b.earliestReady(),
                late,
                null,
                b.readyToMove(),
                Working.of(
                        "How long ready pieces may stand",
                        Working.step("The first was seen ready on", says.day(b.earliestReady())),
                        Working.step(
                                "Plus the protocol's limit", "%d days: move by %s".formatted(limit, says.day(by)))));
    }

    private Task settle(BatchFacts k, PottingView p) {
        int days = Math.max(1, k.outlook().settleDays());
        LocalDate due = p.movedOn().plusDays(days);
        return new Task(
                Task.Kind.SETTLE,
                k.batch(),
                "Have %s settled?".formatted(says.count(p.youngPlants(), "young plant", "young plants")),
                "Potted %s; after %d days they should hold and grow.".formatted(says.away(p.movedOn()), days),
                due,
                false,
                p.id(),
                p.youngPlants(),
                Working.of(
                        "When they should have settled",
                        Working.step("Potted on", says.day(p.movedOn())),
                        Working.step("Plus the protocol's days", "%d: %s".formatted(days, says.day(due)))));
    }

    private Task look(BatchFacts k) {
        BatchView b = k.batch();
        Protocol.Looks looks = protocolOf(b).map(p -> p.course().looks()).orElse(USUAL_LOOKS);
        double slower = b.season().slower();
        int first = (int) Math.round(looks.first() * slower);
        int age = b.age(today.date());
        Working working;
        int day;
        String why;
        if (k.now().isEmpty()) {
            day = first;
            why = "Day %d; the first look is due on day %d. %s."
                    .formatted(age, day, capital(looks.kind().words()));
            working = Working.of(
                    "When to look first",
                    Working.step(
                            slower > 1 ? "The protocol's day, slower out of season" : "The protocol's day",
                            Text.of("%d × %.1f = day %d", looks.first(), slower, day)));
        } else {
            NextLook next = NextLook.of(k.now().get(), k.seen(), looks.least(), looks.most());
            day = next.day();
            why = next.isWorthIt()
                    ? "Day %d; last seen on day %d. By day %d, %s in ten still waiting should have become ready, by how this batch has gone."
                            .formatted(age, k.seen(), day, Math.max(1, Math.round(10 * next.chance())))
                    : "Day %d; last seen on day %d. By day %d, %s; %d days without a look is enough."
                            .formatted(age, k.seen(), day, fewAreReady(next.chance()), looks.most());
            working = next.working();
        }
        LocalDate due = b.dayZero().plusDays(day);
        boolean overdue = today.date().isAfter(due.plusDays(looks.most()));
        return new Task(
                Task.Kind.LOOK,
                b,
                "Look at %s".formatted(says.count(b.counts().pending(), "piece", "pieces")),
                why,
                due,
                overdue,
                null,
                b.counts().pending(),
                working);
    }

    private static String fewAreReady(double chance) {
        long inAHundred = Math.round(100 * chance);
        return inAHundred < 1
                ? "less than one in a hundred still waiting is reckoned to be ready"
                : "%d in a hundred still waiting are reckoned to be ready".formatted(inAHundred);
    }

    private Task giveUp(BatchFacts k, GiveUp stalled) {
        BatchView b = k.batch();
        String firm = b.progress().seen().firmPending() > 0
                ? " But %s last felt firm: lift one before you write them off."
                        .formatted(
                                b.progress().seen().firmPending() == b.counts().pending()
                                        ? "all"
                                        : b.progress().seen().firmPending() + " of them")
                : "";
        String others = stalled.isAll()
                ? ""
                : " The other %s may still come."
                        .formatted(says.count(stalled.waiting() - stalled.pieces(), "piece", "pieces"));
        return new Task(
                Task.Kind.GIVE_UP,
                b,
                "Give up %s?".formatted(says.count(stalled.pieces(), "piece", "pieces")),
                "Nothing by day %d; by how this batch has gone, %s of such pieces would ever be ready.%s%s"
                        .formatted(stalled.lastLook(), share(stalled.chance()), others, firm),
                b.lastKnowingLook(),
                false,
                null,
                stalled.pieces(),
                stalled.working());
    }

    private static String share(double chance) {
        long inAHundred = Math.round(100 * chance);
        return inAHundred < 1 ? "less than one in a hundred" : inAHundred + " in a hundred";
    }

    /** The question alone: what follows it is what to do then. */
    private static String question(String ask) {
        return ask.contains("?") ? ask.substring(0, ask.indexOf('?') + 1) : ask + "?";
    }

    private static String uncapital(String words) {
        return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
