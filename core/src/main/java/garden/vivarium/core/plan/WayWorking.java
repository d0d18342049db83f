package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** How the numbers of a {@link WayPlan} came about, step by step, as the margin shows it. */
public final class WayWorking {

    private static final double FIVE_IN_A_HUNDRED = 0.05;

    private WayWorking() {}

    /** Questions and steps of these workings. */
    public enum Step implements Rule {
        /** How many to take. */
        HOW_MANY,
        /** {@code wanted} × {@code perPot} = {@code pieces} rooted pieces. */
        WANTED,
        /** {@code whole} days to the day due less {@code callus} and {@code settling}: {@code left}. */
        DAYS_LEFT,
        /** The guide's times × {@code slower} and its rate × {@code poorer}. */
        OUT_OF_SEASON,
        /** The next batch's rate: {@code mean}, nine times in ten {@code low} to {@code high}. */
        RATE,
        /** Of those that become ready, the share there in time: Φ of ({@code days}, {@code mu}, {@code unsure}, {@code tau}, {@code within}). */
        IN_TIME,
        /** {@code mean} young plants of a ready piece, as {@code chances}. */
        YOUNG_PLANTS,
        /** The least number whose chance is {@code asked}: {@code take} with {@code chance}, one fewer with {@code fewer}. */
        LEAST,
        /** No number has that chance: {@code most} have {@code chance}. */
        NONE,
        /** An aim of {@code aim} is solved for {@code solved} and scaled to {@code take}. */
        SCALED,
        /** The last safe day to start. */
        LAST_SAFE_START,
        /** {@code most} pieces that the stock can give. */
        ALL_OF_THE_STOCK,
        /** {@code most} pieces where nobody knows what the stock can give. */
        STOCK_NOT_KNOWN,
        /** Even on the day planned: {@code chance} of {@code asked}. */
        NEVER_SAFE,
        /** Started on {@code day}: {@code chance}. */
        STARTED_ON,
        /** A day later: {@code chance}. */
        A_DAY_LATER,
        /** What would change the number most; each of the following with {@code take} (0 for none) and {@code now}, whether one was {@code known}. */
        WHAT_WOULD_CHANGE,
        A_WEEK_MORE,
        FIVE_MORE_STRIKE,
        HALF_THE_SPREAD,
        TWICE_KNOWN,
        TEN_LESS_SURE
    }

    /** How the number to take came about. */
    public static Working take(WayPlan plan) {
        Aim aim = plan.aim();
        Outlook outlook = plan.outlook();
        LocalDate start = plan.start();
        List<Statement> steps = new ArrayList<>();
        long days = plan.daysToReady(start);
        steps.add(Statement.of(
                Step.WANTED, "wanted", aim.youngPlants(), "perPot", aim.piecesPerPot(), "pieces", aim.pieces()));
        steps.add(Statement.of(
                Step.DAYS_LEFT,
                "whole",
                ChronoUnit.DAYS.between(start, aim.due()),
                "callus",
                outlook.callusDays(),
                "settling",
                outlook.settleDays(),
                "left",
                days));
        if (!plan.isInSeason()) {
            SeasonFactors s = outlook.factors(plan.setting(), start);
            steps.add(Statement.of(Step.OUT_OF_SEASON, "slower", s.slower(), "poorer", s.poorer()));
        }
        NextBatch rate = outlook.nextBatch(plan.season());
        steps.add(
                Statement.of(Step.RATE, "mean", rate.mean(), "low", rate.quantile(0.05), "high", rate.quantile(0.95)));
        RootingTime time = plan.season().ready();
        steps.add(Statement.of(
                Step.IN_TIME,
                "days",
                Math.max(days, 0),
                "mu",
                time.mu(),
                "unsure",
                Math.sqrt(time.unsure()),
                "tau",
                time.tau(),
                "within",
                time.within(),
                "share",
                time.by(days)));
        if (!outlook.output().isOne()) {
            steps.add(Statement.of(
                    Step.YOUNG_PLANTS,
                    "mean",
                    outlook.output().mean(),
                    "chances",
                    outlook.output().chances()));
        }
        steps.add(leastThatDoes(plan));
        plan.take()
                .filter(TakeCount::isScaled)
                .ifPresent(t -> steps.add(Statement.of(
                        Step.SCALED, "solved", TakeCount.SOLVED, "aim", aim.pieces(), "take", t.pieces())));
        return new Working(
                Statement.of(
                        Step.HOW_MANY,
                        "take",
                        plan.take().map(TakeCount::pieces).orElse(0),
                        "wanted",
                        aim.youngPlants(),
                        "due",
                        aim.due(),
                        "chance",
                        plan.take().map(TakeCount::chance).orElse(0.0)),
                steps);
    }

    private static Statement leastThatDoes(WayPlan plan) {
        int most = plan.tooSoon()
                .map(WayPlan.TooSoon::most)
                .orElseGet(() -> TakeCount.most(plan.aim().pieces()));
        return plan.take()
                .map(t -> Statement.of(
                        Step.LEAST,
                        "asked",
                        plan.aim().confidence(),
                        "take",
                        t.pieces(),
                        "chance",
                        t.chance(),
                        "less",
                        t.pieces() - 1,
                        "fewer",
                        plan.chance(t.pieces() - 1)))
                .orElseGet(() -> Statement.of(Step.NONE, "most", most, "chance", plan.chance(most)));
    }

    /** How the last safe start came about. */
    public static Working lastSafeStart(WayPlan plan) {
        int most = plan.piecesAtMost();
        Statement question = Statement.of(
                Step.LAST_SAFE_START,
                "possible",
                plan.lastSafeStart().isPresent(),
                "day",
                plan.lastSafeStart().orElse(plan.start()),
                "asked",
                plan.aim().confidence());
        Statement bound =
                Statement.of(plan.isStockCounted() ? Step.ALL_OF_THE_STOCK : Step.STOCK_NOT_KNOWN, "most", most);
        if (plan.lastSafeStart().isEmpty()) {
            return Working.of(
                    question,
                    bound,
                    Statement.of(
                            Step.NEVER_SAFE,
                            "chance",
                            plan.chance(most),
                            "asked",
                            plan.aim().confidence()));
        }
        LocalDate last = plan.lastSafeStart().get();
        return Working.of(
                question,
                bound,
                Statement.of(Step.STARTED_ON, "day", last, "chance", plan.chance(last, most)),
                Statement.of(Step.A_DAY_LATER, "chance", plan.chance(last.plusDays(1), most)));
    }

    private record Change(Step what, Optional<Integer> take) {}

    /** What a few changes, one at a time, would make of the number to take; the greatest change first. */
    public static Working changes(WayPlan plan) {
        Setting setting = plan.setting();
        Aim aim = plan.aim();
        Outlook outlook = plan.outlook();
        List<Change> changes = new ArrayList<>();
        changes.add(new Change(
                Step.A_WEEK_MORE, take(outlook, setting, plan, aim.due().plusDays(7), aim.confidence())));
        changes.add(new Change(
                Step.FIVE_MORE_STRIKE,
                take(outlook.with(WayWorking::better), setting, plan, aim.due(), aim.confidence())));
        changes.add(new Change(
                Step.HALF_THE_SPREAD,
                take(outlook.with(s -> s.withRho(s.rho() / 2)), setting, plan, aim.due(), aim.confidence())));
        changes.add(new Change(
                Step.TWICE_KNOWN,
                take(
                        outlook.with(s -> s.withBeta(2 * s.alpha(), 2 * s.beta())),
                        setting,
                        plan,
                        aim.due(),
                        aim.confidence())));
        changes.add(new Change(
                Step.TEN_LESS_SURE,
                take(outlook, setting, plan, aim.due(), Math.max(0.5, aim.confidence() - 2 * FIVE_IN_A_HUNDRED))));
        int most = TakeCount.most(plan.aim().pieces());
        int now = plan.take().map(TakeCount::pieces).orElse(most);
        changes.sort(Comparator.comparingInt(c -> c.take().orElse(most)));
        return new Working(
                Statement.of(Step.WHAT_WOULD_CHANGE),
                changes.stream()
                        .map(c -> Statement.of(
                                c.what(),
                                "take",
                                c.take().orElse(0),
                                "now",
                                now,
                                "known",
                                plan.take().isPresent()))
                        .toList());
    }

    private static StrikeRate better(StrikeRate strike) {
        double strength = strike.alpha() + strike.beta();
        double mean = Math.min(0.99, strike.mean() + FIVE_IN_A_HUNDRED);
        return strike.withBeta(mean * strength, (1 - mean) * strength);
    }

    private static Optional<Integer> take(
            Outlook outlook, Setting setting, WayPlan plan, LocalDate due, double confidence) {
        return TakeCount.least(
                        outlook.readyBy(setting, plan.start(), due),
                        outlook.output(),
                        plan.aim().pieces(),
                        confidence)
                .map(TakeCount::pieces)
                .filter(n -> n <= plan.enough());
    }
}
