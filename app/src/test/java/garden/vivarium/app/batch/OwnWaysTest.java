package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.treatment.Treatments;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a nursery roots in and does to its pieces, by its own names. */
class OwnWaysTest extends AtANursery {

    @Autowired
    private OwnWays own;

    @Autowired
    private OldBatches old;

    private void batch(String name, String medium, String treatment) {
        in(() -> {
            PlantView plant = stock.plantNamed("Fuchsia ‘Slack Tide’", "soft");
            return old.make(
                    new NewBatch(
                            plant,
                            new Origin(null, null, null, name),
                            stock.placeNamed("Bench", Climate.HEATED).id(),
                            new HowDone(null, null, "tip cutting", medium, Treatments.read(treatment), null, null),
                            new Taking(TODAY.minusDays(9), 12, TODAY.minusDays(9), 12),
                            Vessel.loose(null),
                            Material.UNKNOWN,
                            Guess.NONE),
                    List.of(),
                    false);
        });
    }

    @Test
    void whatIsNamedOnceIsKnownAndOfferedFirst() {
        assertThatThrownBy(() -> in(() -> own.medium("medium", "kelp char", false)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("“kelp char” is not known here");
        batch("a", in(() -> own.medium("medium", "kelp char", true)), "");
        batch("b", "kelp char", "");
        batch("c", in(() -> own.medium("medium", "half bark, half gravel", false)), "");

        assertThat(in(() -> own.medium("medium", "Kelp char", false))).isEqualTo("kelp char");
        assertThat(in(() -> own.media()))
                .startsWith("kelp char", "1 bark + 1 coarse grit")
                .contains("perlite");
        assertThatThrownBy(() -> in(() -> own.medium("medium", "kelp chr", false)))
                .hasMessageContaining("Did you mean kelp char?");
    }

    @Test
    void treatmentsOfTheMethodComeByHowOftenTheyWereUsed() {
        batch("a", "perlite", "kelp dip; bottom heat");
        batch("b", "perlite", "kelp dip");

        assertThat(in(() -> own.treatments("tip cutting"))).containsExactly("kelp dip", "bottom heat");
        assertThat(in(() -> own.treatments("bulb scale"))).isEmpty();
    }

    @Test
    void driedAndStuckOnOneDayContradictEachOther() {
        HowDone dried = new HowDone(null, null, "leaf pull", "gritty mix", Treatments.read("callus; dark"), null, null);

        assertThat(dried.contradicts(new Taking(TODAY, 9, TODAY, 9))).isTrue();
        assertThat(dried.contradicts(new Taking(TODAY.minusDays(4), 9, TODAY, 9)))
                .isFalse();
        assertThat(dried.contradicts(Taking.drying(TODAY, 9))).isFalse();
        assertThat(dried.treated(Treatments.read("dark"), null).contradicts(new Taking(TODAY, 9, TODAY, 9)))
                .isFalse();
    }
}
