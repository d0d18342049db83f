package garden.vivarium.app.bench;

import garden.vivarium.app.batch.PottingView;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.timing.Sign;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * A batch's or a plan's life as the ribbon component draws it: days are numbers since {@code start}.
 *
 * @param start first day drawn
 * @param days length in days
 * @param today day of the hairline, or null outside
 * @param taken day cut
 * @param stuck day 0
 * @param callus band, or null
 * @param firstSign band, or null
 * @param ready band
 * @param settled band, or null
 * @param due day due, or null
 * @param firstSignBelow whether first sign is told by roots and so drawn below the line
 * @param readyBelow whether ready is
 * @param pieces all pieces, 0 in a plan
 * @param seenFirstSign [day, pieces so far]
 * @param seenReady the same for ready
 * @param seenLost the same for losses
 * @param looks days of looks
 * @param seenMoved [day, pieces moved so far]
 * @param seenSettled [day, young plants settled so far]
 * @param takenWord what was done on the day taken: cut, or planted where they slept first
 * @param stuckWord what day 0 is: stuck, planted or awake
 * @param firstSignWord growers' word for first sign, or null
 * @param readyWord growers' word for ready
 * @param words the same in words, for those who cannot see it
 */
public record Ribbon(
        String start,
        int days,
        Integer today,
        int taken,
        int stuck,
        List<Integer> callus,
        List<Integer> firstSign,
        List<Integer> ready,
        List<Integer> settled,
        Integer due,
        boolean firstSignBelow,
        boolean readyBelow,
        int pieces,
        List<List<Integer>> seenFirstSign,
        List<List<Integer>> seenReady,
        List<List<Integer>> seenLost,
        List<Integer> looks,
        List<List<Integer>> seenMoved,
        List<List<Integer>> seenSettled,
        String words,
        String takenWord,
        String stuckWord,
        String firstSignWord,
        String readyWord) {

    /** What was written off is gone too, on the day it was. */
    private static final Set<Outcome> LOST_OR_GIVEN_UP = EnumSet.of(Outcome.LOST, Outcome.GIVEN_UP);

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
                start.toString(),
                Math.max(7, day(start, end)),
                today.isBefore(start) || today.isAfter(end) ? null : day(start, today),
                day(start, e.taken()),
                stuck,
                e.callus().map(b -> band(start, b)).orElse(null),
                e.firstSign().map(b -> band(start, b)).orElse(null),
                band(start, e.ready()),
                e.settled().map(b -> band(start, b)).orElse(null),
                due == null ? null : day(start, due),
                firstSign.orElse(Sign.ROOT) == Sign.ROOT,
                ready == Sign.ROOT,
                pieces,
                soFar(firstSignSeen, EnumSet.of(Outcome.REACHED), stuck),
                soFar(readySeen, EnumSet.of(Outcome.REACHED), stuck),
                soFar(readySeen, LOST_OR_GIVEN_UP, stuck),
                looks.stream().map(d -> day(start, d)).toList(),
                soFar(start, moves, PottingView::movedOn, PottingView::pieces),
                soFar(
                        start,
                        moves.stream().filter(m -> m.settled() != null).toList(),
                        PottingView::settledOn,
                        PottingView::settled),
                words,
                begin == Begin.STUCK ? "cut" : method.done(),
                switch (begin) {
                    case STUCK -> method.done();
                    case AWAKE -> "awake";
                    case ASLEEP -> "if awake";
                },
                method.firstSignWord().orElse(null),
                method.readyWord());
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

    private static List<List<Integer>> steps(TreeMap<Integer, Integer> byDay, int from) {
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

    private static LocalDate later(LocalDate a, LocalDate b) {
        return b != null && b.isAfter(a) ? b : a;
    }
}
