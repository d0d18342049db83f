package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** A list that no screen holds comes with its beginning, and fetches on. */
class LongListsTest extends AtThePages {

    @Test
    void theBenchesFetchOnAndAreNarrowedWhole() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        for (int i = 0; i < 44; i++) {
            StockPlantView of = i == 43 ? sage : fuchsia;
            int age = 60 - i;
            in(() -> batches.make(
                    Growing.newBatchAt(guide, "tip-in-plugs", of, of.place().id(), 12, TODAY.minusDays(age))));
        }
        String page = source("/benches");
        assertThat(page.split("<tr data-words")).as("what is sent first").hasSize(41);
        assertThat(page).contains("The first 40 of 44");

        browser.open("/benches");
        browser.until(d -> browser.count("#open-batches tbody tr") == 44);
        browser.until(d -> browser.count("#open-batches svg.ribbon") == 44);
        assertThat(browser.count("#open-batches-rest")).isZero();
        assertThat(browser.texts("#open-batches tbody td:first-child").stream().filter(t -> !t.isEmpty()))
                .as("a place is named once, whichever part it came with")
                .hasSize(1);
        browser.type("narrow-open-batches", "salvia");
        browser.untilText("[data-narrow] [role=status]", "1 of 44");
        browser.script("sessionStorage.clear()");

        browser.open("/benches?all=true");
        assertThat(source("/benches?all=true").split("<tr data-words")).hasSize(45);
        assertThat(browser.barriers()).isEmpty();
    }

    private String source(String address) {
        return new String(browser.fetch(address), StandardCharsets.UTF_8);
    }
}
