package garden.vivarium.app.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A stock plant's story: what it bears and gave, how it recovers, who came from it. */
class StoriesTest extends AtANursery {

    @Autowired
    private Stories stories;

    @Autowired
    private Families families;

    @Autowired
    private Corrections corrections;

    @Test
    void aHarvestIsTakenOffAndGrowsBackByEstimate() {
        StockPlantView counted =
                in(() -> counts.look(fuchsia.id(), TODAY.minusDays(30), 80, null, StockState.GROWING, null));
        run(() -> counts.cut(counted.id(), 26, TODAY.minusDays(21), false));

        StorySheet sheet = in(() -> stories.sheet(fuchsia.id()));
        assertThat(sheet.plant().bears().estimated()).isTrue();
        // 54 left, and of 26 cut half regrown after 21 of 42 days.
        assertThat(sheet.plant().piecesNow()).isEqualTo(67);
        assertThat(sheet.cutting().restsUntil()).contains(TODAY);
        assertThat(sheet.plant().regrowth().mayTake(TODAY, false))
                .as("a third of what it bears")
                .contains(22);
        assertThat(sheet.past().harvests())
                .singleElement()
                .satisfies(h -> assertThat(h.hard()).isFalse());
    }

    @Test
    void moreThanItBearsWellIsKeptAsAHardCutWhoeverCuts() {
        run(() -> counts.cut(fuchsia.id(), 27, TODAY, false));
        StorySheet sheet = in(() -> stories.sheet(fuchsia.id()));

        assertThat(sheet.past().harvests())
                .singleElement()
                .satisfies(h -> assertThat(h.hard()).isTrue());
        assertThat(sheet.cutting().restsUntil()).as("twice the rest").contains(TODAY.plusDays(42));
    }

    @Test
    void whatIsLeftBoundsTheNextCutUntilSomebodyCounts() {
        run(() -> counts.look(fuchsia.id(), TODAY, 5000, null, StockState.GROWING, null));
        run(() -> counts.cut(fuchsia.id(), 3000, TODAY, false));
        assertThatThrownBy(() -> run(() -> counts.cut(fuchsia.id(), 3000, TODAY, true)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("pieces"))
                .hasMessageContaining("3,000 are more than")
                .hasMessageContaining("2,000");
        run(() -> counts.cut(fuchsia.id(), 1999, TODAY, true));
        assertThatThrownBy(() -> run(() -> counts.cut(fuchsia.id(), 2, TODAY, true)))
                .hasMessageContaining("count it first");
        run(() -> counts.look(fuchsia.id(), TODAY, 40, null, StockState.GROWING, null));
        run(() -> counts.cut(fuchsia.id(), 2, TODAY, false));
        assertThat(in(() -> stories.sheet(fuchsia.id())).past().harvests()).hasSize(3);
    }

    @Test
    void recoveryAfterAHardCutIsCountedInShoots() {
        run(() -> counts.cut(fuchsia.id(), 70, TODAY.minusDays(30), true));
        assertThat(in(() -> stories.sheet(fuchsia.id())).past().recovery().orElseThrow())
                .contains("Nobody has counted new shoots");
        run(() -> counts.look(fuchsia.id(), TODAY.minusDays(12), null, 5, StockState.GROWING, null));
        run(() -> counts.look(fuchsia.id(), TODAY.minusDays(2), null, 14, StockState.GROWING, null));

        assertThat(in(() -> stories.sheet(fuchsia.id())).past().recovery().orElseThrow())
                .contains("70 pieces")
                .contains("Day 18: 5 new shoots.")
                .endsWith("Day 28: 14 new shoots.");
        assertThatThrownBy(() -> in(() -> counts.look(fuchsia.id(), TODAY, -1, null, StockState.GROWING, null)))
                .isInstanceOf(InvalidField.class);
    }

    @Test
    void aLotIsUsedUp() {
        StockPlantView lot = plant("Lily ‘Storm Glass’", "bulb", 20, StockKind.LOT, StockState.DORMANT, Climate.COLD);
        run(() -> counts.cut(lot.id(), 12, TODAY, false));
        assertThat(in(() -> stock.find(lot.id())).orElseThrow().piecesNow()).isEqualTo(8);
        assertThat(in(() -> stories.sheet(lot.id())).cutting().restsUntil())
                .as("a lot does not rest")
                .isEmpty();
        run(() -> counts.cut(lot.id(), 8, TODAY, false));
        assertThat(in(() -> stock.find(lot.id())).orElseThrow().isRetired()).isTrue();
        assertThat(in(() -> stock.live())).extracting(StockPlantView::id).containsExactly(fuchsia.id());
    }

    @Test
    void sistersAreComparedByWhatTheyGave() {
        StockPlantView sister = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        over(fuchsia, 20, 18);
        over(fuchsia, 20, 17);
        over(sister, 20, 6);

        StorySheet sheet = in(() -> stories.sheet(fuchsia.id()));
        assertThat(sheet.gave().pieces()).isEqualTo(40);
        assertThat(sheet.gave().youngPlants()).isEqualTo(35);
        StockYield other = sheet.sisters().get(0);
        assertThat(other.plant().code()).isEqualTo(sister.code());
        double better = sheet.gave().strike().orElseThrow().mean();
        double worse = other.strike().orElseThrow().mean();
        assertThat(better).isBetween(0.7, 35.0 / 40);
        assertThat(worse).as("drawn towards their common rate").isBetween(6.0 / 20, 0.6);
    }

    @Test
    void theFamilyRunsOverGenerationsAndReCutPieces() {
        BatchView first = over(fuchsia, 20, 15);
        StockPlantView daughter = keep(first, 3);
        BatchView second = over(daughter, 10, 9);
        keep(second, 1);
        BatchView recut = in(() -> batches.make(recut(second, 4)));

        Families.Family family = in(() -> families.of(daughter.id()));
        assertThat(family.eldest()).isEqualTo(fuchsia.code());
        assertThat(family.generations()).isEqualTo(3);
        assertThat(family.lines()).hasSize(6);
        assertThat(family.lines().get(0))
                .satisfies(l -> assertThat(l.stuck()).isEqualTo(34))
                .satisfies(l -> assertThat(l.ready()).isEqualTo(24));
        Families.FamilyRow again = family.lines().stream()
                .filter(l -> l.name().equals(recut.code()))
                .findFirst()
                .orElseThrow();
        assertThat(family.lines().get(again.parent()).name()).isEqualTo(second.code());
        assertThat(again.detail()).contains("3 to a pot");
        assertThat(again.running()).isTrue();
        assertThat(in(() -> stories.sheet(fuchsia.id())).offspring())
                .extracting(StockPlantView::code)
                .containsExactly(daughter.code());
        assertThat(in(() -> stories.sheet(daughter.id())).parent().orElseThrow().code())
                .isEqualTo(first.code());
    }

    @Test
    void aLookKeepsWhatWasCountedOfEachSort() {
        run(() -> counts.look(
                fuchsia.id(),
                TODAY.minusDays(2),
                null,
                Map.of("shoot-tips", 60, "stem-sections", 140),
                null,
                StockState.GROWING,
                null));

        assertThat(in(() -> stories.sheet(fuchsia.id())).past().looks())
                .singleElement()
                .satisfies(l -> assertThat(l.counts())
                        .containsExactly(Map.entry("shoot-tips", 60), Map.entry("stem-sections", 140)));
    }

    @Test
    void whoCountsMeanwhileIsSeenByWhoeverHadThePageOpen() {
        String before = in(() -> stock.find(fuchsia.id()).orElseThrow().seen());
        run(() -> counts.look(fuchsia.id(), TODAY, 51, null, StockState.GROWING, null));

        assertThat(in(() -> stock.find(fuchsia.id()).orElseThrow().seen())).isNotEqualTo(before);
    }

    @Test
    void whatIsChangedOfAStockPlantIsKeptWithWhatItWas() {
        run(() -> counts.look(fuchsia.id(), TODAY, null, Map.of("shoot-tips", 60), null, StockState.GROWING, null));
        run(() -> stock.change(
                fuchsia.id(),
                new StockPlantForm(
                        new StockPlantForm.Name(fuchsia.plant().name(), null, "soft", false, null, false),
                        new StockPlantForm.Rights(Protection.FREE, null),
                        fuchsia.kind(),
                        StockPlantForm.Came.from(fuchsia.came().origin()),
                        new StockPlantForm.Stands("Shade tunnel", Climate.OPEN),
                        new StockPlantForm.Condition(null, StockState.IN_BUD, null, Map.of("shoot-tips", 48)),
                        "leans")));

        assertThat(in(() -> corrections.of(fuchsia.id())))
                .extracting(m -> m.fact().what() + ": " + m.fact().was() + " → "
                        + m.fact().became())
                .containsExactlyInAnyOrder(
                        "place: Bench → Shade tunnel",
                        "how it is: growing → in bud",
                        "note: nothing → leans",
                        "shoot tips it bears: 60 → 48");
    }

    @Test
    void nobodyElseReadsIt() {
        assertThatThrownBy(() -> elsewhere(() -> stories.sheet(fuchsia.id()))).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> elsewhere(() -> families.of(fuchsia.id()))).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> elsewhere(() -> counts.look(fuchsia.id(), TODAY, 3, null, StockState.GROWING, null)))
                .isInstanceOf(NotFound.class);
    }

    private BatchView over(StockPlantView parent, int stuck, int ready) {
        LocalDate day = TODAY.minusDays(60);
        BatchView made = in(() -> Growing.stuck(batches, guide, parent, stuck, day));
        run(() -> batches.look(made.code(), Growing.count(day.plusDays(30), ready, stuck - ready)));
        run(() -> moves.move(made.code(), day.plusDays(31), ready, ready));
        run(() -> moves.settle(made.code(), book.pottings(made.id()).get(0).id(), day.plusDays(45), ready));
        return in(() -> batches.find(made.code()));
    }

    private StockPlantView keep(BatchView batch, int piece) {
        return in(() -> stock.add(
                new StockPlantForm(
                        batch.plant(),
                        batch.group(),
                        Protection.FREE,
                        null,
                        new StockPlantForm.Stands("Bench", null),
                        new StockPlantForm.Condition(null, StockState.GROWING, null),
                        null),
                batch.id(),
                piece));
    }

    private NewBatch recut(BatchView from, int pieces) {
        return NewBatch.by(guide.protocol("tip-in-water").orElseThrow())
                .of(
                        fuchsia.plant(),
                        from.origin().stockPlantId(),
                        fuchsia.place().id())
                .cutAgainFrom(from.id())
                .taken(TODAY.minusDays(5), pieces)
                .stuck(TODAY.minusDays(5), pieces)
                .perPot(3)
                .made();
    }
}
