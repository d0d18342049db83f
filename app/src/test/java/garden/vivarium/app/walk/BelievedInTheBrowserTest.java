package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Aims that growers put to the planner, each with the least and the most that they would take. */
class BelievedInTheBrowserTest extends AtThePages {

    @Autowired
    private StockCounts counts;

    @ParameterizedTest
    @CsvSource({
        "Spider plant ‘Swell’, HEATED, plantlets, 20, 12, 2026-06-16, 2026-07-05, ROOTED, 75, 12, 17",
        "Prickly pear ‘Razor Shell’, HEATED, pads, 30, 8, 2026-12-05, 2027-05-05, ROOTED, 75, 8, 12",
        "Oxalis ‘Purple Lamp’, HEATED, bulbs, 4, 2, 2027-03-10, 2027-05-10, ROOTED, 75, 2, 3",
        "Kalanchoe ‘Beacon’, LIT, pads, 80, 24, 2027-02-10, 2027-05-01, ROOTED, 75, 24, 31",
        "Ivy ‘Harbour Wall’, HEATED, shoot-tips, 150, 72, 2026-06-16, 2026-09-20, ROOTED, 75, 72, 100",
        "Rubber plant ‘Bilge’, HEATED, shoot-tips, 3, 1, 2026-06-16, 2026-10-20, ROOTED, 75, 1, 2",
        "Anthurium ‘Flare’, HEATED, crowns, 12, 9, 2027-04-10, 2027-08-10, ROOTED, 75, 9, 12",
        "Hosta ‘Tidewrack’, OPEN, crowns, 9, 6, 2027-03-25, 2027-07-25, ROOTED, 90, 6, 8",
        "Fuchsia ‘Slack Tide’, HEATED, shoot-tips, 100, 24, 2026-06-16, 2026-10-01, ROOTED, 90, 25, 35"
    })
    void theNumberIsOneThatAGrowerWouldTake(
            String plant,
            Climate place,
            String sort,
            int counted,
            int wanted,
            LocalDate start,
            LocalDate due,
            String until,
            int sure,
            int least,
            int most) {
        StockPlantView stands = counted(plant, place, sort, counted);
        browser.open("/plan?stock=" + stands.id() + "&wanted=" + wanted + "&start=" + start + "&due=" + due + "&until="
                + until + "&sure=" + sure);
        browser.untilText("dl.answers dt", "Take");

        int headline = Integer.parseInt(browser.text("dl.answers dd a.num"));
        assertThat(headline).as(browser.text("section[aria-labelledby=answer]")).isBetween(least, most);
        assertThat(browser.text("tr.bg-chalk-deep td:nth-of-type(2)"))
                .as("the row says the same")
                .startsWith(String.valueOf(headline));
        assertThat(browser.text("aside")).as("and so does the margin").contains(String.valueOf(headline));
        assertThat(browser.text("section[aria-labelledby=answer]"))
                .doesNotContain("This cannot be done")
                .doesNotContain("buy in");
    }

    @Test
    void threePupsThatAreCountedAreAllThatThereIs() {
        StockPlantView urn = counted("Urn plant ‘Hull’", Climate.HEATED, "rooted-offsets", 3);
        browser.open("/plan?stock=" + urn.id() + "&wanted=3&due=2026-10-20&until=ROOTED&sure=95");
        browser.untilText("#cannot", "All that there is.");

        assertThat(browser.text("#cannot"))
                .contains("3 pups with roots: 3 grow ")
                .contains("nearly always");
        assertThat(browser.text("dl.answers dd a.num")).isEqualTo("3");
    }

    @Test
    void neighbouringDaysOfSpringHardlyDiffer() {
        StockPlantView pear = counted("Prickly pear ‘Fore Shore’", Climate.COLD, "pads", 80);
        int before = take(pear, "2027-03-20");
        int after = take(pear, "2027-03-21");

        assertThat(Math.abs(before - after)).isLessThanOrEqualTo(1);
    }

    private int take(StockPlantView plant, String start) {
        browser.open(
                "/plan?stock=" + plant.id() + "&wanted=12&start=" + start + "&due=2027-09-01&until=ROOTED&sure=90");
        browser.untilText("dl.answers dt", "Take");
        return Integer.parseInt(browser.text("dl.answers dd a.num"));
    }

    private StockPlantView counted(String name, Climate place, String sort, int number) {
        StockPlantView added = in(() -> stock.add(new StockPlantForm(
                new StockPlantForm.Name(name, null, null, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                StockKind.PLANT,
                null,
                new StockPlantForm.Stands(Messages.name(place), place),
                new StockPlantForm.Condition(null, StockState.GROWING, null),
                null)));
        return in(() -> counts.look(added.id(), TODAY, null, Map.of(sort, number), null, StockState.GROWING, null));
    }
}
