package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Half a batch is potted into pots of two sizes; the rest stays, and the first feed comes on its day. */
class PottingUpInTheBrowserTest extends AtThePages {

    @Autowired
    private BatchBook book;

    @Test
    void halfABatchGoesIntoPotsOfTwoSizesAndTheRestStays() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView jar = in(() -> Growing.stuck(batches, guide, fuchsia, 24, TODAY.minusDays(30)));
        in(() -> batches.look(jar.code(), Growing.count(TODAY.minusDays(25), 14, 2)));

        browser.open("/batches/" + jar.code() + "/pot");
        assertThat(browser.text("main p.lead")).isEqualTo("14 stand ready; 8 wait still and stay where they are.");
        assertThat(browser.value("pots")).isEqualTo("14");
        assertThat(browser.value("across")).isEqualTo("7");
        assertThat(browser.text("aside")).contains("roots that grew in water", "litres of loose mix", "uppermost root");
        assertThat(browser.value("depth")).isEqualTo("uppermost root a finger under");
        assertThat(browser.value("stake")).isEmpty();
        assertThat(browser.barriers()).isEmpty();

        browser.script("""
                const all = (n) => [...document.querySelectorAll(`[name=${n}]`)];
                all('pots')[0].value = '5'; all('perPot')[0].value = '1'; all('across')[0].value = '7';
                all('pots')[1].value = '4'; all('perPot')[1].value = '3'; all('across')[1].value = '11';
                document.getElementById('movedOn').value = '2026-05-25';""");
        browser.type("place", "Cold frame");
        browser.press("main button.main");
        browser.untilText("main .refused", "17");
        assertThat(browser.script("return [...document.querySelectorAll('[name=pots]')].map((f) => f.value).join()"))
                .as("nothing typed is lost")
                .isEqualTo("5,4,");
        browser.script("document.querySelectorAll('[name=pots]')[1].value = '2'");
        browser.press("main button.main");
        browser.untilText("main .said", "11 pieces potted, 7 pots");

        assertThat(browser.texts("#moves tbody tr td:first-child"))
                .anyMatch(t -> t.contains("7 cm pot, peat-free compost") && t.contains("a finger under"))
                .anyMatch(t -> t.contains("11 cm pot"));
        List<PottingView> moves = in(() -> book.pottings(jar.id()));
        assertThat(moves).extracting(PottingView::pieces).containsExactlyInAnyOrder(5, 6);
        assertThat(moves).extracting(PottingView::youngPlants).containsExactlyInAnyOrder(5, 2);
        assertThat(moves).allSatisfy(m -> {
            assertThat(m.stands().feedOn()).isEqualTo(TODAY);
            assertThat(m.stands().waterOn()).isNull();
        });
        BatchView now = in(() -> batches.find(jar.code()));
        assertThat(now.readyToMove()).isEqualTo(3);
        assertThat(now.counts().pending()).as("the rest stays in the record").isEqualTo(8);

        browser.open("/round");
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.texts(".stop"))
                .as("where the pots stand")
                .anyMatch(t -> t.startsWith("Cold frame") && t.contains("feed") && t.contains(jar.code()));
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void someGoIntoTheMothersPotAndMakeNoPlantOfTheirOwn() {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        BatchView jar = in(() -> Growing.stuck(batches, guide, sage, 9, TODAY.minusDays(30)));
        in(() -> batches.look(jar.code(), Growing.count(TODAY.minusDays(5), 6, 0)));

        browser.open("/batches/" + jar.code() + "/pot");
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("pieces", "4");
        browser.press("form[action$='/pot-into'] button");
        browser.untilText("main .refused", "Say into which pot they go");
        browser.type("into", sage.code());
        browser.press("form[action$='/pot-into'] button");
        browser.untilText("main .said", "4 pieces put into " + sage.code());

        assertThat(browser.text("#moves")).contains("into " + sage.code());
        BatchView now = in(() -> batches.find(jar.code()));
        assertThat(now.readyToMove()).isEqualTo(2);
        assertThat(now.movedNow()).isEqualTo(4);
        assertThat(now.youngPlants()).isZero();
        assertThat(now.counts().ready()).as("that they rooted stays").isEqualTo(6);
        assertThat(browser.complaints()).isEmpty();
    }
}
