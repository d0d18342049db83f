package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MaterialsTest {

    private static final Guide GUIDE = Guide.load();

    @Test
    void aPotHoldsItsWorkedValue() {
        assertThat(new Pot(4.5, 3.2, 8).litres()).isCloseTo(0.376070, within(5e-7));
        assertThat(Pot.across(9).litres()).isCloseTo(0.376, within(0.002));
    }

    @Test
    void headspaceTakesOffAndSettlingAddsOn() {
        // To 7 of 8 cm the mouth is 3.2 + 1.3 × 7/8 = 4.3375 cm: π·7·(4.3375² + 4.3375·3.2 + 3.2²)/3 = 0.314735 L, ×
        // 1.12.
        assertThat(new Pot(4.5, 3.2, 8).fill()).isCloseTo(0.352489, within(1e-5));
        assertThatThrownBy(() -> new Pot(4, 0, 3)).hasMessageContaining("above 0");
    }

    @Test
    void aPotOfAWidthHasAShapeAndAnotherPlaceHasNone() {
        assertThat(new PotSize(Optional.of(75), Optional.empty(), "").shape()).contains(Pot.across(7.5));
        assertThat(new PotSize(Optional.empty(), Optional.of(2.0), "lined out").shape())
                .isEmpty();
    }

    @Test
    void sizesThatCannotBeAreRefused() {
        assertThatThrownBy(() -> new PotSize(Optional.of(90), Optional.of(2.0), ""))
                .hasMessageContaining("not both");
        assertThatThrownBy(() -> new PotSize(Optional.empty(), Optional.empty(), " "))
                .hasMessageContaining("what pot");
        assertThatThrownBy(() -> new PotSize(Optional.of(0), Optional.empty(), ""))
                .hasMessageContaining("above 0");
        assertThatThrownBy(() -> new Spacing(Optional.empty(), "")).hasMessageContaining("distance or words");
        assertThatThrownBy(() -> new Spacing(Optional.of(0), "")).hasMessageContaining("1 mm");
        assertThatThrownBy(() -> Warmth.between(22, 18)).hasMessageContaining("the lower first");
        assertThatThrownBy(() -> Warmth.of(75)).hasMessageContaining("75");
        assertThatThrownBy(() -> new Warmth(5, 5, Optional.of(0))).hasMessageContaining("1 week");
    }

    @Test
    void aRecipeIsSharedOutByParts() {
        Mix mix = Mix.read("2 peat-free compost, 1.5 perlite; 0.5 Bark");

        assertThat(mix.litres(40).get("peat-free compost")).isCloseTo(20, within(1e-9));
        assertThat(mix.litres(40).get("perlite")).isCloseTo(15, within(1e-9));
        assertThat(mix.litres(40).get("bark")).isCloseTo(5, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"compost", "2", "two compost", "1 compost, perlite", ""})
    void aRecipeThatCannotBeReadSaysWhichPart(String recipe) {
        assertThatThrownBy(() -> Mix.read(recipe))
                .isInstanceOfSatisfying(
                        UnknownWord.class,
                        e -> assertThat(e.fault().rule()).isEqualTo(UnknownWord.Wanted.PART_OF_A_MIX));
    }

    @Test
    void aPlugTrayNeedsCompostHormoneLabelsPotsAndMix() {
        Protocol plugs = GUIDE.protocol("tip-in-plugs").orElseThrow();
        List<Materials.Need> needs = Materials.of(plugs, 60, 1, 40);

        assertThat(amount(needs, "plug compost")).isCloseTo(60 * 0.03 * 1.12, within(1e-9));
        assertThat(amount(needs, "trays")).isEqualTo(1);
        assertThat(amount(needs, "labels")).isEqualTo(1);
        assertThat(amount(needs, "rooting hormone")).isCloseTo(3, within(1e-9));
        assertThat(amount(needs, "pots, 9 cm")).isEqualTo(40);
        assertThat(amount(needs, "peat-free compost"))
                .isCloseTo(40 * Pot.across(9).fill(), within(1e-9));
    }

    @Test
    void desertKindsAreTopDressed() {
        List<Materials.Need> needs =
                Materials.of(GUIDE.protocol("offset-in-gritty-mix").orElseThrow(), 9, 0.25, 8);

        // 7 cm across: π·3.5²·1 = 38.4845 cm³ a pot.
        assertThat(GUIDE.protocol("offset-in-gritty-mix")
                        .orElseThrow()
                        .potting()
                        .pot())
                .isEqualTo(new PotSize(Optional.of(70), Optional.empty(), ""));
        assertThat(amount(needs, "coarse grit")).isCloseTo(8 * 0.0384845, within(1e-6));
    }

    @Test
    void waterNeedsNoMediumAndNothingPottedNoPots() {
        List<Materials.Need> needs = Materials.of(GUIDE.protocol("tip-in-water").orElseThrow(), 12, 0.25, 0);

        assertThat(needs).extracting(Materials.Need::item).containsExactly("labels");
    }

    @Test
    void everyProtocolOfTheGuideIsReckoned() {
        for (Protocol p : GUIDE.protocols()) {
            assertThat(Materials.of(p, 20, 0.5, 10))
                    .as(p.key())
                    .isNotEmpty()
                    .allSatisfy(n -> assertThat(n.amount()).isPositive());
        }
    }

    @Test
    void needsOfSeveralBatchesAreOneList() {
        List<Materials.Need> sum = Materials.together(List.of(
                new Materials.Need("grit", 3, Materials.Unit.LITRES),
                new Materials.Need("labels", 1, Materials.Unit.PIECES),
                new Materials.Need("grit", 4.5, Materials.Unit.LITRES)));

        assertThat(amount(sum, "grit")).isEqualTo(7.5);
        assertThat(sum).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({"45, 0, 20, 3", "40, 0, 20, 2", "40, 1, 20, 2", "40, 40, 20, 0", "5, 60, 20, 0"})
    void onlyWholePacksAreBought(double need, double there, double pack, int packs) {
        assertThat(Materials.packs(need, there, pack)).isEqualTo(packs);
    }

    private static double amount(List<Materials.Need> needs, String item) {
        return needs.stream()
                .filter(n -> n.item().equals(item))
                .findFirst()
                .orElseThrow()
                .amount();
    }
}
