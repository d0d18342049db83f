package garden.vivarium.app.outcome;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.bench.FinishedBatches;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.plan.Calibration;
import garden.vivarium.core.plan.Hunches;
import garden.vivarium.core.plan.ReadyByDay;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was planned, expected and guessed, beside what came. */
@Service
class Outcomes {

    private static final double[] LEVELS = {0.5, 0.8, 0.9, 0.95};

    private final Plans plans;
    private final FinishedBatches finished;
    private final Today today;

    Outcomes(Plans plans, FinishedBatches finished, Today today) {
        this.plans = plans;
        this.finished = finished;
        this.today = today;
    }

    /**
     * A plan whose day has come, or whose batches are over.
     *
     * @param plan the plan, or the first of a split
     * @param take pieces taken in all
     * @param came young plants there by the day due, as far as looks tell, on average where they do not tell the day
     * @param met the chance that that was enough: 1 or 0 where looks tell; empty where nobody has looked since
     */
    record Outcome(PlanView plan, int take, double came, OptionalDouble met) {

        /** Whether it can be told. */
        public boolean isKnown() {
            return met.isPresent();
        }

        /** Whether it was rather not met. */
        public boolean isUnlikely() {
            return met.orElse(1) < 0.5;
        }

        /** Whether it was met, in a word or with its chance. */
        public String words() {
            return Messages.text("Outcomes.met", "looked", isKnown(), "inAHundred", Math.round(100 * met.orElse(0)));
        }
    }

    /**
     * A batch with a hunch.
     *
     * @param batch the batch
     * @param reckoned how many were to be expected
     */
    record Guessed(BatchView batch, long reckoned) {}

    /**
     * Batches that are over, judged at each chance: how often as many pieces as were sure by it became ready.
     *
     * @param fromOwn whether batches of this nursery stood behind what was expected
     * @param batches how many
     * @param levels one for each chance
     */
    record Judged(boolean fromOwn, int batches, List<Calibration> levels) {

        /** Whether everything that was said held. */
        public boolean held() {
            return levels.stream().noneMatch(c -> c.saidTooMuch() || c.saidTooLittle());
        }
    }

    /**
     * All of it.
     *
     * @param plans finished plans, the last due first
     * @param ofPlans how often the aim was met, beside the chance said; empty while no plan has come to its day
     * @param judged batches that are over, those first that had batches of this nursery behind them
     * @param hunches hunches against the reckoning; empty while nobody has guessed
     * @param guessed the batches behind them, the last first
     */
    record Book(
            List<Outcome> plans,
            Optional<Calibration> ofPlans,
            List<Judged> judged,
            Optional<Hunches> hunches,
            List<Guessed> guessed) {}

    @Transactional(readOnly = true)
    Book book() {
        List<Outcome> outcomes = outcomes();
        List<Outcome> told = outcomes.stream().filter(Outcome::isKnown).toList();
        List<FinishedBatches.FinishedBatch> over = finished.last();
        List<Judged> judged = new ArrayList<>();
        for (boolean own : new boolean[] {true, false}) {
            List<FinishedBatches.FinishedBatch> these =
                    over.stream().filter(o -> o.fromOwn() == own).toList();
            if (!these.isEmpty()) {
                judged.add(judge(own, these));
            }
        }
        List<FinishedBatches.FinishedBatch> guessed =
                over.stream().filter(o -> o.batch().guess().hunch() != null).toList();
        return new Book(
                outcomes,
                told.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Calibration.of(
                                told.stream()
                                        .mapToDouble(o -> o.plan().aim().confidence())
                                        .average()
                                        .orElseThrow(),
                                told.stream()
                                        .map(o -> new Calibration.Forecast(
                                                o.plan().start().chance(),
                                                o.met().getAsDouble()))
                                        .toList())),
                judged,
                guessed.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Hunches.of(guessed.stream()
                                .map(o -> new Hunches.Guess(
                                        o.batch().stuck(),
                                        o.batch().guess().hunch(),
                                        o.expected().mean(),
                                        o.batch().counts().ready()))
                                .toList())),
                guessed.stream()
                        .map(o -> new Guessed(o.batch(), Math.round(o.expected().mean())))
                        .toList());
    }

    private static Judged judge(boolean own, List<FinishedBatches.FinishedBatch> these) {
        List<Calibration> levels = new ArrayList<>();
        for (double level : LEVELS) {
            levels.add(Calibration.of(
                    level,
                    these.stream()
                            .map(o -> {
                                int sure = o.expected().surely(level);
                                return Calibration.Forecast.of(
                                        o.expected().atLeast(sure),
                                        o.batch().counts().ready() >= sure);
                            })
                            .toList()));
        }
        return new Judged(own, these.size(), levels);
    }

    private List<Outcome> outcomes() {
        Map<UUID, List<PlanView>> aims = new LinkedHashMap<>();
        plans.stuck()
                .forEach(p -> aims.computeIfAbsent(
                                p.standing().splitId() == null
                                        ? p.id()
                                        : p.standing().splitId(),
                                k -> new ArrayList<>())
                        .add(p));
        Map<String, FinishedBatches.Grown> batches = finished.grown(aims.values().stream()
                .flatMap(List::stream)
                .map(p -> p.standing().batchCode())
                .toList());
        List<Outcome> outcomes = new ArrayList<>();
        for (List<PlanView> aim : aims.values()) {
            List<FinishedBatches.Grown> grown = aim.stream()
                    .map(p -> batches.get(p.standing().batchCode()))
                    .filter(Objects::nonNull)
                    .toList();
            LocalDate due = aim.get(0).aim().due();
            boolean over = grown.size() == aim.size()
                    && grown.stream().allMatch(b -> b.batch().closedOn() != null);
            if (over || due.isBefore(today.date())) {
                outcomes.add(outcome(aim, grown, due));
            }
        }
        outcomes.sort(Comparator.comparing((Outcome o) -> o.plan().aim().due()).reversed());
        return outcomes;
    }

    private static Outcome outcome(List<PlanView> aim, List<FinishedBatches.Grown> grown, LocalDate due) {
        ReadyByDay there =
                grown.stream().map(b -> b.youngPlantsBy(due)).reduce(new ReadyByDay(Supply.none(), 0), ReadyByDay::and);
        int wanted = aim.get(0).aim().youngPlants();
        return new Outcome(
                aim.get(0),
                aim.stream().mapToInt(p -> p.start().take()).sum(),
                there.ready().mean(),
                there.isKnown(wanted) ? OptionalDouble.of(there.atLeast(wanted)) : OptionalDouble.empty());
    }
}
