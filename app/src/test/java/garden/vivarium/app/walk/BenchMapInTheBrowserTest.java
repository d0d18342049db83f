package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The bench map: looked over and carried on by keys, a vessel put elsewhere by dragging, a bench with its air. */
class BenchMapInTheBrowserTest extends AtThePages {

    @Test
    void vesselsAreCarriedByKeysAndByDraggingAndWrongAirIsSaid() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView tray = in(() -> Growing.tray(batches, guide, fuchsia, 6, 12, TODAY.minusDays(20)));
        in(() -> stock.makePlace("Tunnel, cold bench", Climate.COLD, 4.0, null));
        browser.open("/benches/map");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.text("main")).contains("The same as a list");

        browser.script("document.querySelector('canvas').focus()");
        browser.keys(Keys.ARROW_RIGHT);
        browser.untilText("[data-map-said]", tray.code() + " Fuchsia ‘Skerry Lantern’: 72 wait");
        browser.keys("m", "b", Keys.ENTER);
        browser.untilText("[data-map-said]", tray.code() + " is carried to Tunnel, cold bench.");
        assertThat(in(() -> batches.find(tray.code())).placeId())
                .isEqualTo(
                        in(() -> stock.placeNamed("Tunnel, cold bench", null)).id());

        // By dragging: 20 cm along its bench.
        browser.open("/benches/map");
        browser.until(d -> browser.script("return document.querySelector('canvas').dataset.view") != null);
        browser.script("""
                const map = JSON.parse(document.querySelector('[data-bench-map]').dataset.benchMap);
                const canvas = document.querySelector('canvas');
                const [scale, dx, dy] = canvas.dataset.view.split(' ').map(Number);
                const vessel = map.vessels[0];
                const house = map.houses.find((h) => h.benches.some((b) => b.id === vessel.place));
                const bench = house.benches.find((b) => b.id === vessel.place);
                const box = canvas.getBoundingClientRect();
                const at = (cm) => ({
                  clientX: box.left + (house.x + bench.x + vessel.at.x + 10 + cm) * scale + dx,
                  clientY: box.top + (house.y + bench.y + vessel.at.y + 10) * scale + dy,
                  pointerId: 1, bubbles: true,
                });
                canvas.setPointerCapture = () => {};
                canvas.dispatchEvent(new PointerEvent('pointerdown', at(0)));
                canvas.dispatchEvent(new PointerEvent('pointermove', at(12)));
                canvas.dispatchEvent(new PointerEvent('pointermove', at(20)));
                canvas.dispatchEvent(new PointerEvent('pointerup', at(20)));""");
        browser.untilText("[data-map-said]", tray.code() + " stands there.");
        browser.open("/benches/map");
        assertThat(((Number)
                                browser.script(
                                        "return JSON.parse(document.querySelector('[data-bench-map]').dataset.benchMap).vessels[0].at.x"))
                        .doubleValue())
                .isBetween(19.0, 21.0);

        browser.script("document.getElementById('sizes').open = true;"
                + "const f = [...document.querySelectorAll('#sizes form')].find((x) => x.textContent.includes('cold bench'));"
                + "f.querySelector('[name=tempFrom]').value = '2'; f.querySelector('[name=tempTo]').value = '1';"
                + "f.querySelector('[name=light]').value = 'DARK'; f.querySelector('button').click();");
        browser.untilText("main .refused", "Give both ends of the range");
        browser.script("document.getElementById('sizes').open = true;"
                + "const f = [...document.querySelectorAll('#sizes form')].find((x) => x.textContent.includes('cold bench'));"
                + "f.querySelector('[name=tempTo]').value = '8'; f.querySelector('button').click();");
        browser.untilText("main .said", "The bench is written down.");
        assertThat(browser.text("aside")).contains("In the wrong air", tray.code());
        assertThat(browser.complaints()).isEmpty();
    }
}
