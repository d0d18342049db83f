package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MixSumTest {

    private static final Mix MIX = Mix.read("3 peat-free compost, 1 perlite, 1 coarse grit");

    @RepeatedTest(30)
    void partsAddUpToWhatIsAsked(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        int count = 1 + random.nextInt(100);
        double ball = 0.05 * random.nextDouble();
        Pot pot = Pot.across(7 + 10 * random.nextDouble());
        MixSum sum = MixSum.of(MIX, pot, count, 1, ball, 1.12);
        assertThat(sum.litres()).isCloseTo(count * 1.12 * (pot.upTo(1) - ball), within(1e-9));
        assertThat(sum.each().values().stream().mapToDouble(l -> l).sum()).isCloseTo(sum.litres(), within(1e-9));
        assertThat(sum.each().get("peat-free compost")).isCloseTo(3 * sum.each().get("perlite"), within(1e-9));
        assertThat(sum.working().steps()).hasSize(ball > 0 ? 7 : 6);
    }

    @Test
    void thePotThatAlwaysWasFilledHoldsWhatItDid() {
        Pot nine = Pot.across(9);
        assertThat(MixSum.of(MIX, nine, 60, 1, 0, Pot.SETTLING).litres()).isCloseTo(60 * nine.fill(), within(1e-9));
    }

    @Test
    void nothingIsLeftToFill() {
        assertThatThrownBy(() -> MixSum.of(MIX, Pot.across(7), 3, 1, 5, 1.12)).hasMessageContaining("root ball");
        assertThatThrownBy(() -> MixSum.of(MIX, Pot.across(7), 3, 50, 0, 1.12)).hasMessageContaining("free rim");
        assertThatThrownBy(() -> MixSum.of(MIX, Pot.across(7), 0, 1, 0, 1.12)).hasMessageContaining("one is filled");
        assertThatThrownBy(() -> MixSum.of(MIX, 0)).hasMessageContaining("0 litres");
    }

    @ParameterizedTest
    @CsvSource({
        "perlite, OPENS",
        "coarse grit, OPENS",
        "vermiculite, HOLDS",
        "peat-free compost, BODY",
        "long-fibre moss, HOLDS"
    })
    void eachIsThereForSomething(String what, Ingredient.Role role) {
        assertThat(Ingredient.role(what)).hasValue(role);
    }

    @Test
    void whatIsMissingIsReplacedByWhatDoesTheSameAtHandFirst() {
        List<Ingredient.Without> found = Ingredient.without(MIX, "perlite", Set.of("Pumice, fine"));
        assertThat(found).hasSize(3);
        assertThat(found.get(0).why().figures()).containsEntry("other", "pumice");
        assertThat(found.get(0).instead().orElseThrow().parts())
                .containsEntry("pumice", 1.0)
                .hasSize(3);
        Mix left = found.get(2).instead().orElseThrow();
        assertThat(found.get(2).why().rule()).isEqualTo(Ingredient.Advice.LEAVE_OUT);
        assertThat(left.parts()).doesNotContainKey("perlite").hasSize(2);
    }

    @Test
    void theBodyOfAMixIsNotLeftOutAndWhatNobodyKnowsIsSaid() {
        assertThat(Ingredient.without(MIX, "peat-free compost", Set.of()))
                .extracting(w -> w.why().rule())
                .containsOnly(Ingredient.Advice.REPLACE_BODY);
        assertThat(Ingredient.without(Mix.read("4 coir, 1 stardust"), "stardust", Set.of()))
                .singleElement()
                .satisfies(w -> assertThat(w.instead()).isEqualTo(Optional.empty()));
        assertThatThrownBy(() -> Ingredient.without(MIX, "bark", Set.of())).hasMessageContaining("not in this mix");
        assertThat(Ingredient.isDusty(Set.of("Perlite"))).isTrue();
        assertThat(Ingredient.isDusty(Set.of("long-fibre moss"))).isFalse();
    }
}
