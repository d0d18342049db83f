package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.measure.BenchLayout.Box;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.BenchLayout.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class BenchLayoutTest {

    private static Box box(String key, double wide, double deep) {
        return new Box(key, new Size(wide, deep), Optional.empty());
    }

    @Test
    void traysStandInRowsFromTheBack() {
        BenchLayout layout =
                BenchLayout.of(new Size(120, 60), List.of(box("a", 54, 28), box("b", 54, 28), box("c", 54, 28)), 2);

        assertThat(layout.spots()).isEqualTo(Map.of("a", new Spot(0, 0), "b", new Spot(56, 0), "c", new Spot(0, 30)));
        assertThat(layout.without()).isEmpty();
    }

    @Test
    void whatSomebodyPutSomewhereStaysAndTheRestGoesRoundIt() {
        Box put = new Box("put", new Size(54, 28), Optional.of(new Spot(20, 5)));
        BenchLayout layout = BenchLayout.of(new Size(140, 60), List.of(box("free", 54, 28), put), 1);

        assertThat(layout.spots().get("put")).isEqualTo(new Spot(20, 5));
        assertThat(layout.spots().get("free")).isEqualTo(new Spot(75, 0));
        Box beyond = new Box("beyond", new Size(54, 28), Optional.of(new Spot(900, -3)));
        assertThat(BenchLayout.of(new Size(140, 60), List.of(beyond), 1).spots().get("beyond"))
                .as("on the bench")
                .isEqualTo(new Spot(86, 0));
    }

    @Test
    void whatFindsNoRoomIsTold() {
        BenchLayout layout = BenchLayout.of(new Size(60, 30), List.of(box("a", 54, 28), box("b", 12, 12)), 1);

        assertThat(layout.without()).containsExactly("b");
    }

    @Test
    void sizesGoByCellsOrPieces() {
        assertThat(BenchLayout.sizeOf(Optional.of(6), Optional.of(12), 72)).isEqualTo(new Size(54, 28));
        assertThat(BenchLayout.sizeOf(Optional.of(12), Optional.of(6), 72)).isEqualTo(new Size(28, 54));
        assertThat(BenchLayout.sizeOf(Optional.of(4), Optional.of(6), 24)).isEqualTo(new Size(36, 24));
        assertThat(BenchLayout.sizeOf(Optional.empty(), Optional.empty(), 8)).isEqualTo(new Size(12, 12));
        assertThat(BenchLayout.sizeOf(Optional.empty(), Optional.empty(), 100)).isEqualTo(BenchLayout.TRAY);
        assertThat(BenchLayout.trays(new Size(280, 60))).isEqualTo(10);
    }

    @RepeatedTest(20)
    void nothingThatWasPutByTheProgramLiesOverAnythingElseOrBeyondTheBench(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        Size bench = new Size(150 + random.nextInt(200), 50 + random.nextInt(60));
        List<Box> boxes = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            boxes.add(box("b" + i, 10 + random.nextInt(45), 10 + random.nextInt(25)));
        }
        BenchLayout layout = BenchLayout.of(bench, boxes, 1);

        assertThat(layout.spots().size() + layout.without().size()).isEqualTo(30);
        for (Box a : boxes) {
            Spot at = layout.spots().get(a.key());
            if (at == null) {
                continue;
            }
            assertThat(at.x() + a.size().wide()).isLessThanOrEqualTo(bench.wide() + 1e-6);
            assertThat(at.y() + a.size().deep()).isLessThanOrEqualTo(bench.deep() + 1e-6);
            assertThat(boxes).noneMatch(b -> {
                Spot other = layout.spots().get(b.key());
                return b != a
                        && other != null
                        && at.x() < other.x() + b.size().wide()
                        && other.x() < at.x() + a.size().wide()
                        && at.y() < other.y() + b.size().deep()
                        && other.y() < at.y() + a.size().deep();
            });
        }
    }

    /** Each stands where it would if those before it had been put there by hand and it were looked for from the very back. */
    @RepeatedTest(10)
    void likeSizesAreLookedForNoFurtherToTheFrontThanNeedBe(RepetitionInfo run) {
        Random random = new Random(100 + run.getCurrentRepetition());
        Size bench = new Size(200, 110);
        Size[] sizes = {BenchLayout.TRAY, new Size(36, 24), new Size(12, 12)};
        List<Box> boxes = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            boxes.add(new Box("b" + i, sizes[random.nextInt(sizes.length)], Optional.empty()));
        }
        BenchLayout layout = BenchLayout.of(bench, boxes, 1.5);

        List<Box> before = new ArrayList<>();
        for (Box box : boxes) {
            before.add(box);
            assertThat(BenchLayout.of(bench, before, 1.5).spots().get(box.key()))
                    .isEqualTo(layout.spots().get(box.key()));
            before.set(
                    before.size() - 1,
                    new Box(
                            box.key(),
                            box.size(),
                            Optional.ofNullable(layout.spots().get(box.key()))));
            before.removeIf(b -> b.at().isEmpty());
        }
        assertThat(layout.without()).isNotEmpty();
    }
}
