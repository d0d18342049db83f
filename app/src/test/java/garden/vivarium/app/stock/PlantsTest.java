package garden.vivarium.app.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.Offers;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a plant is can be said later and otherwise, and its batches and evidence follow. */
class PlantsTest extends AtANursery {

    @Autowired
    private UsualWays usual;

    @Autowired
    private Plants plants;

    @Autowired
    private KindsCalled called;

    @Autowired
    private Offers offers;

    @Test
    void aNameFindsItsKindAndItsGroup() {
        StockPlantView found = in(() -> stock.add(form("Pelargonum ‘Harbour Light’", null, null)));

        assertThat(found.plant().kind()).isEqualTo("pelargonium");
        assertThat(found.plant().group()).isEqualTo("soft");
    }

    @Test
    void aKindCanBeOverruledAndAnUnknownNameNeedsAGroup() {
        assertThat(in(() -> stock.add(form("Fuchsia ‘Kelp’", "-", "woody"))).plant())
                .extracting(PlantView::kind, PlantView::group)
                .containsExactly("", "woody");
        assertThat(in(() -> stock.add(form("Quibblewort", null, "clump")))
                        .plant()
                        .kind())
                .isEmpty();
        assertThatThrownBy(() -> in(() -> stock.add(form("Quibblewort the second", null, null))))
                .hasMessageContaining("Choose the group");
        assertThatThrownBy(() -> in(() -> stock.add(form("Sage ‘Tar’", "dragonfruitish", null))))
                .hasMessageContaining("no such kind");
    }

    @Test
    void renamedAndOfAnotherKindItsBatchesAndItsEvidenceFollow() {
        finished(20, 15, 120);
        BatchView running = running(12, 5);
        assertThat(running.way().kind()).isEqualTo("fuchsia");

        run(() -> stock.change(fuchsia.id(), form("Hydrangea ‘Slack Tide’", null, "woody")));

        BatchView after = in(() -> batches.find(running.code()));
        assertThat(after.plant()).isEqualTo("Hydrangea ‘Slack Tide’");
        assertThat(after.way().kind()).isEqualTo("hydrangea");
        assertThat(after.group()).isEqualTo("woody");
        assertThat(in(() -> evidence.record()).ways().keySet())
                .extracting(w -> w.plant())
                .containsOnly("Hydrangea ‘Slack Tide’");
        assertThat(in(() -> evidence.record()).past(after.way()).pieces()).isEqualTo(20);
    }

    @Test
    void anotherPlantsNameIsRefused() {
        plant("Sage ‘Lighter Grey’", "soft", 40);

        assertThatThrownBy(() -> in(() -> stock.change(fuchsia.id(), form("Sage ‘Lighter Grey’", null, "soft"))))
                .hasMessageContaining("make the two one");
    }

    @Test
    void twoThatAreOneAreMadeOneWithAllTheirBatches() {
        finished(20, 15, 120);
        StockPlantView twin = plant("Fuchsia Skerry Lanturn", "soft", 30);
        run(() -> plants.strike(twin.plant().id(), "stem section", "rots here"));

        run(() -> usual.make(fuchsia.plant().name(), "MEDIUM", "perlite", "it gave more"));
        run(() -> usual.make(fuchsia.plant().name(), "HORMONE", "no hormone", "as good without"));
        run(() -> usual.make(twin.plant().name(), "MEDIUM", "coir", "the one that stays says so"));

        run(() -> plants.merge(fuchsia.plant().id(), twin.plant().id()));

        assertThat(in(() -> usual.all()))
                .extracting(UsualWayView::plant, UsualWayView::what)
                .containsExactlyInAnyOrder(
                        tuple("Fuchsia Skerry Lanturn", "coir"), tuple("Fuchsia Skerry Lanturn", "no hormone"));
        assertThat(in(() -> plants.all())).extracting(PlantView::name).containsExactly("Fuchsia Skerry Lanturn");
        assertThat(in(() -> stock.find(fuchsia.id())).orElseThrow().plant().id())
                .isEqualTo(twin.plant().id());
        assertThat(in(() -> evidence.record()).ways().keySet())
                .extracting(w -> w.plant())
                .containsOnly("Fuchsia Skerry Lanturn");
        assertThat(in(() -> plants.ways(twin.plant().id()))).hasSize(1);
        assertThatThrownBy(() ->
                        in(() -> plants.merge(twin.plant().id(), twin.plant().id())))
                .hasMessageContaining("the plant itself");
    }

    @Test
    void aWayIsStruckOffAndTakenBackAndAnUnusualOneAdded() {
        assertThat(methods()).contains("tip cutting").doesNotContain("root piece");

        run(() -> plants.strike(fuchsia.plant().id(), "tip cutting", "mine are all woody"));
        run(() -> plants.add(fuchsia.plant().id(), "root piece", "worked for a neighbour"));
        assertThat(methods()).doesNotContain("tip cutting").contains("root piece");

        run(() -> plants.takeBack(fuchsia.plant().id(), "tip cutting"));
        run(() -> plants.takeBack(fuchsia.plant().id(), "root piece"));
        assertThat(methods()).contains("tip cutting").doesNotContain("root piece");
        assertThatThrownBy(() -> in(() -> {
                    plants.strike(fuchsia.plant().id(), "tip cutting", " ");
                    return null;
                }))
                .hasMessageContaining("in a word");
    }

    @Test
    void theOthersOfAKindInformTheEleventh() {
        finished(20, 18, 80);
        StockPlantView other = plant("Fuchsia ‘Undertow’", "soft", 30);
        Protocol plugs = guide.protocol("tip-in-plugs").orElseThrow();

        StrikeRate strike = in(
                () -> evidence.record().strike(Evidence.way(plugs, other.plant().grown())));

        assertThat(strike.shares()).extracting(StrikeRate.Share::closeness).containsExactly(Closeness.SAME_KIND);
        assertThat(strike.shares().get(0).rate()).isCloseTo(0.9, within(1e-9));
    }

    private List<String> methods() {
        return in(() -> offers.of(fuchsia.plant())).stream()
                .map(OfferedWay::protocol)
                .map(Protocol::method)
                .distinct()
                .toList();
    }

    private static StockPlantForm form(String name, String kind, String group) {
        return new StockPlantForm(
                new StockPlantForm.Name(name, kind, group, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                StockKind.PLANT,
                StockPlantForm.Came.from("raised here"),
                new StockPlantForm.Stands("Bench, heated", Climate.HEATED),
                new StockPlantForm.Condition(60, StockState.GROWING, null),
                null);
    }

    @Test
    void aNameOfOnesOwnIsKeptAndFoundNextTime() {
        StockPlantView first = in(() -> stock.add(form("Quayside creeper ‘Tar’", "pothos", null)));
        assertThat(first.plant().kind()).isEqualTo("pothos");

        assertThat(in(() -> called.read("quayside creepers").taken())
                        .orElseThrow()
                        .key())
                .isEqualTo("pothos");
        StockPlantView second = in(() -> stock.addTyped(form("Quayside creeper ‘Oakum’", null, null)));
        assertThat(second.plant().kind()).isEqualTo("pothos");
        assertThat(elsewhere(() -> called.read("quayside creeper").taken()))
                .as("it is this nursery's own word")
                .isEmpty();

        in(() -> stock.add(form("Quayside creeper ‘Pitch’", "philodendron", null)));
        assertThat(in(() -> called.read("quayside creeper").taken())
                        .orElseThrow()
                        .key())
                .as("what was said last holds")
                .isEqualTo("philodendron");
    }

    @Test
    void tipsAndSectionsShareTheirShoots() {
        StockPlantView pothos = in(() -> stock.add(form("Pothos ‘Rope Locker’", null, null)));
        assertThat(pothos.bears().sort()).isEqualTo("stem-sections");
        in(() -> counts.look(pothos.id(), TODAY.minusDays(1), 60, null, StockState.GROWING, null));
        assertThat(tips(pothos)).as("ten shoots of six sections").isEqualTo(10);

        in(() -> counts.look(
                pothos.id(), TODAY.minusDays(1), null, Map.of("shoot-tips", 9), null, StockState.GROWING, null));
        run(() -> counts.cut(pothos.id(), "shoot-tips", 4, TODAY, false));
        assertThat(tips(pothos)).isEqualTo(5);
        assertThat(in(() -> stock.find(pothos.id())).orElseThrow().piecesNow())
                .as("four shoots are gone with all their sections")
                .isEqualTo(36);
    }

    private int tips(StockPlantView plant) {
        return in(() -> stock.find(plant.id()))
                .orElseThrow()
                .bears(guide.sortOf("tip cutting"))
                .pieces();
    }
}
