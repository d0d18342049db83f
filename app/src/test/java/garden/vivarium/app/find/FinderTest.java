package garden.vivarium.app.find;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** One box finds by code, plant, stock plant and place, even half-typed. */
class FinderTest extends AtANursery {

    @Autowired
    private Finder finder;

    private StockPlantView kelp;
    private BatchView batch;

    @BeforeEach
    void somethingToFind() {
        kelp = plant("Pelargonium ‘Kélpbank’", "soft", 30);
        batch = in(() -> Growing.stuck(batches, guide, kelp, 12, TODAY.minusDays(20)));
    }

    @Test
    void halfACodeFindsTheBatch() {
        assertThat(names(batch.code().substring(0, 4)))
                .containsExactly(batch.code() + " " + kelp.plant().name());
        assertThat(find(batch.code() + "/7").get(0).name()).startsWith(batch.code() + "/7");
        assertThat(find(batch.code() + "/7").get(0).address()).isEqualTo("/batches/" + batch.code());
    }

    @Test
    void partsOfWordsInAnyOrderWithoutAccentsAndQuotesFind() {
        assertThat(names("kelpb"))
                .containsExactlyInAnyOrder(
                        kelp.code() + " " + kelp.plant().name(),
                        batch.code() + " " + kelp.plant().name());
        assertThat(names("kelp pelar")).hasSize(2);
        assertThat(names("PEL-"))
                .containsExactly(kelp.code() + " " + kelp.plant().name());
        assertThat(find("bench, heated"))
                .extracting(Found::address)
                .contains("/benches#place-" + kelp.place().id());
    }

    @Test
    void whatBeginsSoComesFirstAndTheListEnds() {
        assertThat(names("fuc")).first().asString().startsWith(fuchsia.code());
        for (int i = 0; i < 25; i++) {
            plant("Sage ‘Number " + i + "’", "soft", 3);
        }
        assertThat(find("sage")).hasSize(Finder.MOST_FOUND);
    }

    @Test
    void aMisspeltNameFindsWhatIsMeantAndItsKind() {
        assertThat(names("fuschia")).anyMatch(n -> n.startsWith(fuchsia.code())).contains("Fuchsia");
        assertThat(names("geranums")).contains(kelp.code() + " " + kelp.plant().name(), "Pelargonium", "Cranesbill");
        assertThat(find("sunflowers")).extracting(Found::address).containsExactly("/guide/kinds/sunflower");
    }

    @Test
    void oddTypingFindsNothingRatherThanEverything() {
        assertThat(find("%")).isEmpty();
        assertThat(find("_")).isEmpty();
        assertThat(find("  ")).isEmpty();
        assertThat(find(null)).isEmpty();
        assertThat(find("/")).isEmpty();
        assertThat(find("\\")).isEmpty();
        assertThat(find("no such thing")).isEmpty();
        assertThat(elsewhere(() -> finder.find("kelp"))).isEmpty();
    }

    private List<Found> find(String typed) {
        return in(() -> finder.find(typed));
    }

    private List<String> names(String typed) {
        return find(typed).stream().map(Found::name).toList();
    }
}
