package garden.vivarium.app.bench;

import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.timing.Sign;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * A batch's or a plan's life as the ribbon component draws it: days are numbers since the first day drawn.
 *
 * @param scale the days drawn
 * @param taken day cut
 * @param stuck day 0
 * @param due day due, or null
 * @param expected what is expected
 * @param below what is told by roots, and so drawn below the line
 * @param seen what was seen; no pieces in a plan
 * @param said growers' words for what is drawn
 * @param words the whole in words, for those who cannot see it
 */
public record Ribbon(
        Scale scale,
        int taken,
        int stuck,
        Integer due,
        Bands expected,
        Below below,
        Seen seen,
        Said said,
        String words) {

    /** First day drawn, length in days, and the day of the hairline, or null outside. */
    public record Scale(String start, int days, Integer today) {}

    /** From and to of each milestone; null where there is none. */
    public record Bands(List<Integer> callus, List<Integer> firstSign, List<Integer> ready, List<Integer> settled) {}

    /** Whether first sign and ready are told by roots. */
    public record Below(boolean firstSign, boolean ready) {}

    /**
     * What was seen, each as [day, so many so far].
     *
     * @param pieces all pieces
     * @param moved pieces moved
     * @param settled young plants settled
     * @param looks days of looks
     */
    public record Seen(
            int pieces,
            List<List<Integer>> firstSign,
            List<List<Integer>> ready,
            List<List<Integer>> lost,
            List<List<Integer>> moved,
            List<List<Integer>> settled,
            List<Integer> looks) {}

    /**
     * Growers' words.
     *
     * @param taken what was done on the day taken: cut, or planted where they slept first
     * @param stuck what day 0 is: stuck, planted or awake
     * @param firstSign null where there is none
     */
    public record Said(String taken, String stuck, String firstSign, String ready) {}

    /** What was written off is gone too, on the day it was. */
    private static final Set<Outcome> LOST_OR_GIVEN_UP = EnumSet.of(Outcome.LOST, Outcome.GIVEN_UP);

    /** A made-up one with all its parts, for whoever learns to read them: ten pieces of a method, day by day from the first of a year. */
    static Ribbon example(Method method) {
        return new Ribbon(
                new Scale("2026-01-01", 40, 26),
                1,
                1,
                null,
                new Bands(null, List.of(8, 18), List.of(16, 34), null),
                new Below(true, true),
                new Seen(
                        10,
                        List.of(List.of(10, 4), List.of(14, 7)),
                        List.of(List.of(17, 2), List.of(21, 5), List.of(25, 6)),
                        List.of(List.of(14, 1), List.of(25, 2)),
                        List.of(List.of(22, 4)),
                        List.of(),
                        List.of(10, 14, 17, 21, 25)),
                new Said(
                        Messages.text("method.cut"),
                        done(method),
                        method.firstSign().map(Method.Told::word).orElse(null),
                        method.ready().word()),
                Messages.text("ribbon.example"));
    }

    /**
     * The ribbon of a plan: what is expected, nothing seen.
     *
     * @param until last day drawn, the same for all ways that are laid beside each other
     */
    public static Ribbon ofPlan(
            Expected expected,
            LocalDate today,
            LocalDate due,
            LocalDate until,
            Method method,
            Optional<Sign> firstSign,
            Sign ready,
            String words) {
        LocalDate start = expected.taken().isBefore(today) ? expected.taken() : today;
        LocalDate end = until.plusDays(3);
        return of(
                start,
                end,
                expected,
                today,
                due,
                method,
                firstSign,
                ready,
                0,
                Tallies.none(),
                Tallies.none(),
                List.of(),
                List.of(),
                Begin.STUCK,
                words);
    }

    /** How day 0 came about: stuck, or planted asleep and woken, or asleep still. */
    enum Begin {
        STUCK,
        AWAKE,
        ASLEEP
    }

    static Ribbon of(
            LocalDate start,
            LocalDate end,
            Expected e,
            LocalDate today,
            LocalDate due,
            Method method,
            Optional<Sign> firstSign,
            Sign ready,
            int pieces,
            Tallies firstSignSeen,
            Tallies readySeen,
            List<LocalDate> looks,
            List<PottingView> moves,
            Begin begin,
            String words) {
        int stuck = day(start, e.stuck());
        return new Ribbon(
                new Scale(
                        start.toString(),
                        Math.max(7, day(start, end)),
                        today.isBefore(start) || today.isAfter(end) ? null : day(start, today)),
                day(start, e.taken()),
                stuck,
                due == null ? null : day(start, due),
                new Bands(
                        e.callus().map(b -> band(start, b)).orElse(null),
                        e.firstSign().map(b -> band(start, b)).orElse(null),
                        band(start, e.ready()),
                        e.settled().map(b -> band(start, b)).orElse(null)),
                new Below(firstSign.orElse(Sign.ROOT) == Sign.ROOT, ready == Sign.ROOT),
                new Seen(
                        pieces,
                        soFar(firstSignSeen, EnumSet.of(Outcome.REACHED), stuck),
                        soFar(readySeen, EnumSet.of(Outcome.REACHED), stuck),
                        soFar(readySeen, LOST_OR_GIVEN_UP, stuck),
                        soFar(start, moves, PottingView::movedOn, PottingView::pieces),
                        soFar(
                                start,
                                moves.stream().filter(m -> m.settled() != null).toList(),
                                PottingView::settledOn,
                                PottingView::settled),
                        looks.stream().map(d -> day(start, d)).toList()),
                new Said(
                        begin == Begin.STUCK ? Messages.text("method.cut") : done(method),
                        switch (begin) {
                            case STUCK -> done(method);
                            case AWAKE -> Messages.text("method.awake");
                            case ASLEEP -> Messages.text("method.if.awake");
                        },
                        method.firstSign().map(Method.Told::word).orElse(null),
                        method.ready().word()),
                words);
    }

    private static String done(Method method) {
        return Messages.text("method.done", "planted", method.planted());
    }

    private static List<List<Integer>> soFar(Tallies tallies, Set<Outcome> outcomes, int stuck) {
        TreeMap<Integer, Integer> byDay = new TreeMap<>();
        tallies.counts().forEach((i, n) -> {
            if (outcomes.contains(i.outcome())) {
                byDay.merge(i.lastSeen(), n.intValue(), Integer::sum);
            }
        });
        return steps(byDay, stuck);
    }

    private static List<List<Integer>> soFar(
            LocalDate start,
            List<PottingView> moves,
            Function<PottingView, LocalDate> when,
            Function<PottingView, Integer> howMany) {
        TreeMap<Integer, Integer> byDay = new TreeMap<>();
        moves.forEach(m -> byDay.merge(day(start, when.apply(m)), howMany.apply(m), Integer::sum));
        return steps(byDay, 0);
    }

    private static List<List<Integer>> steps(Map<Integer, Integer> byDay, int from) {
        List<List<Integer>> steps = new ArrayList<>();
        int sum = 0;
        for (var e : byDay.entrySet()) {
            sum += e.getValue();
            steps.add(List.of(from + e.getKey(), sum));
        }
        return steps;
    }

    private static List<Integer> band(LocalDate start, Expected.Band band) {
        return List.of(day(start, band.from()), day(start, band.to()));
    }

    private static int day(LocalDate start, LocalDate day) {
        return (int) (day.toEpochDay() - start.toEpochDay());
    }
}
