package garden.vivarium.app.buildup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Generations of stock plants. */
class BuildUpsTest extends AtANursery {

    @Autowired
    private BuildUps buildUps;

    @Test
    void aBuildUpGoesByTheWayThatIsProvenHere() {
        for (int i = 0; i < 2; i++) {
            finished(30, 26, 100 + 10 * i);
        }
        BuildUps.Answer answer = in(() ->
                buildUps.reckon(fuchsia, new BuildUpForm(fuchsia.id(), 500, TODAY.plusDays(700), 2, 12, null, null)));

        assertThat(answer.way().key()).isEqualTo("tip-in-plugs");
        assertThat(answer.known().stock().plants()).isEqualTo(2);
        assertThat(answer.best().middle()).isPresent();
        assertThat(answer.best().keeps()).isNotEmpty();
        assertThatThrownBy(() -> in(() -> buildUps.reckon(
                        fuchsia, new BuildUpForm(fuchsia.id(), 500, TODAY.minusDays(1), 2, 12, null, null))))
                .hasMessageContaining("has passed");
    }
}
