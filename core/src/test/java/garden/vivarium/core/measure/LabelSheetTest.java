package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.measure.LabelSheet.Size;
import garden.vivarium.core.measure.LabelSheet.Spot;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LabelSheetTest {

    static List<LabelSheet> sheets() {
        return LabelSheet.COMMON;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void labelsLieOnThePaperAndNotOverEachOther(LabelSheet sheet) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < sheet.count(); i++) {
            Spot spot = sheet.spot(i);
            assertThat(spot.sheet()).isZero();
            assertThat(spot.x())
                    .isBetween(0.0, sheet.paper().width() - sheet.label().width() + 0.05);
            assertThat(spot.y())
                    .isBetween(0.0, sheet.paper().height() - sheet.label().height() + 0.05);
            assertThat(spots)
                    .noneMatch(other -> Math.abs(other.x() - spot.x())
                                    < sheet.label().width() - 0.001
                            && Math.abs(other.y() - spot.y()) < sheet.label().height() - 0.001);
            spots.add(spot);
        }
    }

    @Test
    void labelsAreCountedAlongRowsAndOnToTheNextSheet() {
        LabelSheet sheet = LabelSheet.named("a4-21").orElseThrow();

        assertThat(sheet.count()).isEqualTo(21);
        assertThat(sheet.spot(0)).isEqualTo(new Spot(0, 7.2, 15.1));
        assertThat(sheet.spot(4).x()).isEqualTo(73.2);
        assertThat(sheet.spot(4).y()).isEqualTo(53.2);
        assertThat(sheet.spot(21)).isEqualTo(new Spot(1, 7.2, 15.1));
    }

    @Test
    void aSheetThatWasBegunGoesOnAtItsFirstFreeLabel() {
        LabelSheet sheet = LabelSheet.named("a4-21").orElseThrow();

        assertThat(sheet.nextFree(5, 10)).isEqualTo(15);
        assertThat(sheet.nextFree(5, 16)).isZero();
        assertThat(sheet.nextFree(5, 20)).isEqualTo(4);
    }

    @Test
    void whatDoesNotFitIsNoSheet() {
        Size paper = new Size(210, 297);
        Size label = new Size(70, 36);

        assertThatThrownBy(() -> new LabelSheet("x", paper, 4, 8, label, new Size(0, 0), label))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("fit");
        assertThatThrownBy(() -> new LabelSheet("x", paper, 3, 8, label, new Size(0, 0), new Size(69, 36)))
                .hasMessageContaining("over each other");
        assertThatThrownBy(() -> new LabelSheet("x", paper, 0, 8, label, new Size(0, 0), label))
                .hasMessageContaining("one label");
        assertThatThrownBy(() -> LabelSheet.COMMON.get(0).spot(-1)).isInstanceOf(IndexOutOfBoundsException.class);
    }
}
