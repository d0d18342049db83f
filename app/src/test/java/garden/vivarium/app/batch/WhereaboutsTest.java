package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Batches that are carried about, split, put together, and sent away in part: one batch in the statistics, every piece in one state. */
class WhereaboutsTest extends AtANursery {

    @Autowired
    private Whereabouts whereabouts;

    @Autowired
    private Departures departures;

    @Autowired
    private Corrections corrections;

    private String code;

    @BeforeEach
    void aTray() {
        code = in(() -> Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(20)))
                .code();
        in(() -> batches.look(code, Growing.count(TODAY.minusDays(5), 10, 2)));
    }

    private BatchView batch() {
        return in(() -> batches.find(code));
    }

    private static int all(BatchView b) {
        Counts c = b.counts();
        return c.pending() + b.readyToMove() + b.movedNow() + c.lost() + c.lostReady() + b.sentAway();
    }

    @Test
    void someOfItStandsElsewhereAndItIsOneBatchStill() {
        in(() -> whereabouts.carry(code, TODAY.minusDays(1), "Warm bench", 8, "row A"));

        assertThat(in(() -> whereabouts.of(batch().id()))).singleElement().satisfies(s -> {
            assertThat(s.isPart()).isTrue();
            assertThat(s.place()).isEqualTo("Warm bench");
        });
        assertThatThrownBy(() -> in(() -> whereabouts.carry(code, TODAY, "Cold bench", 15, null)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("14 pieces stand with the rest");
        in(() -> batches.look(code, Growing.count(TODAY, 14, 2)));
        assertThat(in(() -> evidence.record().of(batch().way())))
                .singleElement()
                .satisfies(b -> {
                    assertThat(b.stuck()).isEqualTo(24);
                    assertThat(b.kept()).isEqualTo(14);
                });

        in(() -> whereabouts.rejoin(
                code, in(() -> whereabouts.of(batch().id())).get(0).id(), TODAY));
        assertThat(in(() -> whereabouts.of(batch().id()))).noneMatch(StandView::isPart);
        in(() -> whereabouts.carry(code, TODAY, "Warm bench", null, null));
        assertThat(batch().placeId())
                .isEqualTo(in(() -> stock.placeNamed("Warm bench", null)).id());
    }

    @Test
    void remnantsOfOnePlantShareAVesselAndKeepTheirLabels() {
        String other = in(() -> Growing.tray(batches, guide, fuchsia, 2, 6, TODAY.minusDays(18)))
                .code();
        in(() -> whereabouts.together(code, other));

        assertThat(in(() -> whereabouts.with(code))).containsExactly(other);
        assertThat(in(() -> whereabouts.with(other))).containsExactly(code);
        in(() -> whereabouts.apart(other));
        assertThat(in(() -> whereabouts.with(code))).isEmpty();
        assertThatThrownBy(() -> in(() -> whereabouts.together(code, "99w01-Z")))
                .hasMessageContaining("No batch has the label code");
    }

    @Test
    void whatIsSentAwayLeavesInTheStateItHad() {
        in(() -> departures.send(code, new Departures.Departure(TODAY, 3, SentState.UNROOTED, "Gull Rock Gardens")));
        in(() -> departures.send(code, new Departures.Departure(TODAY, 4, SentState.READY, "a neighbour")));
        in(() -> moves.move(code, TODAY, 5, 5));
        in(() -> departures.send(code, new Departures.Departure(TODAY, 2, SentState.POTTED, "")));

        BatchView b = batch();
        assertThat(b.sentAway()).isEqualTo(7);
        assertThat(b.movedNow()).isEqualTo(5);
        assertThat(b.readyToMove()).isEqualTo(1);
        assertThat(all(b)).isEqualTo(24);
        assertThat(in(() -> book.pottings(b.id())))
                .singleElement()
                .satisfies(p -> assertThat(p.maySettle()).isEqualTo(3));
        WayBatch told = in(() -> evidence.record().of(b.way())).get(0);
        assertThat(told.kept()).as("what left rooted has rooted").isEqualTo(10);
        assertThatThrownBy(() ->
                        in(() -> departures.send(code, new Departures.Departure(TODAY, 2, SentState.READY, ""))))
                .hasMessageContaining("1 stands here that is rooted");
        assertThat(in(() -> departures.of(b.id()))).hasSize(3);
    }

    @Test
    void aCarryingIsCorrectedOrTakenBack() {
        UUID home = batch().placeId();
        in(() -> whereabouts.carry(code, TODAY.minusDays(3), "Warm bench", 8, "row A"));
        in(() -> whereabouts.carry(code, TODAY.minusDays(2), "Cold frame", null, null));
        in(() -> whereabouts.carry(code, TODAY.minusDays(1), "Porch", null, null));

        StandView porch = stood("Porch");
        in(() -> whereabouts.correct(code, porch.id(), TODAY, "Shade house", null, null, "read wrong"));
        assertThat(stood("Shade house").since()).isEqualTo(TODAY);
        assertThat(batch().placeId()).isEqualTo(place("Shade house"));

        in(() -> whereabouts.takeBack(code, stood("Cold frame").id(), null));
        assertThat(stood("Warm bench").until()).as("until the next was carried").isEqualTo(TODAY.minusDays(1));
        in(() -> whereabouts.takeBack(code, stood("Shade house").id(), null));
        assertThat(batch().placeId()).isEqualTo(home);
        assertThat(stood("Warm bench").isPart()).isTrue();
        assertThatThrownBy(() -> in(
                        () -> whereabouts.correct(code, stood("Warm bench").id(), TODAY, "Warm bench", 30, null, null)))
                .hasMessageContaining("22 pieces stand with the rest");
        in(() -> whereabouts.correct(code, stood("Warm bench").id(), TODAY, "Warm bench", 9, "row A", null));
        assertThat(stood("Warm bench").pieces()).isEqualTo(9);
        assertThat(in(() -> corrections.of(batch().id())).stream()
                        .map(c -> c.fact().what() + ": " + c.fact().became()))
                .anyMatch(c -> c.endsWith("place: Shade house"))
                .anyMatch(c -> c.endsWith("place: taken back"))
                .anyMatch(c -> c.endsWith("pieces: 9"));
    }

    private StandView stood(String place) {
        return in(() -> whereabouts.of(batch().id())).stream()
                .filter(s -> s.place().equals(place))
                .findFirst()
                .orElseThrow();
    }

    private UUID place(String name) {
        return in(() -> stock.placeNamed(name, null)).id();
    }

    @Test
    void whatLeftIsCorrectedWithTheLooksThatCountedIt() {
        send(TODAY.minusDays(4), 3, SentState.UNROOTED);
        in(() -> batches.look(
                code,
                LookCommand.ofCounts(
                        UUID.randomUUID(),
                        TODAY.minusDays(2),
                        LookKind.LIFTED,
                        new LookCommand.Counted(null, 12, 2, 3, null),
                        null,
                        null)));
        UUID first = in(() -> departures.of(batch().id())).get(0).id();
        in(() -> departures.correct(
                code,
                first,
                new Departures.Departure(TODAY.minusDays(4), 5, SentState.UNROOTED, "Gull Rock"),
                "miscounted"));
        assertThat(batch().counts()).isEqualTo(new Counts(24, 12, 12, 2, 5, 0));
        in(() -> departures.correct(
                code,
                in(() -> departures.of(batch().id())).get(0).id(),
                new Departures.Departure(TODAY.minusDays(4), 0, SentState.UNROOTED, null),
                null));
        assertThat(batch().counts().sent()).isZero();
        assertThat(batch().counts().ready()).isEqualTo(12);
        assertThat(in(() -> departures.of(batch().id()))).isEmpty();
    }

    @Test
    void whatLeftInPotsComesBackToItsPots() {
        in(() -> moves.move(code, TODAY.minusDays(4), 4, 4));
        in(() -> moves.move(code, TODAY.minusDays(3), 6, 6));
        send(TODAY, 5, SentState.POTTED);
        assertThat(in(() -> departures.of(batch().id()))).hasSize(2);
        assertThat(in(() -> book.pottings(batch().id())).get(0).settled())
                .as("nothing is left of the first")
                .isZero();
        for (SentView left : in(() -> departures.of(batch().id()))) {
            in(() -> departures.correct(code, left.id(), new Departures.Departure(TODAY, 0, left.state(), ""), null));
        }
        assertThat(in(() -> book.pottings(batch().id()))).allSatisfy(p -> {
            assertThat(p.settled()).isNull();
            assertThat(p.maySettle()).isEqualTo(p.pieces());
        });
        assertThat(all(batch())).isEqualTo(24);
    }

    @Test
    void aLookThatSaysWhatLeftIsNotTakenBackByItself() {
        send(TODAY, 3, SentState.UNROOTED);
        UUID look = in(() -> book.looks(code)).checks().get(0).id();
        assertThatThrownBy(() -> in(() -> batches.takeBack(code, look))).hasMessageContaining("correct it under");
    }

    private void send(LocalDate day, int pieces, SentState state) {
        in(() -> departures.send(code, new Departures.Departure(day, pieces, state, "x")));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyPieceIsInOneStateWhateverHappens(long seed) {
        Random random = new Random(seed);
        for (int step = 0; step < 14; step++) {
            BatchView b = batch();
            int able = b.readyToMove();
            switch (random.nextInt(7)) {
                case 0 -> {
                    if (b.counts().pending() > 0) {
                        in(() -> departures.send(code, new Departures.Departure(TODAY, 1, SentState.UNROOTED, "x")));
                    }
                }
                case 1 -> {
                    if (able > 0) {
                        in(() -> departures.send(
                                code, new Departures.Departure(TODAY, 1 + random.nextInt(able), SentState.READY, "x")));
                    }
                }
                case 2 -> {
                    if (able > 0) {
                        int n = 1 + random.nextInt(able);
                        in(() -> moves.move(code, TODAY, n, n));
                    }
                }
                case 3, 4 -> {
                    List<SentView> left = in(() -> departures.of(b.id()));
                    if (!left.isEmpty()) {
                        SentView one = left.get(random.nextInt(left.size()));
                        int really = random.nextInt(one.pieces() + 1);
                        in(() -> departures.correct(
                                code, one.id(), new Departures.Departure(one.on(), really, one.state(), "y"), null));
                    }
                }
                case 5 -> in(() -> whereabouts.carry(code, TODAY, "Place " + random.nextInt(3), null, null));
                default -> {
                    Counts c = b.counts();
                    int more = c.pending() == 0 ? 0 : random.nextInt(c.pending() + 1);
                    in(() -> batches.look(
                            code,
                            LookCommand.ofCounts(
                                    UUID.randomUUID(),
                                    TODAY,
                                    LookKind.LIFTED,
                                    new LookCommand.Counted(null, c.ready() + more, c.lost(), c.sent(), null),
                                    null,
                                    null)));
                }
            }
            assertThat(all(batch())).as("after step %d", step).isEqualTo(24);
        }
    }
}
