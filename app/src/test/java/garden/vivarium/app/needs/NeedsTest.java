package garden.vivarium.app.needs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.PlanForm;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.WayRow;
import garden.vivarium.app.plan.Ways;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Room and materials: what plans need, and what of it is missing. */
class NeedsTest extends AtANursery {

    @Autowired
    private Plans plans;

    @Autowired
    private Ways ways;

    @Autowired
    private Space space;

    @Autowired
    private Stores stores;

    @Test
    void aPlanThatDoesNotFitSaysWhereAndWhen() {
        run(() -> stock.holds(fuchsia.place().id(), 1.0));
        running(60, 10);
        PlanForm form = PlanForm.of(fuchsia.id(), 20, TODAY.plusDays(120), 80, TODAY, "tip-in-plugs", null, null);
        var here = in(() -> stock.find(fuchsia.id()).orElseThrow());
        WayRow row = in(() -> ways.way(here, form).orElseThrow());

        assertThat(in(() -> space.doesNotFit(here, row, null)).orElseThrow())
                .contains(fuchsia.place().name() + " holds 1 trays")
                .contains("Mon 15 Jun");
        assertThat(row.trayDays()).isPositive();
        run(() -> stock.holds(fuchsia.place().id(), 20.0));
        var roomy = in(() -> stock.find(fuchsia.id()).orElseThrow());
        assertThat(in(() -> space.doesNotFit(roomy, row, null))).isEmpty();
        assertThat(in(space::benches))
                .anySatisfy(b -> assertThat(b.weeks().get(0)).isEqualTo(1));
        assertThatThrownBy(() -> run(() -> stock.holds(fuchsia.place().id(), -1.0)))
                .hasMessageContaining("more than none");
        assertThatThrownBy(() -> elsewhere(() -> {
                    stock.holds(fuchsia.place().id(), 2.0);
                    return null;
                }))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void aPlanThatIsChangedDoesNotStandInItsOwnWay() {
        run(() -> stock.holds(fuchsia.place().id(), 1.5));
        PlanView old = in(() ->
                plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(120)).of(20, 90)));
        var here = in(() -> stock.find(fuchsia.id()).orElseThrow());
        PlanForm form = PlanForm.of(fuchsia.id(), 10, TODAY.plusDays(120), 80, TODAY, "tip-in-plugs", null, null);
        WayRow row = in(() -> ways.way(here, form).orElseThrow());

        assertThat(in(() -> space.doesNotFit(here, row, null))).isPresent();
        assertThat(in(() -> space.doesNotFit(here, row, old.id()))).isEmpty();
    }

    @Test
    void whatThePlansNeedIsSetAgainstTheShed() {
        run(() -> plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(120)).of(24, 90)));
        Stores.Row compost = row("plug compost");
        assertThat(compost.need()).isPositive();
        assertThat(compost.missing()).isEqualTo(compost.need());
        assertThat(compost.packs()).as("what a pack holds is not said").isNull();

        run(() -> stores.keep("plug compost", 0.5, 1.0, 3.0, null));
        Stores.Row kept = row("plug compost");
        assertThat(kept.packs()).isEqualTo((int) Math.ceil(kept.need() - 0.5));
        assertThat(kept.cost()).isEqualTo(3.0 * kept.packs());

        double mix = row("peat-free compost").need();
        run(() -> stores.keep("peat-free compost", null, null, null, "3 coir, 1 bark"));
        assertThat(row("coir").need()).isCloseTo(0.75 * mix, within(1e-9));
        assertThat(row("bark").need()).isCloseTo(0.25 * mix, within(1e-9));
        assertThat(elsewhere(stores::rows)).isEmpty();
    }

    @Test
    void aWayCostsSomethingOnceEverythingItNeedsHasAPrice() {
        PlanForm form = PlanForm.of(fuchsia.id(), 20, TODAY.plusDays(90), 90, TODAY, "tip-in-plugs", null, null);
        List<WayRow> rows = List.of(in(() -> ways.way(fuchsia, form).orElseThrow()));
        assertThat(in(() -> stores.costs(rows))).isEmpty();

        run(() -> {
            stores.keep("plug compost", 0.0, 50.0, 10.0, null);
            stores.keep("trays", 0.0, 10.0, 15.0, null);
            stores.keep("labels", 0.0, 100.0, 4.0, null);
            stores.keep("rooting hormone", 0.0, 60.0, 6.0, null);
            stores.keep("pots, 9 cm", 0.0, 100.0, 12.0, null);
        });
        assertThat(in(() -> stores.costs(rows))).as("the mix has none yet").isEmpty();
        run(() -> stores.keep("peat-free compost", 0.0, 50.0, 10.0, null));
        double cost = in(() -> stores.costs(rows)).get("tip-in-plugs");
        assertThat(cost).isBetween(2.0, 30.0);
        run(() -> stores.keep("peat-free compost", 0.0, 50.0, 20.0, null));
        assertThat(in(() -> stores.costs(rows)).get("tip-in-plugs")).isGreaterThan(cost);
    }

    @ParameterizedTest
    @CsvSource({
        "'', 1, 1, 1, , name",
        "grit, -1, 1, 1, , there",
        "grit, 1, 0, 1, , pack",
        "grit, 1, 1, -2, , price",
        "grit, 1, 1, 1, some of this, recipe",
        "grit, 1, 1, 1, 1 grit, recipe",
    })
    void whatCannotBeInTheShedNamesTheField(
            String name, double there, double pack, double price, String recipe, String field) {
        assertThatThrownBy(() -> in(() -> stores.keep(name, there, pack, price, recipe)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo(field));
    }

    private Stores.Row row(String name) {
        return in(stores::rows).stream()
                .filter(r -> r.name().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
