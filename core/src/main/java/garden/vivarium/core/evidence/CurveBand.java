package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A rough band round a curve: nine in ten of the curves that come of drawing whole batches again. Whole batches, because
 * pieces of one batch are alike. Only from eight batches up; below, there are too few to draw from.
 *
 * @param low lower edge of the share ready by each day, from day 0
 * @param high upper edge
 */
public record CurveBand(List<Double> low, List<Double> high) {

    /** Batches from which on a band is drawn. */
    public static final int ENOUGH_BATCHES = 8;

    private static final int DRAWS = 200;
    private static final long SEED = 20261124;

    /** The band, up to the last day of the curve of all batches; empty with too few of them. */
    public static Optional<CurveBand> of(List<Tallies> batches) {
        if (batches.size() < ENOUGH_BATCHES) {
            return Optional.empty();
        }
        int days = batches.stream().mapToInt(Tallies::lastDay).max().orElse(0) + 1;
        double[][] shares = new double[days][DRAWS];
        Random random = new Random(SEED);
        for (int draw = 0; draw < DRAWS; draw++) {
            List<Tallies> drawn = new ArrayList<>();
            for (int i = 0; i < batches.size(); i++) {
                drawn.add(batches.get(random.nextInt(batches.size())));
            }
            RootingCurve curve = RootingCurve.rough(Tallies.pooled(drawn));
            for (int day = 0; day < days; day++) {
                shares[day][draw] = (curve.atLeast(Outcome.REACHED, day) + curve.atMost(Outcome.REACHED, day)) / 2;
            }
        }
        List<Double> low = new ArrayList<>();
        List<Double> high = new ArrayList<>();
        for (double[] day : shares) {
            Arrays.sort(day);
            low.add(day[DRAWS / 20]);
            high.add(day[DRAWS - 1 - DRAWS / 20]);
        }
        return Optional.of(new CurveBand(low, high));
    }
}
