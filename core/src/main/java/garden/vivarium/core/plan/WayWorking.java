package garden.vivarium.core.plan;

import garden.vivarium.core.Text;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.timing.Season;
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

    /** How the number to take came about. */
    public static Working take(WayPlan plan) {
        Aim aim = plan.aim();
        Outlook outlook = plan.outlook();
        LocalDate start = plan.start();
        List<Working.Step> steps = new ArrayList<>();
        long days = plan.daysToReady(start);
        steps.add(Working.step(
                "Young plants wanted" + (aim.piecesPerPot() > 1 ? ", several pieces to a pot" : ""),
                "%d × %d = %d rooted pieces".formatted(aim.youngPlants(), aim.piecesPerPot(), aim.pieces())));
        steps.add(Working.step(
                "Days from the day stuck to the day due, less callus and settling",
                "%d − %d − %d = %d days"
                        .formatted(
                                ChronoUnit.DAYS.between(start, aim.due()),
                                outlook.callusDays(),
                                outlook.settleDays(),
                                days)));
        if (!plan.isInSeason()) {
            Season s = outlook.season();
            steps.add(Working.step(
                    "Out of season: slower and poorer",
                    Text.of(
                            "the guide’s times × %.1f and rate × %.2f, and what batches of that season did",
                            s.slower(), s.poorer())));
        }
        NextBatch rate = outlook.nextBatch(plan.season());
        RootingTime time = plan.season().ready();
        steps.add(Working.step(
                "Rate of one batch, with callus and settling",
                Text.of(
                        "%.0f%%, nine times in ten %.0f%% to %.0f%%",
                        100 * rate.mean(), 100 * rate.quantile(0.05), 100 * rate.quantile(0.95))));
        steps.add(Working.step(
                "Of those that become ready, there in time: unsure of the way, of the batch, of the piece",
                Text.of(
                        "Φ((ln %d − %.2f) ÷ √(%.2f² + %.2f² + %.2f²)) = %.0f%%",
                        Math.max(days, 0),
                        time.mu(),
                        Math.sqrt(time.unsure()),
                        time.tau(),
                        time.within(),
                        100 * time.by(days))));
        if (!outlook.output().isOne()) {
            steps.add(Working.step(
                    "A ready piece gives on average",
                    Text.of(
                            "%.2f young plants, as %s",
                            outlook.output().mean(), chances(outlook.output().chances()))));
        }
        steps.add(plan.take()
                .map(t -> Working.step(
                        Text.of("The least number whose chance of enough is %.0f%% or more", 100 * aim.confidence()),
                        Text.of(
                                "take %d: %.1f%%; take %d: %.1f%%",
                                t.pieces(), 100 * t.chance(), t.pieces() - 1, 100 * plan.chance(t.pieces() - 1))))
                .orElseGet(() -> Working.step(
                        "No number of pieces gives that chance in the time left",
                        Text.of(
                                "%d pieces: %.1f%%",
                                TakeCount.most(plan.aim().pieces()),
                                100 * plan.chance(TakeCount.most(plan.aim().pieces()))))));
        plan.take()
                .filter(TakeCount::isScaled)
                .ifPresent(t -> steps.add(Working.step(
                        Text.of("So large an aim is solved for %,d and scaled", TakeCount.SOLVED),
                        Text.of("⌈%,d × n ÷ %,d⌉ = %,d", aim.pieces(), TakeCount.SOLVED, t.pieces()))));
        return new Working("How many to take", steps);
    }

    /** How the last safe start came about. */
    public static Working lastSafeStart(WayPlan plan) {
        int most = plan.piecesAtMost();
        Working.Step bound = Working.step(
                plan.isStockCounted()
                        ? "All that the stock can give now"
                        : "What the stock can give is not known: twice what would do with unlimited time stands for it",
                "%d pieces".formatted(most));
        if (plan.lastSafeStart().isEmpty()) {
            return Working.of(
                    "The last safe day to start",
                    bound,
                    Working.step(
                            "Even starting on the day planned does not reach the chance asked",
                            Text.of(
                                    "%.0f%% of %.0f%%",
                                    100 * plan.chance(most), 100 * plan.aim().confidence())));
        }
        LocalDate last = plan.lastSafeStart().get();
        LocalDate next = last.plusDays(1);
        return Working.of(
                "The last safe day to start",
                bound,
                Working.step("Started on %s, their chance is".formatted(last), percent(plan.chance(last, most))),
                Working.step("A day later it would be", percent(plan.chance(next, most))));
    }

    private record Change(String says, Optional<Integer> take) {}

    /** What a few changes, one at a time, would make of the number to take; the greatest change first. */
    public static Working changes(WayPlan plan) {
        Setting setting = plan.setting();
        Aim aim = plan.aim();
        Outlook outlook = plan.outlook();
        List<Change> changes = new ArrayList<>();
        changes.add(
                new Change("A week more", take(outlook, setting, plan, aim.due().plusDays(7), aim.confidence())));
        changes.add(new Change(
                "Five in a hundred more that strike",
                take(outlook.with(WayWorking::better), setting, plan, aim.due(), aim.confidence())));
        changes.add(new Change(
                "Batches that differed half as much",
                take(outlook.with(s -> s.withRho(s.rho() / 2)), setting, plan, aim.due(), aim.confidence())));
        changes.add(new Change(
                "As much known again of this way",
                take(
                        outlook.with(s -> s.withBeta(2 * s.alpha(), 2 * s.beta())),
                        setting,
                        plan,
                        aim.due(),
                        aim.confidence())));
        changes.add(new Change(
                "Ten in a hundred less sure",
                take(outlook, setting, plan, aim.due(), Math.max(0.5, aim.confidence() - 2 * FIVE_IN_A_HUNDRED))));
        int now = plan.take()
                .map(TakeCount::pieces)
                .orElse(TakeCount.most(plan.aim().pieces()));
        changes.sort(Comparator.comparingInt(
                c -> c.take().orElse(TakeCount.most(plan.aim().pieces()))));
        return new Working(
                "What would change it most",
                changes.stream()
                        .map(c -> Working.step(
                                c.says(),
                                c.take()
                                        .map(t -> plan.take().isPresent()
                                                ? "%d instead of %d".formatted(t, now)
                                                : "%d would do".formatted(t))
                                        .orElse("still no number would do")))
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
                .map(TakeCount::pieces);
    }

    private static String percent(double chance) {
        return Text.of("%.1f%%", 100 * chance);
    }

    private static String chances(List<Double> chances) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < chances.size(); i++) {
            text.append(i == 0 ? "" : ", ").append(i + 1).append(": ").append(Text.of("%.0f%%", 100 * chances.get(i)));
        }
        return text.toString();
    }
}
