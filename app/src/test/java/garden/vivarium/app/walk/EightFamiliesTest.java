package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Locale;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One batch of each family, in the browser, from stock plant to ready, by its own milestones and in its own words. */
@Order(2)
class EightFamiliesTest extends AtThePages {

    /**
     * A row: the plant; its group's words; the way's title; days since it was cut; days of drying before it was stuck; the
     * grower's words for first sign (none where it is potted at once) and for ready; what the sheet then proposes.
     */
    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
        Fuchsia ‘Skerry Lantern’   | soft trailing and herbaceous | Tip cutting in plug compost with hormone   | 40  | 0 | New root | Ready: rooted | Move 6 ready pieces | shoot-tips
        Opuntia ‘Fender’           | cactus                       | Fleshy stem or pad, callused, in grit      | 70  | 9 | New root | Ready: rooted | Move 6 ready pieces | pads
        Streptocarpus ‘Ebb’        | rosette houseplant           | Leaf sections in vermiculite               | 95  | 0 | New root | Ready: plantlet with roots | Take young plants from 6 pieces | leaves
        Butterwort ‘Dewpond’       | insect-eater                 | Leaf pull on living moss                   | 95  | 0 | Bud      | Ready: plantlet with roots | Take young plants from 6 pieces | leaves
        Hosta ‘Tidewrack’          | clump perennial              | Clump division in leafy compost            | 50  | 0 | -        | Settled | - | crowns
        Houseleek ‘Rust Anchor’    | succulent                    | Offset in gritty mix                       | 60  | 3 | New root | Ready: rooted | Move 6 ready pieces | offsets
        Phalaenopsis ‘Signal Flag’ | single-stemmed orchid        | Plantlets awaited on an orchid without its crown | 420 | 0 | New root | Ready: own roots of a length | Take young plants from 6 pieces | plantlets
        Lily ‘Storm Glass’         | bulb, corm or tuber          | Bulb scale in vermiculite                  | 100 | 0 | Bulblet  | Ready: bulblet with roots | Move 6 ready pieces | scales
        """)
    void fromStockPlantToReady(
            String plant,
            String group,
            String way,
            int ago,
            int drying,
            String sign,
            String ready,
            String then,
            String sort) {
        browser.open("/stock/new");
        browser.type("plant", plant);
        browser.choose("group", group);
        browser.untilShown("count-" + sort);
        browser.type("count-" + sort, "80");
        browser.type("place", "Bench");
        browser.press("main button.main");
        browser.untilText(".said", "added as");

        assertThat(browser.text("h1"))
                .as("whoever adds something lands on it")
                .contains(plant.substring(0, 3).toUpperCase(Locale.ROOT) + "-1");
        browser.press("a[data-key=n]");
        browser.type("wanted", "4");
        browser.type("due", "2027-05-15");
        browser.untilAddress("due=2027-05-15");
        browser.follow(way);
        browser.untilText("h2", way);
        browser.press("button[data-key=c]");
        browser.untilPath("/plan/");

        LocalDate cut = TODAY.minusDays(ago);
        browser.type("takenOn", cut.toString());
        browser.type("taken", "10");
        if (drying > 0) {
            assertThat(browser.script("return document.getElementById('later').checked"))
                    .isEqualTo(true);
        } else {
            browser.type("stuckOn", cut.toString());
            browser.type("stuck", "10");
        }
        browser.press("main button.main");
        browser.untilPath("/batches/");
        String sheet = browser.path();
        if (drying > 0) {
            assertThat(browser.text("main")).contains("wounds are dry after");
            browser.type("stuckOn0", cut.plusDays(drying).toString());
            browser.press("form[action$='/stick'] button");
            browser.untilText(".said", "10 stuck");
        }
        look(sheet, cut.plusDays(drying + 12), sign == null ? 0 : 3, 0, 1);
        look(sheet, TODAY, 7, 6, 2);

        browser.open(sheet);
        String answers = browser.text(".answers");
        if (sign != null) {
            assertThat(answers).contains(sign + " 7");
        }
        if (ready != null) {
            assertThat(answers).contains(ready + " 6");
        }
        if (then != null) {
            assertThat(browser.text("section[aria-labelledby=next]")).contains(then);
            browser.press("form[action$='/move'] button, form[action$='/separate'] button");
            browser.untilText(".said", "6 ");
        }
        assertThat(browser.complaints()).isEmpty();
    }

    private void look(String sheet, LocalDate day, int sign, int ready, int lost) {
        browser.open(sheet + "/check");
        if (browser.count("#by-count[open]") == 0) {
            browser.press("#by-count summary");
        }
        browser.type("lookedOn", day.toString());
        if (browser.count("#firstSign") > 0) {
            browser.type("firstSign", String.valueOf(Math.max(sign, ready)));
        }
        browser.type("ready", String.valueOf(ready));
        browser.type("lost", String.valueOf(lost));
        browser.press("#by-count button.main");
        browser.untilText(".said", "written down");
    }
}
