package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.plan.PlanState;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.treatment.Treatments;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What really happened, told late: facts corrected, batches withdrawn and taken back. */
class BatchCorrectionsTest extends AtANursery {

    @Autowired
    private BatchCorrections corrections;

    @Autowired
    private Whereabouts whereabouts;

    @Autowired
    private DoneCorrections done;

    @Autowired
    private Plans plans;

    @Test
    void eachFactIsCorrectedWithWhatItWasWhoSaidSoAndWhy() {
        BatchView wrong = running(24, 30);
        PlaceView shelf = in(() -> stock.placeNamed("Lit shelf", Climate.LIT));
        StockPlantView sage = plant("Sage ‘Lighter Grey’", "soft", 60);
        NewBatch right = NewBatch.by(guide.protocol("tip-in-water").orElseThrow())
                .of(sage.plant(), sage.id(), shelf.id())
                .taken(TODAY.minusDays(28), 22)
                .stuck(TODAY.minusDays(27), 20)
                .treated(Treatments.read("bottom heat"), "warm from below")
                .perPot(3)
                .made();

        BatchView now = in(() -> corrections.correct(wrong.code(), right, "mixed up two labels"));

        assertThat(now.code()).as("the label has it").isEqualTo(wrong.code());
        assertThat(now.plant()).isEqualTo("Sage ‘Lighter Grey’");
        assertThat(now.method()).isEqualTo("tip cutting");
        assertThat(now.medium()).isEqualTo("water");
        assertThat(now.placeId()).isEqualTo(shelf.id());
        assertThat(now.taking()).isEqualTo(new Taking(TODAY.minusDays(28), 22, TODAY.minusDays(27), 20));
        assertThat(now.dayZero()).isEqualTo(TODAY.minusDays(27));
        assertThat(now.season().isInSeason())
                .as("there is no season under lamps")
                .isTrue();
        assertThat(in(() -> corrections.of(now.id())))
                .extracting(m -> m.fact().what())
                .contains(
                        "plant",
                        "stock plant",
                        "day taken",
                        "pieces taken",
                        "day stuck",
                        "pieces stuck",
                        "place",
                        "medium",
                        "treatment",
                        "instead of the protocol",
                        "pieces to a pot")
                .doesNotContain("tray");
        assertThat(in(() -> corrections.of(now.id()))).allSatisfy(m -> {
            assertThat(m.why()).isEqualTo("mixed up two labels");
            assertThat(m.by()).isEqualTo("Vivarium");
        });
        assertThat(in(() -> evidence.record().ways().keySet()))
                .extracting(Way::plant)
                .containsExactly(now.plant());
    }

    @Test
    void aCorrectionThatALookGainsaysNamesTheLook() {
        BatchView batch = running(24, 30);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(20), 0, 2)));
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(5), 18, 2)));

        assertThatThrownBy(() ->
                        in(() -> corrections.correct(batch.code(), stuckOn(batch, TODAY.minusDays(15), 24), null)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Tue 26 May")
                .satisfies(e -> assertThat(((InvalidField) e).field()).isEqualTo("stuckOn"));
        assertThatThrownBy(() ->
                        in(() -> corrections.correct(batch.code(), stuckOn(batch, TODAY.minusDays(30), 19), null)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("The look of Wed 10 Jun could not be true")
                .satisfies(e -> assertThat(((InvalidField) e).field()).isEqualTo("stuck"));
        assertThat(in(() -> batches.find(batch.code())).stuck())
                .as("nothing was kept")
                .isEqualTo(24);

        run(() -> moves.move(batch.code(), TODAY.minusDays(4), 10, 10));
        assertThatThrownBy(() ->
                        in(() -> corrections.correct(batch.code(), stuckOn(batch, TODAY.minusDays(1), 24), null)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("moved on Thu 11 Jun");
    }

    private NewBatch stuckOn(BatchView b, LocalDate day, int pieces) {
        return like(b, new Taking(b.takenOn(), b.taken(), day, pieces));
    }

    private NewBatch like(BatchView b, Taking taking) {
        return new NewBatch(
                fuchsia.plant(), b.origin(), b.placeId(), b.done(), taking, b.vessel(), b.material(), b.guess());
    }

    @Test
    void whatNeverWasIsWithdrawnAndCanBeTakenBack() {
        PlanView plan = in(() ->
                plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(90)).of(12, 80)));
        int take = plan.start().take();
        BatchView batch = in(() -> plans.stick(
                plan.id(),
                NewBatch.by(guide.protocol("tip-in-plugs").orElseThrow())
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .onPlan(plan.id())
                        .taken(TODAY, take)
                        .stuck(TODAY, take)
                        .made()));
        assertThat(bears()).isEqualTo(80 - take);
        assertThat(in(() -> evidence.record().ways())).hasSize(1);

        assertThatThrownBy(() -> in(() -> corrections.withdraw(batch.code(), " ")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Say in a word why");
        run(() -> corrections.withdraw(batch.code(), "that was a dry run"));

        assertThatThrownBy(() -> in(() -> batches.find(batch.code()))).isInstanceOf(NotFound.class);
        assertThat(in(() -> evidence.record().ways())).isEmpty();
        assertThat(bears()).as("nothing was cut").isEqualTo(80);
        assertThat(in(() -> plans.waiting())).extracting(PlanView::id).containsExactly(plan.id());
        assertThat(in(() -> corrections.withdrawn())).singleElement().satisfies(w -> {
            assertThat(w.code()).isEqualTo(batch.code());
            assertThat(w.why()).isEqualTo("that was a dry run");
        });
        assertThat(running(5, 0).code()).as("its code is not given twice").isNotEqualTo(batch.code());
        assertThat(elsewhere(() -> corrections.withdrawn())).isEmpty();

        run(() -> corrections.restore(batch.code()));
        assertThat(in(() -> batches.find(batch.code())).stuck()).isEqualTo(take);
        assertThat(in(() -> corrections.withdrawn())).isEmpty();
        assertThat(bears()).isEqualTo(80 - take);
        assertThat(in(() -> plans.waiting())).isEmpty();
        assertThat(in(() -> plans.stuck()))
                .extracting(p -> p.standing().state())
                .containsExactly(PlanState.STUCK);
    }

    @Test
    void whatWasCutIsTakenOffThePlantThatItReallyCameFrom() {
        StockPlantView sister = plant("Fuchsia ‘Skerry Lantern’", "soft", 70);
        BatchView batch = running(20, 10);
        run(() ->
                counts.cutFor(new StockCounts.ForBatch(fuchsia.id(), batch.method(), batch.takenOn(), null), 20, null));
        run(() -> counts.look(sister.id(), TODAY.minusDays(20), 70, null, sister.state(), null));
        NewBatch right = new NewBatch(
                sister.plant(),
                new Origin(null, sister.id(), null, null),
                batch.placeId(),
                batch.done(),
                new Taking(batch.takenOn(), 18, batch.stuckOn(), 18),
                batch.vessel(),
                batch.material(),
                batch.guess());

        run(() -> corrections.correct(batch.code(), right, null));

        assertThat(in(() -> counts.harvests(fuchsia.id()))).isEmpty();
        assertThat(in(() -> counts.harvests(sister.id())))
                .singleElement()
                .satisfies(h -> assertThat(h.pieces()).isEqualTo(18));
    }

    @Test
    void correctedHistoriesTellWhatTheSameTruthToldFromTheStartTells() {
        UUID other = Nurseries.make(people).id();
        Random random = new Random(1127);
        Map<Way, List<WayBatch>> late = in(() -> tell(random.nextLong(), true));
        Map<Way, List<WayBatch>> rightAway = current.workingFor(other, () -> tell(new Random(1127).nextLong(), false));

        assertThat(late.values().stream().mapToInt(List::size).sum()).isEqualTo(HISTORIES);
        late.forEach((way, told) ->
                assertThat(told).as(WayWords.of(way)).containsExactlyInAnyOrderElementsOf(rightAway.get(way)));
        assertThat(late.keySet()).isEqualTo(rightAway.keySet());
    }

    @Test
    void aStickIsWithdrawnAndDoneAnew() {
        Protocol pads = guide.protocol("pad-in-grit").orElseThrow();
        StockPlantView cactus = in(() -> Growing.stockPlant(stock, "Opuntia ‘Razor Shell’"));
        String code = in(() -> batches.make(Growing.newBatch(pads, cactus, 8, TODAY.minusDays(20), TODAY.minusDays(6))))
                .code();
        assertThat(in(() -> evidence.record().ways())).isNotEmpty();

        BatchView dry = in(() -> corrections.unstick(code, "that was the other tray"));

        assertThat(dry.isStuck()).isFalse();
        assertThat(in(() -> evidence.record().ways())).isEmpty();
        BatchView again = in(() -> batches.stick(code, TODAY.minusDays(2), 7));
        assertThat(again.stuck()).isEqualTo(7);
        in(() -> batches.look(code, Growing.count(TODAY, 0, 1)));
        assertThatThrownBy(() -> in(() -> corrections.unstick(code, null))).hasMessageContaining("looked at or moved");
    }

    private static final int HISTORIES = 15;

    /** Many batches with looks; with mistakes, each is first written down wrong and put right later. */
    private Map<Way, List<WayBatch>> tell(long seed, boolean mistakes) {
        Random random = new Random(seed);
        Random slips = new Random(seed + 1);
        List<StockPlantView> parents = new ArrayList<>();
        for (String name : List.of("Fuchsia ‘Ebb’", "Sage ‘Flood’")) {
            parents.add(Growing.stockPlant(stock, name));
        }
        List<String> ways = List.of("tip-in-plugs", "tip-in-water");
        for (int i = 0; i < HISTORIES; i++) {
            StockPlantView parent = parents.get(random.nextInt(2));
            String way = ways.get(random.nextInt(2));
            int stuck = 6 + random.nextInt(30);
            LocalDate day = TODAY.minusDays(50 + random.nextInt(20));
            NewBatch truth = batch(parent, way, stuck, day);
            String code = batches.make(
                            mistakes
                                    ? batch(
                                            parents.get(slips.nextInt(2)),
                                            way,
                                            stuck + slips.nextInt(5),
                                            day.minusDays(slips.nextInt(6)))
                                    : truth)
                    .code();
            int ready = 0;
            int lost = 0;
            for (int look = 1; look <= 3; look++) {
                LocalDate on = day.plusDays(12L * look);
                ready += random.nextInt(Math.max(1, (stuck - ready - lost) / 2 + 1));
                lost += random.nextInt(Math.max(1, (stuck - ready - lost) / 3 + 1));
                if (mistakes && slips.nextBoolean()) {
                    // Of another day and other counts, put right a moment later.
                    batches.look(code, Growing.count(on.minusDays(1), ready, Math.min(stuck - ready, lost + 1)));
                    UUID check = book.looks(code).checks().stream()
                            .filter(c -> !c.isWithdrawn() && c.lookedOn().equals(on.minusDays(1)))
                            .findFirst()
                            .orElseThrow()
                            .id();
                    done.correctLook(
                            code,
                            check,
                            on,
                            LookKind.LIFTED,
                            Growing.count(on, ready, lost).counts(),
                            Map.of(),
                            null,
                            null);
                } else {
                    batches.look(code, Growing.count(on, ready, lost));
                }
            }
            if (!mistakes && batches.find(code).counts().pending() > 1) {
                batches.lookUnchanged(code, TODAY);
            }
            int moved = ready / 2;
            if (moved > 0) {
                moves.move(code, day.plusDays(40), mistakes ? 1 : moved, mistakes ? 1 : moved);
                UUID move = book.pottings(batches.find(code).id()).get(0).id();
                if (mistakes) {
                    done.correctMove(code, move, day.plusDays(40), moved, moved, moved / 2, null);
                } else {
                    moves.settle(code, move, day.plusDays(45), moved / 2);
                }
            }
            if (mistakes) {
                if (slips.nextInt(3) == 0) {
                    corrections.withdraw(code, "a slip");
                    corrections.restore(code);
                }
                corrections.correct(code, truth, null);
                if (batches.find(code).counts().pending() > 1) {
                    // Some of it stands elsewhere for a while: it is one batch all the same.
                    whereabouts.carry(code, TODAY, "Warm bench", 1, "A1");
                    batches.lookUnchanged(code, TODAY);
                    UUID part = whereabouts.of(batches.find(code).id()).get(0).id();
                    whereabouts.rejoin(code, part, TODAY);
                }
                String never = batches.make(batch(parent, way, 7, day)).code();
                corrections.withdraw(never, "it never was");
            }
        }
        return evidence.record().ways();
    }

    private NewBatch batch(StockPlantView parent, String way, int pieces, LocalDate day) {
        return Growing.newBatch(guide.protocol(way).orElseThrow(), parent, pieces, day, day);
    }

    private int bears() {
        Supplier<Integer> now = () -> stock.find(fuchsia.id()).orElseThrow().piecesNow();
        return in(now);
    }
}
