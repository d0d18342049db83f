package garden.vivarium.app.rescue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.guide.Section;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** One plant that must not be lost. */
class RescuesTest extends AtANursery {

    @Autowired
    private Plans plans;

    @Autowired
    private Rescues rescues;

    @Test
    void aRescueSpreadsWhatThereIsAndItsPlansAreCommitted() {
        var philodendron = plant("Philodendron ‘Hawser’", "climbing-aroid", 8);
        List<Section> sections = in(() -> rescues.sections(philodendron));
        assertThat(sections).contains(Section.TIP, Section.BARE);

        List<Rescues.Choice> choices =
                in(() -> rescues.choices(philodendron, Map.of(Section.TIP, 2, Section.BARE, 4), 40, 20));
        assertThat(choices).filteredOn(Rescues.Choice::best).hasSize(1);
        assertThat(choices.get(0).rescue().somethingLives())
                .isGreaterThan(choices.get(2).rescue().somethingLives());
        assertThat(choices.get(2).rescue().somethingLives()).isCloseTo(0.4, within(1e-9));

        int made = in(() -> rescues.commit(philodendron, choices.get(0).rescue()));
        assertThat(made).isEqualTo(choices.get(0).rescue().shares().size());
        assertThat(in(plans::waiting))
                .hasSize(made)
                .allSatisfy(p -> assertThat(p.start().reason()).isEqualTo("rescue"));
    }

    @ParameterizedTest
    @CsvSource({"500, 40, 20, TIP", "2, 140, 20, alone", "2, 40, 60, cut"})
    void aRescueThatCannotBeNamesTheField(int tips, int alone, int cut, String field) {
        assertThatThrownBy(() -> in(() -> rescues.choices(fuchsia, Map.of(Section.TIP, tips), alone, cut)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo(field));
    }
}
