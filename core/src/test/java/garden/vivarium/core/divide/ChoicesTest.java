package garden.vivarium.core.divide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Plants as growers know them, judged against what a grower would do with them. */
class ChoicesTest {

    private static Choices.Choice choice(List<Choices.Choice> all, Choices.Purpose purpose) {
        return all.stream()
                .filter(c -> c.purposes().contains(purpose))
                .findFirst()
                .orElseThrow();
    }

    /** Nine growths on two branches; the second ends dead. */
    @Test
    void aCreepingOrchidOnTwoBranchesWithADeadEnd() {
        Set<Integer> roots = Set.of(2, 3, 4, 5, 6, 7);
        List<Growth> growths = IntStream.rangeClosed(1, 9)
                .mapToObj(i -> new Growth(i, roots.contains(i), i == 6, i > 2 && i < 9, i == 9))
                .toList();
        Lying plant = new Lying(
                growths,
                List.of(
                        new Tie(1, 2),
                        new Tie(2, 3),
                        new Tie(3, 4),
                        new Tie(4, 5),
                        new Tie(5, 6),
                        new Tie(3, 7),
                        new Tie(7, 8),
                        new Tie(8, 9)));
        List<Choices.Choice> all = Choices.of(plant, Form.CREEPING.worth(), 0.7, 1);
        Division kept = choice(all, Choices.Purpose.BEST_KEPT).division();
        Division.Piece best = kept.pieces().get(kept.kept());
        // Three or four growths a piece, and the living lead stays with the kept one.
        assertThat(best.growths()).contains(6);
        assertThat(best.living()).isGreaterThanOrEqualTo(4);
        assertThat(all)
                .allSatisfy(c -> assertThat(c.division().pieces())
                        .allSatisfy(p -> assertThat(p.living())
                                .as("no pot for a dead end")
                                .isPositive()));
        assertThat(choice(all, Choices.Purpose.WHOLE).division().isUndivided()).isTrue();
    }

    /** Eleven crowns in a ring of ties, three of them with few roots. */
    @Test
    void aClumpOfElevenCrownsOfWhichThreeHaveFewRoots() {
        Set<Integer> bare = Set.of(3, 7, 11);
        List<Growth> crowns = IntStream.rangeClosed(1, 11)
                .mapToObj(i -> new Growth(i, !bare.contains(i), true, true, false))
                .toList();
        List<Tie> ties = new ArrayList<>();
        for (int i = 1; i < 11; i++) {
            ties.add(new Tie(i, i + 1));
        }
        ties.add(new Tie(1, 11));
        ties.add(new Tie(2, 6));
        Lying plant = new Lying(crowns, ties);
        List<Choices.Choice> all = Choices.of(plant, Form.CROWNS.worth(), 0.75, 3);
        Division sure = choice(all, Choices.Purpose.SURE_PIECES).division();
        // A crown without roots goes with one that has them.
        assertThat(sure.pieces()).hasSize(8).allSatisfy(p -> {
            assertThat(p.rooted()).isPositive();
            assertThat(p.chance()).isGreaterThanOrEqualTo(0.75);
        });
        Division soon = choice(all, Choices.Purpose.SOON_IN_FLOWER).division();
        // Two or three crowns a piece for flowers next season.
        assertThat(soon.pieces())
                .hasSize(3)
                .allSatisfy(p -> assertThat(p.living()).isGreaterThanOrEqualTo(3));
        assertThat(soon.expected()).isLessThan(sure.expected());
    }

    @Test
    void halvesAreAlwaysAmongThemAndOnesOwnCutsAreJudged() {
        List<Growth> crowns = IntStream.rangeClosed(1, 9)
                .mapToObj(i -> new Growth(i, true, true, true, false))
                .toList();
        List<Tie> ties = new ArrayList<>();
        for (int i = 1; i < 9; i++) {
            ties.add(new Tie(i, i + 1));
        }
        Lying clump = new Lying(crowns, ties);
        Worth worth = Form.CROWNS.worth();
        List<Choices.Choice> all = Choices.of(clump, worth, 0.7, 1);

        assertThat(choice(all, Choices.Purpose.HALVES).division().pieces())
                .extracting(p -> p.living())
                .containsExactlyInAnyOrder(4, 5);
        assertThat(choice(all, Choices.Purpose.WHOLE).division().leastSure())
                .as("left undisturbed is certain")
                .isEqualTo(1);
        Division sure = choice(all, Choices.Purpose.SURE_PIECES).division();
        assertThat(sure.pieces()).as("nine crowns with roots are nine plants").hasSize(9);
        assertThat(sure.leastSure()).isEqualTo(0.92);
        Division own = Choices.own(clump, worth, List.of(new Tie(3, 4), new Tie(6, 7)))
                .orElseThrow()
                .division();
        assertThat(own.pieces())
                .hasSize(3)
                .allSatisfy(p -> assertThat(p.chance()).isEqualTo(0.97));
        assertThat(Choices.own(clump, worth, List.of())).isEmpty();
    }

    /** A tuber with five eyes: a piece wants an eye and some flesh. */
    @Test
    void aTuberWithFiveEyes() {
        List<Growth> eyes = IntStream.rangeClosed(1, 5)
                .mapToObj(i -> new Growth(i, true, true, true, false))
                .toList();
        Lying tuber = new Lying(eyes, List.of(new Tie(1, 2), new Tie(2, 3), new Tie(3, 4), new Tie(4, 5)));
        List<Choices.Choice> all = Choices.of(tuber, Form.EYES.worth(), 0.7, 1);
        assertThat(choice(all, Choices.Purpose.SURE_PIECES).division().pieces()).hasSize(5);
        assertThat(choice(all, Choices.Purpose.SOON_IN_FLOWER).division().pieces())
                .as("two eyes and more each")
                .hasSize(2);
    }

    @Test
    void oneThatIsTooSmallOrInFlowerIsLeftAlone() {
        Lying small = new Lying(
                List.of(new Growth(1, true, false, true, false), new Growth(2, true, true, true, false)),
                List.of(new Tie(1, 2)));
        assertThat(Choices.against(small, Form.CREEPING.worth(), Choices.State.IN_FLOWER, Choices.When.EITHER))
                .extracting(s -> s.rule())
                .containsExactly(Choices.Against.TOO_SMALL, Choices.Against.IN_FLOWER);
        assertThat(Choices.against(small, Form.CROWNS.worth(), Choices.State.GROWING, Choices.When.EITHER))
                .isEmpty();
        assertThat(Choices.against(small, Form.CROWNS.worth(), Choices.State.GROWING, Choices.When.ASLEEP))
                .extracting(s -> s.rule())
                .containsExactly(Choices.Against.GROWING);
        assertThat(Choices.against(small, Form.CROWNS.worth(), Choices.State.ASLEEP, Choices.When.GROWING))
                .extracting(s -> s.rule())
                .containsExactly(Choices.Against.ASLEEP);
        assertThat(Choices.against(small, Form.CROWNS.worth(), Choices.State.WEAK, Choices.When.EITHER))
                .extracting(s -> s.rule())
                .containsExactly(Choices.Against.WEAK);
    }

    @ParameterizedTest
    @CsvSource({
        "CREEPING, 3, 2, 3, 15",
        "CREEPING, 4, 2, 3, 18",
        "CROWNS, 1, 2, 4, 7",
        "CROWNS, 3, 2, 4, 11",
        "EYES, 60, 2, 5, 30"
    })
    void potsHoldThePieceAndWhatItGrowsInTwoSeasons(Form form, int growths, int seasons, double step, int cm) {
        assertThat(form.potCm(growths, seasons, step)).isEqualTo(cm);
    }

    @Test
    void eachGroupHasItsForm() {
        assertThat(Form.of("clumping-orchid", "cymbidium")).isEqualTo(Form.CREEPING);
        assertThat(Form.of("rhizome", "bearded-iris")).isEqualTo(Form.RHIZOME_FANS);
        assertThat(Form.of("clump", "daylily")).isEqualTo(Form.FANS);
        assertThat(Form.of("clump", "")).isEqualTo(Form.CROWNS);
        assertThat(Form.of("bulb", "")).isEqualTo(Form.BULBS);
    }
}
