package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.compare.LearnedClock.Timed;
import garden.vivarium.core.compare.LearnedClock.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The clock that a nursery's own readings teach, where the truth was planted. */
class LearnedClockTest {

    /** Three ways of their own days; each degree shortens them by so much, and batches scatter by a fifth. */
    private static List<Timed> planted(long seed, int batches, double aDegree) {
        Random random = new Random(seed);
        List<Timed> all = new ArrayList<>();
        for (int i = 0; i < batches; i++) {
            int way = i % 3;
            double warmth = 14 + 2 * way + 3 * random.nextGaussian();
            double days = (18 + 8 * way) * Math.exp(-aDegree * (warmth - 18) + 0.2 * random.nextGaussian());
            all.add(new Timed("way " + way, days, warmth));
        }
        return all;
    }

    @Test
    void threeDegreesAreFoundToSaveWhatWasPlanted() {
        LearnedClock clock = LearnedClock.of(planted(3, 45, 0.06));
        assertThat(clock.verdict()).isEqualTo(Verdict.SOONER);
        assertThat(clock.slope()).isCloseTo(-0.06, within(0.025));
        assertThat(clock.low()).isLessThan(-0.06);
        assertThat(clock.high()).isBetween(-0.06, 0.0);
        assertThat(clock.heldOut().with()).isLessThan(clock.heldOut().alone());
        assertThat(clock.factor(3)).isCloseTo(Math.exp(3 * clock.slope()), within(1e-12));
        assertThat(clock.says(Measure.WARMTH, 3).number("change"))
                .isBetween(
                        clock.says(Measure.WARMTH, 3).number("least"),
                        clock.says(Measure.WARMTH, 3).number("most"));
    }

    @Test
    void aClockThatForetellsIsMostlyFoundFitToPlanBy() {
        int fit = 0;
        for (int life = 0; life < 100; life++) {
            fit += LearnedClock.of(planted(900 + life, 45, 0.06)).isFitToPlanBy() ? 1 : 0;
        }
        assertThat(fit).isGreaterThan(70);
    }

    @Test
    void heldOutOneByOneIsTheSameAsFittingAnewWithoutEach() {
        List<Timed> all = planted(4, 14, 0.05);
        double sum = 0;
        for (Timed out : all) {
            List<Timed> rest = new ArrayList<>(all);
            rest.remove(out);
            double xx = 0;
            double xy = 0;
            for (Timed t : rest) {
                double x = mean(rest, t.way(), true);
                double y = mean(rest, t.way(), false);
                xx += (t.at() - x) * (t.at() - x);
                xy += (t.at() - x) * (Math.log(t.days()) - y);
            }
            double foretold = mean(rest, out.way(), false) + xy / xx * (out.at() - mean(rest, out.way(), true));
            sum += Math.pow(Math.log(out.days()) - foretold, 2);
        }
        assertThat(LearnedClock.of(all).heldOut().with()).isCloseTo(Math.sqrt(sum / all.size()), within(1e-9));
    }

    private static double mean(List<Timed> all, String way, boolean warmth) {
        return all.stream()
                .filter(t -> t.way().equals(way))
                .mapToDouble(t -> warmth ? t.at() : Math.log(t.days()))
                .average()
                .orElseThrow();
    }

    @Test
    void warmthThatMakesNoDifferenceIsSeldomSaidToAndSeldomPlannedBy() {
        int said = 0;
        int planned = 0;
        int lives = 400;
        for (int life = 0; life < lives; life++) {
            LearnedClock clock = LearnedClock.of(planted(100 + life, 24, 0));
            said += clock.verdict() == Verdict.NOTHING ? 0 : 1;
            planned += clock.isFitToPlanBy() ? 1 : 0;
        }
        // Nine times in ten nothing is said; three standard errors are 4.5 in 100.
        assertThat(said / (double) lives).isBetween(0.04, 0.15);
        assertThat(planned / (double) lives).isLessThan(0.06);
    }

    @Test
    void withoutDifferentWarmthsOrWaysDoneTwiceNothingIsSaid() {
        assertThat(LearnedClock.of(List.of()).verdict()).isEqualTo(Verdict.TOO_FEW);
        List<Timed> alike = new ArrayList<>();
        List<Timed> once = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            alike.add(new Timed("one", 20 + i % 5, 18 + i % 2 * 0.2));
            once.add(new Timed("way " + i, 20, 10 + i));
        }
        assertThat(LearnedClock.of(alike).verdict()).isEqualTo(Verdict.TOO_FEW);
        assertThat(LearnedClock.of(once).batches()).isZero();
    }
}
