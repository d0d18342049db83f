package garden.vivarium.app.young;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.batch.SentState;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Looks at young plants: what they lose and settle, what is taken back, and what many of them tell. */
class YoungLooksTest extends AtANursery {

    @Autowired
    private YoungLooks looks;

    @Autowired
    private SettlingRecord settling;

    @Autowired
    private Departures departures;

    private String code;

    private PottingView potted(int plants) {
        BatchView jar = in(() -> Growing.stuck(batches, guide, fuchsia, plants, TODAY.minusDays(60)));
        code = jar.code();
        in(() -> batches.look(code, Growing.count(TODAY.minusDays(45), plants, 0)));
        in(() -> moves.move(code, TODAY.minusDays(40), plants, plants));
        return move();
    }

    private PottingView move() {
        return in(() -> book.pottings(batches.find(code).id()).get(0));
    }

    private static YoungSeen seen(LocalDate day, int holds, int wobbles, int lost) {
        return new YoungSeen(day, holds, 0, wobbles, 0, lost, lost > 0 ? LossCause.ROT : null, null);
    }

    @Test
    void whenAllThatStandHoldTheyHaveSettledOnThatDay() {
        PottingView move = potted(12);

        assertThat(in(() -> looks.look(code, move.id(), seen(TODAY.minusDays(30), 7, 4, 1))))
                .isFalse();
        assertThat(move().settled()).isNull();
        assertThat(move().standing()).isEqualTo(11);
        assertThat(in(() -> looks.look(code, move.id(), seen(TODAY.minusDays(20), 11, 0, 0))))
                .isTrue();

        assertThat(move().settled()).isEqualTo(11);
        assertThat(move().settledOn()).isEqualTo(TODAY.minusDays(20));
        assertThat(in(() -> batches.find(code)).settled()).isEqualTo(11);
        YoungSheet sheet = in(() -> looks.sheet(code, move.id()));
        assertThat(sheet.looks()).extracting(YoungSheet.Looked::settles).containsExactly(true, false);
        assertThat(sheet.usual().setUp()).isEqualTo(12);
        assertThat(sheet.usual().median().orElseThrow().by()).isEqualTo(10);
    }

    @Test
    void moreThanStandCannotBeSeenAndNothingBeforeTheMove() {
        PottingView move = potted(6);

        assertThatThrownBy(() -> run(() -> looks.look(code, move.id(), seen(TODAY, 6, 1, 0))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("7 are more than the 6 that stand");
        assertThatThrownBy(() -> run(() -> looks.look(code, move.id(), seen(TODAY.minusDays(41), 6, 0, 0))))
                .isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> run(() -> looks.look(code, move.id(), seen(TODAY, 0, 0, 0))))
                .isInstanceOf(InvalidField.class);
        assertThat(in(() -> looks.sheet(code, move.id())).looks()).isEmpty();
    }

    @Test
    void marksAndMeasuresHaveTheirOwnDays() {
        PottingView move = potted(6);

        assertThat(in(() -> settling.milestones())).isEmpty();
        run(() -> looks.mark(code, move.id(), YoungMark.Mark.SALEABLE, TODAY.minusDays(10), 4));
        run(() -> looks.measure(code, move.id(), TODAY.minusDays(5), 120, null, 9));
        assertThatThrownBy(() -> run(() -> looks.mark(code, move.id(), YoungMark.Mark.SALEABLE, TODAY, 3)))
                .hasMessageContaining("2 at the most");
        assertThatThrownBy(() -> run(() -> looks.measure(code, move.id(), TODAY, null, null, null)))
                .isInstanceOf(InvalidField.class);

        YoungSheet sheet = in(() -> looks.sheet(code, move.id()));
        assertThat(sheet.marks()).extracting(YoungSheet.Marked::days).containsExactly(30L);
        assertThat(sheet.measures()).extracting(YoungSheet.Measured::heightMm).containsExactly(120);
        run(() -> looks.remove(sheet.marks().get(0).id()));
        assertThat(in(() -> looks.sheet(code, move.id())).marks()).isEmpty();
    }

    @Test
    void soldPlantsAreWrittenDownAsSoldAndASettlingLookIsNotTakenBackOverThem() {
        PottingView move = potted(5);
        run(() -> looks.look(code, move.id(), seen(TODAY.minusDays(20), 5, 0, 0)));
        run(() ->
                departures.send(code, new Departures.Departure(TODAY, 2, SentState.POTTED, "a neighbour", Fate.SOLD)));

        assertThat(in(() -> departures.of(move.batchId()))).singleElement().satisfies(s -> {
            assertThat(s.fate()).isEqualTo(Fate.SOLD);
            assertThat(s.pieces()).isEqualTo(2);
        });
        assertThat(move().standing()).isEqualTo(3);
        YoungSheet sheet = in(() -> looks.sheet(code, move.id()));
        assertThatThrownBy(() ->
                        run(() -> looks.takeBack(code, sheet.looks().get(0).id())))
                .hasMessageContaining("have left since");
    }

    /** Guide 0.9 or so for four plants; water's moves are worse than those from plugs. */
    @Test
    void thePriceOfRootingInWaterShows() {
        PottingView water = potted(20);
        run(() -> looks.look(code, water.id(), seen(TODAY.minusDays(25), 0, 10, 10)));
        run(() -> looks.look(code, water.id(), seen(TODAY.minusDays(15), 10, 0, 0)));
        BatchView plugs = running(20, 60);
        run(() -> batches.look(plugs.code(), Growing.count(TODAY.minusDays(30), 20, 0)));
        run(() -> moves.move(plugs.code(), TODAY.minusDays(29), 20, 20));
        PottingView plug = in(() -> book.pottings(plugs.id()).get(0));
        run(() -> moves.settle(plugs.code(), plug.id(), TODAY.minusDays(9), 19));

        List<SettlingRecord.Line> media = in(() -> settling.settled().byMedium());

        assertThat(media).extracting(SettlingRecord.Line::what).containsExactlyInAnyOrder("water", "plug compost");
        media.forEach(l -> assertThat(l.found().settled()).isEqualTo(l.what().equals("water") ? 10 : 19));
        SettlingRecord.Line first =
                media.stream().filter(l -> l.what().equals("water")).findFirst().orElseThrow();
        assertThat(first.found().rate().mean()).isLessThan(0.75);
        assertThat(first.found().median().orElseThrow().after()).isCloseTo(15, within(1));
    }

    /** Whatever is looked at, sold and taken back in whatever order: what stands is what was set up less what went. */
    @RepeatedTest(6)
    void whateverIsLookedAtAndTakenBackTheCountsAgree(RepetitionInfo run) {
        Random random = new Random(100 + run.getCurrentRepetition());
        PottingView move = potted(15);
        for (int i = 0; i < 14; i++) {
            int standing = move().standing();
            if (standing > 0 && random.nextInt(3) > 0) {
                int lost = random.nextInt(Math.min(3, standing));
                int holds = random.nextBoolean() ? standing - lost : random.nextInt(standing - lost + 1);
                YoungSeen seen = seen(TODAY.minusDays(30 - i), holds, 0, lost);
                if (seen.all() > 0) {
                    run(() -> looks.look(code, move.id(), seen));
                }
            } else {
                in(() -> looks.sheet(code, move.id())).looks().stream()
                        .filter(l -> !l.withdrawn())
                        .skip(random.nextInt(2))
                        .findFirst()
                        .ifPresent(l -> run(() -> looks.takeBack(code, l.id())));
            }
            PottingView now = move();
            List<YoungSheet.Looked> all = in(() -> looks.sheet(code, move.id())).looks();
            int lost = all.stream()
                    .filter(l -> !l.withdrawn())
                    .mapToInt(l -> l.seen().lost())
                    .sum();
            assertThat(now.lost().all()).isEqualTo(lost);
            assertThat(now.standing()).isEqualTo(15 - lost);
            assertThat(now.lost().unsettled()).isNotNegative();
            assertThat(now.lost().settled()).isNotNegative();
            assertThat(in(() -> batches.find(code)).settled()).isEqualTo(now.settled() == null ? 0 : now.standing());
            assertWhatIsRememberedIsWhatIsWritten();
        }
    }

    private void assertWhatIsRememberedIsWhatIsWritten() {
        assertThat(in(() -> book.moves(List.of(batches.find(code)))))
                .isEqualTo(in(() -> book.pottings(List.of(batches.find(code).id()))));
        List<Object> remembered = settled();
        settling.returned(new NurseryReturned(nursery));
        assertThat(settled()).isEqualTo(remembered);
    }

    private List<Object> settled() {
        return in(() -> settling.settled()).byWay().stream()
                .map(SettlingRecord.Line::found)
                .<Object>map(f -> List.of(
                        f.moves(), f.setUp(), f.settled(), f.median(), f.rate().mean()))
                .toList();
    }

    @Test
    void whatTheyCameToIsToldByWayWithItsDays() {
        PottingView move = potted(10);
        run(() -> looks.mark(code, move.id(), YoungMark.Mark.SALEABLE, TODAY.minusDays(20), 2));
        run(() -> looks.mark(code, move.id(), YoungMark.Mark.SALEABLE, TODAY.minusDays(10), 3));
        run(() -> looks.mark(code, move.id(), YoungMark.Mark.FLOWERED, TODAY.minusDays(30), 1));
        List<SettlingRecord.Milestone> came = in(() -> settling.milestones());
        assertThat(came)
                .extracting(
                        SettlingRecord.Milestone::mark,
                        SettlingRecord.Milestone::plants,
                        SettlingRecord.Milestone::of,
                        SettlingRecord.Milestone::first,
                        SettlingRecord.Milestone::half)
                .containsExactly(tuple("saleable", 5, 10, 20L, 30L), tuple("flowered", 1, 10, 10L, 10L));
        assertThat(came.get(0).what()).contains("water");
        assertThat(in(() -> looks.sheet(code, move.id())).came()).isEqualTo(came);
    }
}
