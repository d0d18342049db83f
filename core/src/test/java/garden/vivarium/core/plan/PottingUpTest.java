package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Pot;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PottingUpTest {

    private static final Guide GUIDE = Guide.load();

    private static Protocol.Potting potting(String protocol) {
        return GUIDE.protocol(protocol).orElseThrow().potting();
    }

    @ParameterizedTest
    @CsvSource({"12, 1", "12, 3", "13, 3", "2, 5", "1, 1", "104, 7"})
    void everyPieceHasItsPotAndNoneTwo(int pieces, int perPot) {
        PottingUp up = PottingUp.of(pieces, perPot, potting("tip-in-plugs"), false, Optional.empty());
        assertThat(up.pieces()).isEqualTo(pieces);
        assertThat(up.rows()).allSatisfy(r -> assertThat(r.perPot()).isLessThanOrEqualTo(perPot));
    }

    @Test
    void theMixIsWhatFillsThePots() {
        PottingUp up = PottingUp.of(12, 1, potting("tip-in-water"), true, Optional.empty());
        assertThat(up.rows())
                .singleElement()
                .satisfies(r -> assertThat(r.acrossMm()).hasValue(70));
        assertThat(up.litres()).isCloseTo(12 * Pot.across(7).fill(), within(1e-12));
    }

    @Test
    void rootsOfWaterAreWateredAtOnceAndFleshyOnesHealDry() {
        assertThat(PottingUp.of(3, 1, potting("tip-in-water"), true, Optional.empty())
                        .reasons())
                .extracting(s -> s.rule())
                .contains(PottingUp.Reason.WATER_ROOTS);
        PottingUp pad = PottingUp.of(3, 1, potting("pad-in-grit"), false, Optional.empty());
        assertThat(pad.waterAfter()).isPositive();
        assertThat(pad.reasons()).extracting(s -> s.rule()).contains(PottingUp.Reason.HEAL_DRY);
    }

    @Test
    void longRootsGetTheNextSizesOfPotButNoTub() {
        Protocol.Potting seven = potting("tip-in-water");
        assertThat(across(PottingUp.of(3, 1, seven, true, Optional.of(30)))).isEqualTo(70);
        assertThat(across(PottingUp.of(3, 1, seven, true, Optional.of(60)))).isEqualTo(90);
        assertThat(across(PottingUp.of(3, 1, seven, true, Optional.of(900)))).isEqualTo(130);
    }

    private static int across(PottingUp up) {
        return up.rows().get(0).acrossMm().orElseThrow();
    }

    @Test
    void nothingIsNotPotted() {
        assertThatThrownBy(() -> PottingUp.of(0, 1, potting("tip-in-water"), true, Optional.empty()))
                .hasMessageContaining("nothing to pot up");
        assertThatThrownBy(() -> new PottingUp.Row(Optional.of(5), 1, 1)).hasMessageContaining("1 to 100 cm");
    }
}
