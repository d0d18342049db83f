package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.looks.LossCause;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What was lost: by cause, by week after sticking, by place and by way, and what to check first.
 *
 * @param pieces lost in all
 * @param byCause the most first
 * @param byWeek weeks since sticking, by the middle between the look before and the one that found them
 * @param byPlace the most first
 * @param byWay the most first
 * @param check what to look at first, the most pieces first
 */
public record Losses(
        int pieces,
        List<Cause> byCause,
        List<Week> byWeek,
        List<Where> byPlace,
        List<Where> byWay,
        List<Statement> check) {

    private static final double WORTH_SAYING = 0.1;

    /** Losses from this week on are told together. */
    private static final int LATE = 13;

    /** So many pieces lost for a cause. */
    public record Cause(LossCause cause, int pieces, int batches) {}

    /** So many lost in a week after sticking, 1 and up; the last stands for it and all later ones. */
    public record Week(int week, Map<LossCause, Integer> causes) {

        /** Whether it stands for all later ones too. */
        public boolean isLate() {
            return week == LATE;
        }

        /** Pieces in all. */
        public int pieces() {
            return causes.values().stream().mapToInt(n -> n).sum();
        }
    }

    /**
     * A place, or a way.
     *
     * @param pieces lost
     * @param stuck pieces of all batches looked at there; 0 where it is not known
     * @param most the cause of most
     * @param share of those lost
     */
    public record Where(String name, int pieces, int stuck, LossCause most, double share) {

        /** Share of what was stuck that was lost; 0 where that is not known. */
        public double lost() {
            return stuck == 0 ? 0 : Math.min(1, pieces / (double) stuck);
        }
    }

    /** What to check first, by cause: what growers look at, in the order of what is cheapest to see. */
    public enum Check implements Rule {
        /** Rot in the first two weeks: ends, knife, water at the end, hormone too strong. */
        ROT_EARLY,
        /** Rot later: too wet, too cold, stale air. */
        ROT_LATE,
        /** Dried: lid, mist, sun, soft pieces taken at noon. */
        DRIED,
        PEST,
        DAMAGE,
        /** Never went on: too cold, too old, too dark. */
        STALLED,
        /** Most causes were never said. */
        UNSAID
    }

    /**
     * Sums up.
     *
     * @param stuckAt pieces stuck of all batches looked at in the time, by place
     * @param stuckBy the same by way
     */
    public static Losses of(Collection<LossEvent> losses, Map<String, Integer> stuckAt, Map<String, Integer> stuckBy) {
        int pieces = losses.stream().mapToInt(LossEvent::pieces).sum();
        List<Cause> byCause = losses.stream().collect(Collectors.groupingBy(LossEvent::cause)).entrySet().stream()
                .map(e -> new Cause(e.getKey(), sum(e.getValue()), (int)
                        e.getValue().stream().map(LossEvent::batch).distinct().count()))
                .sorted(Comparator.comparingInt(Cause::pieces).reversed())
                .toList();
        Map<Integer, Map<LossCause, Integer>> weeks = new TreeMap<>();
        losses.forEach(l -> weeks.computeIfAbsent(Math.min(LATE, week(l)), w -> new EnumMap<>(LossCause.class))
                .merge(l.cause(), l.pieces(), Integer::sum));
        return new Losses(
                pieces,
                byCause,
                weeks.entrySet().stream()
                        .map(e -> new Week(e.getKey(), e.getValue()))
                        .toList(),
                where(losses, LossEvent::place, stuckAt),
                where(losses, LossEvent::way, stuckBy),
                checks(losses, pieces));
    }

    private static int sum(Collection<LossEvent> losses) {
        return losses.stream().mapToInt(LossEvent::pieces).sum();
    }

    static int week(LossEvent l) {
        double middle =
                (ChronoUnit.DAYS.between(l.stuckOn(), l.after()) + ChronoUnit.DAYS.between(l.stuckOn(), l.on())) / 2.0;
        return (int) Math.max(1, Math.floor(middle / 7) + 1);
    }

    private static List<Where> where(
            Collection<LossEvent> losses, Function<LossEvent, String> by, Map<String, Integer> stuck) {
        return losses.stream().collect(Collectors.groupingBy(by)).entrySet().stream()
                .map(e -> {
                    Map<LossCause, Integer> causes = e.getValue().stream()
                            .collect(Collectors.groupingBy(
                                    LossEvent::cause,
                                    () -> new EnumMap<>(LossCause.class),
                                    Collectors.summingInt(LossEvent::pieces)));
                    Map.Entry<LossCause, Integer> most = causes.entrySet().stream()
                            .max(Map.Entry.comparingByValue())
                            .orElseThrow();
                    int all = sum(e.getValue());
                    return new Where(
                            e.getKey(),
                            all,
                            stuck.getOrDefault(e.getKey(), 0),
                            most.getKey(),
                            most.getValue() / (double) all);
                })
                .sorted(Comparator.comparingInt(Where::pieces).reversed().thenComparing(Where::name))
                .toList();
    }

    private static List<Statement> checks(Collection<LossEvent> losses, int all) {
        Map<Check, Integer> pieces = new EnumMap<>(Check.class);
        losses.forEach(l -> check(l).ifPresent(c -> pieces.merge(c, l.pieces(), Integer::sum)));
        List<Statement> said = new ArrayList<>();
        Integer silent = pieces.remove(Check.UNSAID);
        int unsaid = silent == null ? 0 : silent;
        // Shares are of those whose cause was said.
        pieces.entrySet().stream()
                .filter(e -> e.getValue() >= WORTH_SAYING * (all - unsaid))
                .sorted(Map.Entry.<Check, Integer>comparingByValue().reversed())
                .forEach(e -> said.add(Statement.of(
                        e.getKey(), "pieces", e.getValue(), "share", e.getValue() / (double) (all - unsaid))));
        if (unsaid >= WORTH_SAYING * all && unsaid > 0) {
            said.add(Statement.of(Check.UNSAID, "pieces", unsaid, "share", unsaid / (double) all));
        }
        return said;
    }

    private static Optional<Check> check(LossEvent l) {
        return switch (l.cause()) {
            case ROT -> Optional.of(week(l) <= 2 ? Check.ROT_EARLY : Check.ROT_LATE);
            case DRIED -> Optional.of(Check.DRIED);
            case PEST -> Optional.of(Check.PEST);
            case DAMAGE -> Optional.of(Check.DAMAGE);
            case STALLED -> Optional.of(Check.STALLED);
            case UNKNOWN -> Optional.of(Check.UNSAID);
            case MISLAID -> Optional.empty();
        };
    }
}
