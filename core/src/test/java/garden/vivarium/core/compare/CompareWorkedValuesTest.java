package garden.vivarium.core.compare;

import static garden.vivarium.core.looks.Interval.pending;
import static garden.vivarium.core.looks.Interval.reached;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.junit.jupiter.api.Test;

/** Sections 7 and 8 against the answers that were written down first. */
class CompareWorkedValuesTest {

    private static final List<Interval> PIECES = List.of(
            reached(7, 14),
            reached(7, 14),
            reached(14, 21),
            reached(0, 7),
            reached(14, 21),
            reached(21, 28),
            reached(7, 21),
            pending(21),
            pending(28),
            pending(28));

    private static final List<Strata.Table> PLANTS = List.of(
            new Strata.Table("one", 18, 6, 14, 10),
            new Strata.Table("two", 20, 4, 15, 9),
            new Strata.Table("three", 9, 11, 6, 14));

    @Test
    void isWhatWasWrittenDown() throws IOException {
        Map<String, Double> got = new LinkedHashMap<>();
        Difference two = Difference.of(new Arm(19, 7, 4), new Arm(15, 11, 4));
        got.put("better plain", two.plain());
        got.put("better of eight batches", two.chance());
        got.put("difference low", two.low());
        got.put("difference high", two.high());
        Strata strata = Strata.of(PLANTS);
        got.put("odds ratio", strata.oddsRatio());
        got.put("statistic", strata.statistic());
        got.put("p", strata.p());
        got.put("statistic divided", strata.statistic() / 2.84);
        got.put("p divided", 1 - new ChiSquaredDistribution(1).cumulativeProbability(strata.statistic() / 2.84));
        Strata divided = Strata.of(PLANTS.stream()
                .map(t -> new Strata.Table(
                        t.name(), t.keptA() / 2.84, t.lostA() / 2.84, t.keptB() / 2.84, t.lostB() / 2.84))
                .toList());
        got.put("counts divided statistic", divided.statistic());
        got.put("counts divided p", divided.p());
        TimeScores.Result scores = scores(List.of(0, 1, 2, 3, 6));
        got.put("score sum", scores.sum());
        got.put("score variance", scores.variance());
        got.put("score z", scores.z());
        got.put("score exact p", scores.p());
        got.put("trial size", TrialSize.within(0.55, 0.75).exactly());
        got.put("trial pieces", (double) TrialSize.within(0.55, 0.75).pieces());
        TrialSize trays = TrialSize.ofTrays(0.55, 0.75, 12, 0.08);
        got.put("trial whole trays size", trays.exactly());
        got.put("trial whole trays", (double) trays.trays());
        got.put("trial whole trays pieces", (double) trays.pieces());

        Map<String, String[]> expected = answers();
        assertThat(got.keySet()).isEqualTo(expected.keySet());
        got.forEach((name, value) -> assertThat(value)
                .as(name)
                .isCloseTo(
                        Double.parseDouble(expected.get(name)[1]), within(Double.parseDouble(expected.get(name)[2]))));
        assertThat(scores.isExact()).isTrue();
    }

    private static TimeScores.Result scores(List<Integer> first) {
        List<TimeScores.Unit> units = new ArrayList<>();
        for (int i = 0; i < PIECES.size(); i++) {
            units.add(new TimeScores.Unit("all", first.contains(i), Tallies.of(List.of(PIECES.get(i)))));
        }
        return TimeScores.of(units);
    }

    private static Map<String, String[]> answers() throws IOException {
        try (InputStream in =
                CompareWorkedValuesTest.class.getResourceAsStream("/garden/vivarium/core/compare-answers.csv")) {
            Map<String, String[]> answers = new LinkedHashMap<>();
            new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(","))
                    .forEach(a -> answers.put(a[0], a));
            return answers;
        }
    }

    @Test
    void armsChangePlacesAndTheAnswerTurnsRound() {
        Arm a = Arm.of(List.of(new BatchCount(20, 24), new BatchCount(30, 40)), 0.08);
        Arm b = Arm.of(List.of(new BatchCount(10, 24), new BatchCount(22, 40)), 0.08);
        Difference ab = Difference.of(a, b);
        Difference ba = Difference.of(b, a);
        assertThat(ab.chance() + ba.chance()).isCloseTo(1, within(1e-9));
        assertThat(ab.low()).isCloseTo(-ba.high(), within(1e-7));
        assertThat(ab.mean()).isCloseTo(a.mean() - b.mean(), within(1e-12)).isBetween(ab.low(), ab.high());
        // The same batches on both sides are as good as each other.
        assertThat(Difference.of(a, a).chance()).isCloseTo(0.5, within(1e-9));
        assertThatThrownBy(() -> Difference.of(new Arm(2, 1, 1), new Arm(1, 2, 1)))
                .hasMessageContaining("three batches");
        assertThatThrownBy(() -> new Arm(0, 1, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void moreAlikePiecesTellLess() {
        List<BatchCount> good = List.of(new BatchCount(20, 24), new BatchCount(33, 40));
        List<BatchCount> poor = List.of(new BatchCount(12, 24), new BatchCount(22, 40));
        double apart = Difference.of(Arm.of(good, 0), Arm.of(poor, 0)).chance();
        double alike = Difference.of(Arm.of(good, 0.2), Arm.of(poor, 0.2)).chance();
        assertThat(alike).isLessThan(apart).isGreaterThan(0.5);
    }

    @Test
    void exactTestOfOneTrayIsFishersAndOfTwoTheirsTogether() {
        // Fisher's tea: 3 of 4 and 1 of 4; two-sided 0.485714.
        assertThat(Strata.of(List.of(new Strata.Table("tea", 3, 1, 1, 3)))
                        .exact()
                        .p())
                .isCloseTo(34.0 / 70, within(1e-9));
        // 4 of 4 against 0 of 4: 2 in 70.
        Strata.Exact sure =
                Strata.of(List.of(new Strata.Table("tea", 4, 0, 0, 4))).exact();
        assertThat(sure.p()).isCloseTo(2.0 / 70, within(1e-9));
        assertThat(sure.chance()).isCloseTo(1 - 0.5 / 70, within(1e-9));
        // Twice: 2 in 4900.
        assertThat(Strata.of(List.of(new Strata.Table("one", 4, 0, 0, 4), new Strata.Table("two", 4, 0, 0, 4)))
                        .exact()
                        .p())
                .isCloseTo(2.0 / 4900, within(1e-9));
        assertThatThrownBy(() ->
                        Strata.of(List.of(new Strata.Table("x", 1.5, 1, 1, 1))).exact())
                .hasMessageContaining("whole pieces");
    }

    @Test
    void exactPermutationOfAFewIsWhatListingThemSays() {
        // All 252 splits, each asked in turn: the share as far off as this one is the answer.
        double mine = Math.abs(scores(List.of(0, 1, 2, 3, 6)).sum());
        int far = 0;
        int all = 0;
        for (int m = 0; m < 1 << 10; m++) {
            if (Integer.bitCount(m) == 5) {
                List<Integer> first = new ArrayList<>();
                for (int i = 0; i < 10; i++) {
                    if ((m >> i & 1) == 1) {
                        first.add(i);
                    }
                }
                far += Math.abs(scores(first).sum()) >= mine - 1e-9 ? 1 : 0;
                all++;
            }
        }
        assertThat(all).isEqualTo(252);
        assertThat((double) far / all).isCloseTo(scores(List.of(0, 1, 2, 3, 6)).p(), within(1e-12));
    }

    @Test
    void sizeAndTheDifferenceThatItShowsBelongTogether() {
        double size = TrialSize.within(0.6, 0.8).exactly();
        assertThat(TrialSize.shows(0.6, size)).isCloseTo(0.2, within(1e-3));
        assertThatThrownBy(() -> TrialSize.within(0.5, 0.5)).hasMessageContaining("two different rates");
    }
}
