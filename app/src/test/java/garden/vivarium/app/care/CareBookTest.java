package garden.vivarium.app.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.groups.Tuple.tuple;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Care is due on its day, asked about later, and how it turned out is kept. */
class CareBookTest extends AtANursery {

    @Autowired
    private CareBook care;

    @Autowired
    private Corrections corrections;

    @Test
    void aTreatmentIsAskedAboutOnceAndItsOutcomeTold() {
        CareView wiped = in(() -> care.did(fuchsia(), "wiped off", "cottony", "Mealybug", TODAY.minusDays(10), 10));
        run(() -> care.did(fuchsia(), "wiped off", "cottony", "Mealybug", TODAY.minusDays(2), 10));
        run(() -> care.did(fuchsia(), "fed weakly", null, null, TODAY, 0));

        assertThat(in(() -> care.asking(TODAY))).extracting(CareView::id).containsExactly(wiped.id());
        run(() -> care.turnedOut(wiped.id(), Outcome.PARTLY));
        assertThat(in(() -> care.asking(TODAY))).isEmpty();
        assertThat(in(() -> care.asking(TODAY.plusDays(8)))).hasSize(1);
        assertThat(in(() -> care.record())).isEqualTo(Map.of("wiped off", Map.of(Outcome.PARTLY, 1L)));
    }

    @Test
    void aCourseIsDueDayByDayAndAskedAboutAfterTheLast() {
        run(() -> care.course(
                fuchsia(), "treated", "mealybug", List.of(TODAY.minusDays(1), TODAY.plusDays(9)), TODAY.plusDays(19)));

        List<CareView> due = in(() -> care.due(TODAY));
        assertThat(due).extracting(CareView::what).containsExactly("treated, 1 of 2");
        run(() -> care.done(due.get(0).id(), TODAY));
        assertThat(in(() -> care.due(TODAY))).isEmpty();
        assertThat(in(() -> care.asking(TODAY.plusDays(60))))
                .as("nothing is asked after the first of a course")
                .isEmpty();
        CareView second = in(() -> care.due(TODAY.plusDays(9))).get(0);
        run(() -> care.done(second.id(), TODAY));
        assertThat(in(() -> care.asking(TODAY.plusDays(18)))).isEmpty();
        assertThat(in(() -> care.asking(TODAY.plusDays(19)))).hasSize(1);
        assertThat(in(() -> care.of(fuchsia.id())))
                .hasSize(2)
                .allMatch(c -> c.days().done() != null);
    }

    @Test
    void careThatWasOtherwiseIsCorrectedAndWhatNeverWasIsGone() {
        CareView wiped = in(() -> care.did(fuchsia(), "wiped off", null, "Mealybug", TODAY.minusDays(10), 14));
        CareView fed = in(() -> care.did(fuchsia(), "fed weakly", null, null, TODAY, 0));

        CareView now = in(() -> care.correct(wiped.id(), "washed off", TODAY.minusDays(12), "wrong line"));
        run(() -> care.withdraw(fed.id(), "not that one"));

        assertThat(now.what()).isEqualTo("washed off");
        assertThat(now.days().ask()).as("asked as many days after").isEqualTo(TODAY.plusDays(2));
        assertThat(in(() -> care.of(fuchsia.id()))).extracting(CareView::what).containsExactly("washed off");
        assertThat(in(() -> corrections.of(fuchsia.id())))
                .extracting(c -> c.fact().what(), c -> c.fact().became())
                .contains(tuple("care", "washed off"), tuple("care", "never was"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   "})
    void careThatSaysNothingIsRefused(String what) {
        assertThatThrownBy(() -> in(() -> care.did(fuchsia(), what, null, null, TODAY, 0)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Say what was done");
    }

    @Test
    void nothingIsDoneAheadAndNothingElsewhere() {
        assertThatThrownBy(() -> in(() -> care.did(fuchsia(), "misted", null, null, TODAY.plusDays(1), 0)))
                .isInstanceOf(InvalidField.class);
        UUID mine =
                in(() -> care.did(fuchsia(), "misted", null, null, TODAY, 3)).id();
        assertThatThrownBy(() -> elsewhere(() -> care.turnedOut(mine, Outcome.WORKED)))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> elsewhere(() -> care.done(mine, TODAY))).isInstanceOf(NotFound.class);
        assertThat(elsewhere(() -> care.of(fuchsia.id()))).isEmpty();
        assertThat(elsewhere(() -> care.asking(TODAY.plusDays(9)))).isEmpty();
    }

    private Subject fuchsia() {
        return new Subject(
                Subject.Kind.STOCK,
                fuchsia.id(),
                fuchsia.code(),
                fuchsia.place().id());
    }
}
