package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Rot that came together in one house, batches alike that went the other way, and what to try next: read at their pages. */
class WatchInTheBrowserTest extends AtThePages {

    private BatchView batch(StockPlantView of, UUID place, String way, int age) {
        return batches.make(Growing.newBatchAt(guide, way, of, place, 40, TODAY.minusDays(age)));
    }

    private void look(BatchView batch, LocalDate day, int ready, int lost, LossCause cause, boolean last) {
        batches.look(
                batch.code(),
                LookCommand.ofCounts(
                        UUID.randomUUID(),
                        day,
                        LookKind.LIFTED,
                        new LookCommand.Counted(null, ready, lost, 0, null, last, null, cause),
                        null,
                        null));
    }

    @Test
    void whatIsOutOfTheOrdinaryIsPointedOut() {
        in(() -> {
            StockPlantView fuchsia = Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’");
            UUID mist = stock.placeNamed("Mist bench", Climate.HEATED).id();
            UUID frame = stock.placeNamed("Cold frame", Climate.HEATED).id();
            for (int i = 0; i < 30; i++) {
                BatchView b = batch(fuchsia, i % 2 == 0 ? mist : frame, "tip-in-plugs", 100 + 7 * i);
                boolean outbreak = i % 2 == 0 && i < 12;
                // Three weeks after sticking, but for those of the outbreak, which all lost on the same days.
                LocalDate first =
                        outbreak ? TODAY.minusDays(80 + i % 5) : b.stuckOn().plusDays(14);
                int lost = outbreak ? 8 : i % 9 == 0 ? 3 : 1;
                look(b, first, 0, lost, LossCause.ROT, false);
                look(b, first.plusDays(12), 40 - lost, lost, null, true);
            }
            for (int i = 0; i < 4; i++) {
                BatchView b = batch(fuchsia, frame, "tip-in-water", 60 + i);
                look(b, b.stuckOn().plusDays(20), 22 + i, 18 - i, LossCause.DRIED, true);
            }
            StockPlantView salvia = Growing.stockPlant(stock, "Salvia ‘Tern’");
            BatchView well = batch(salvia, frame, "tip-in-plugs", 200);
            look(well, well.stuckOn().plusDays(26), 39, 1, null, true);
            BatchView badly = batch(salvia, mist, "tip-in-plugs", 196);
            look(badly, badly.stuckOn().plusDays(26), 1, 39, LossCause.STALLED, true);
            return fuchsia;
        });
        browser.open("/technique/watch");
        // The latest first: those in water dried out together too.
        assertThat(browser.texts(".outbreak")).hasSize(2);
        assertThat(browser.texts(".outbreak").get(0))
                .startsWith("Cold frame: 4 of 4")
                .contains("drying out, 66 in all");
        assertThat(browser.texts(".outbreak").get(1))
                .startsWith("Mist bench: 6 of 6")
                .contains("lost pieces to rot, 48 in all");
        assertThat(browser.count("#pairs tbody tr")).isPositive();
        assertThat(browser.text("#pairs tbody tr")).contains("Salvia ‘Tern’", "place: Cold frame with the good one");
        assertThat(browser.barriers()).isEmpty();

        browser.follow("Losses");
        browser.untilText("h1", "pieces were lost in the last year");
        assertThat(browser.texts("section[aria-labelledby=check] li").get(0)).startsWith("Dried out");
        assertThat(browser.text("#byPlace tbody")).contains("Mist bench", "Cold frame", "rot");
        assertThat(browser.texts("#byCause tbody tr")).hasSize(4);
        assertThat(browser.barriers()).isEmpty();
        browser.follow("Mist bench");
        browser.untilText("h1", "lost in the last year: Mist bench");

        browser.open("/technique/shared");
        assertThat(browser.texts("main section h2")).hasSize(4);
        assertThat(browser.barriers()).isEmpty();
        browser.open("/technique/work");
        assertThat(browser.text("#best"))
                .startsWith("Fuchsia ‘Skerry Lantern’: tip cutting in plug compost")
                .contains("young plants an hour");
        assertThat(browser.count("#work tbody tr")).isEqualTo(3);
        assertThat(browser.barriers()).isEmpty();
        browser.open("/technique/next");
        assertThat(browser.text("main")).contains("What to try next");
        assertThat(browser.barriers()).isEmpty();
        for (String file : new String[] {"watch", "losses", "shared", "next", "work"}) {
            assertThat(new String(browser.fetch("/technique/" + file + ".csv"), StandardCharsets.UTF_8))
                    .as(file)
                    .contains(",");
        }
        assertThat(browser.complaints()).isEmpty();
    }
}
