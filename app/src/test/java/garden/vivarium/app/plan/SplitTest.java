package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** One aim split over two ways or two days. */
class SplitTest extends AtANursery {

    @Autowired
    private Plans plans;

    @Autowired
    private Ways ways;

    @Test
    void aSplitMakesTwoPlansThatStandForOneAim() {
        PlanForm form = splitForm(5);
        run(() -> plans.commitSplit(form));
        List<PlanView> made = in(plans::waiting);

        assertThat(made).hasSize(2);
        assertThat(made.get(0).standing().splitId())
                .isNotNull()
                .isEqualTo(made.get(1).standing().splitId());
        assertThat(made).extracting(p -> p.start().on()).containsExactly(TODAY, TODAY.plusDays(5));
        assertThat(made).allSatisfy(p -> assertThat(p.start().chance()).isGreaterThanOrEqualTo(0.8));
        Split split = in(() -> ways.split(fuchsia, form).orElseThrow());
        assertThat(made)
                .extracting(p -> p.start().take())
                .containsExactly(split.hedge().first(), split.hedge().second());
    }

    @Test
    void theSecondHalfMustStartBeforeTheDayDue() {
        PlanForm form = splitForm(100);
        assertThatThrownBy(() -> in(() -> ways.split(fuchsia, form)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("later"));
    }

    private PlanForm splitForm(int later) {
        return new PlanForm(
                fuchsia.id(),
                16,
                1,
                TODAY.plusDays(100),
                80,
                TODAY,
                "tip-in-plugs",
                null,
                null,
                null,
                "tip-in-water",
                later,
                null,
                null,
                null);
    }

    @Test
    void aPlanThatAnotherStandsForIsDropped() {
        PlanView old = in(() ->
                plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(120)).of(20, 90)));
        PlanForm changed = new PlanForm(
                fuchsia.id(),
                12,
                1,
                TODAY.plusDays(110),
                80,
                TODAY,
                "tip-in-water",
                null,
                null,
                null,
                null,
                null,
                old.id(),
                null,
                null);
        PlanView now = in(() -> plans.commit(changed));

        assertThat(in(() -> plans.find(old.id())).standing().state()).isEqualTo(PlanState.DROPPED);
        assertThat(in(plans::waiting)).extracting(PlanView::id).containsExactly(now.id());
        assertThatThrownBy(() -> in(() -> plans.commit(changed)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("no longer waiting");
    }
}
