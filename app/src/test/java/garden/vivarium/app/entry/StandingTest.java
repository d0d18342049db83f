package garden.vivarium.app.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What stands already, as it is now. */
class StandingTest extends AtANursery {

    @Autowired
    private Standing standing;

    private static StandsForm jar(String plant, String when, int pieces, Integer rooted, Integer lost) {
        return new StandsForm(plant, null, when, pieces, rooted, lost, null, null, false, "Sill");
    }

    @Test
    void aJarOfWhichOnlyAboutWhenIsKnownTellsItsWayAsMuchAsIsKnown() {
        // Three weeks ago, three days more or less: the span runs from 22 to 28 May.
        BatchView jar = in(() -> standing.write(
                new StandsForm("skerry", null, "3w", 12, 5, 1, "tip cutting", "water", false, "Kitchen sill")));

        assertThat(jar.plant()).isEqualTo("Fuchsia ‘Skerry Lantern’");
        assertThat(jar.protocol()).isEqualTo("tip-in-water");
        assertThat(jar.stuckOn()).isEqualTo(TODAY.minusDays(21));
        assertThat(jar.taking().unsureDays()).isEqualTo(3);
        assertThat(jar.counts().ready()).isEqualTo(5);
        assertThat(jar.counts().lost()).isEqualTo(1);
        WayBatch told = in(() -> evidence.record().ways().get(jar.way())).get(0);
        assertThat(told.ready())
                .isEqualTo(Tallies.of(
                        Map.of(Interval.reached(0, 24), 5L, Interval.lost(0, 24), 1L, Interval.pending(18), 6L)));
    }

    @Test
    void asMostStartItIsEnoughAndANewPlantIsMadeOnTheFly() {
        BatchView hoya = in(() -> standing.write(jar("Hoya ‘Pearl Drift’", "June", 4, null, null)));

        assertThat(hoya.plant()).isEqualTo("Hoya ‘Pearl Drift’");
        assertThat(hoya.way().kind()).isEqualTo("hoya");
        assertThat(hoya.method()).isEqualTo("stem section");
        assertThat(hoya.protocol()).isNotNull();
        assertThat(hoya.lastLook()).as("nobody has looked").isNull();
        assertThat(hoya.stuckOn()).isEqualTo(TODAY.withDayOfMonth(8));
        assertThat(in(() -> stock.places())).extracting(p -> p.name()).contains("Sill");
    }

    @Test
    void aStockPlantsCodeAndTheNameOfAKindAreTakenForWhatTheyAre() {
        assertThat(in(() -> standing.write(jar(fuchsia.code(), "12 April", 6, 0, null)))
                        .origin()
                        .stockPlantId())
                .isEqualTo(fuchsia.id());
        BatchView plain = in(() -> standing.write(jar("Fuchsia", "12 April", 6, 0, null)));
        assertThat(plain.plant())
                .as("the one fuchsia that stands here, and no second plant by a shorter name")
                .isEqualTo(fuchsia.plant().name());
        in(() -> standing.write(jar("Fuchsia ‘Riding Light’", "12 April", 6, 0, null)));
        assertThatThrownBy(() -> in(() -> standing.write(jar("Fuchsia", "12 April", 6, 0, null))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Riding Light");
        assertThatThrownBy(() -> in(() -> standing.write(jar("cobra lily", "12 April", 6, 0, null))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("jack-in-the-pulpit");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "skerry|some day|12|-|-|when|says no day that has come",
                "skerry|3w|12|9|4|rooted|More are rooted and lost",
                "skerry|today|12|3|-|rooted|neither rooted nor been lost",
                "Xqzzt vrbl|3w|12|-|-|group|choose the group that is nearest"
            })
    void whatCannotBeNamesItsField(
            String plant, String when, int pieces, Integer rooted, Integer lost, String field, String says) {
        assertThatThrownBy(() -> in(() -> standing.write(jar(plant, when, pieces, rooted, lost))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining(says)
                .satisfies(e -> assertThat(((InvalidField) e).field()).isEqualTo(field));
    }
}
