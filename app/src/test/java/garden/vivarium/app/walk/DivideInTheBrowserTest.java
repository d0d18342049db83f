package garden.vivarium.app.walk;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchCorrections;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.photo.Pictures;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.io.IOException;
import java.net.URLEncoder;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;

/** A rhizome is drawn by keys and by touch, its cuts chosen, and the pieces potted in one press. */
class DivideInTheBrowserTest extends AtThePages {

    @Autowired
    private StockCounts counts;

    @Autowired
    private BatchCorrections corrections;

    @Autowired
    private Photos photos;

    private StockPlantView orchid() {
        return in(() -> {
            StockPlantView made = stock.add(new StockPlantForm(
                    "Cymbidium ‘Harbour Light’",
                    "clumping-orchid",
                    Protection.FREE,
                    "raised here",
                    new StockPlantForm.Stands("Bench", Climate.HEATED),
                    new StockPlantForm.Condition(9, StockState.GROWING, null),
                    null));
            return counts.look(
                    made.id(), TODAY.minusDays(3), null, Map.of("growths", 9), null, StockState.GROWING, null);
        });
    }

    @Test
    void aRhizomeIsDrawnByKeysDividedAndPotted() {
        StockPlantView orchid = orchid();
        browser.open("/stock/" + orchid.id());
        browser.follow("Divide");
        browser.press("#draw button.main");
        browser.untilText("main .error", "Draw the plant first");

        // 1–2–3–4–5–6 and 4–7–8–9; roots on 3, 4, 5, 6, 8, 9; 1 and 2 leafless.
        browser.untilText("[data-divide-said]", "Press n for the first growth");
        browser.script("document.querySelector('[data-divide] svg').focus()");
        browser.keys("n", "r", "f", "n", "r", "f", "nnnn");
        browser.keys(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        browser.untilText("[data-divide-said]", "Chosen is 4");
        browser.keys("b", "r", "l", "nn");
        browser.untilText("[data-divide-said]", "9 drawn. Chosen is 9: roots, a lead.");
        assertThat(browser.value("drawn")).contains("1,60,200,;", "|1-2,2-3,3-4,4-5,5-6,4-7,7-8,8-9");
        browser.type("away", "2");
        browser.press("#draw button.main");
        browser.untilText("main", "Few large or many small");
        assertThat(browser.texts(".divide-card h3"))
                .containsExactly(
                        "2 for others, the best for yourself",
                        "Most pieces that are sure",
                        "Most plants",
                        "Two halves",
                        "Soonest in flower; left whole");
        assertThat(browser.texts(".divide-card").get(4))
                .as("undisturbed it is certain")
                .contains("100%");
        browser.type("cuts", "3-5");
        browser.press("#draw button.main");
        browser.untilText(".error", "3 and 5 do not hang together directly");
        browser.type("cuts", "2-3, 7-8");
        browser.press("#draw button.main");
        browser.untilText(".divide-card h3", "As you would cut it");
        browser.type("cuts", "");
        browser.press("#draw button.main");
        browser.until(d -> !browser.texts(".divide-card h3").contains("As you would cut it"));
        String sure = browser.texts(".divide-card").get(1);
        assertThat(sure)
                .contains(
                        "3 pieces: 2.4 plants to be expected, the least sure takes in 75%",
                        "A", "1, 2, 3, 4", "76%", "Cut 4 from 5, 4 from 7.");
        assertThat(browser.texts(".divide-card").get(0)).contains("B best", "4, 5, 6, 7", "95%", "58%");
        assertThat(browser.count(".divide-card .d-cut"))
                .as("two cuts, two, four, and one")
                .isEqualTo(9);
        assertThat(browser.barriers()).isEmpty();

        browser.script("document.querySelectorAll('[name=card]')[0].click()");
        browser.press(".divide-cards ~ .row-end button.main");
        browser.untilText("main .said", "2 pieces are potted as");
        String code = browser.path().replace("/batches/", "");
        BatchView batch = in(() -> batches.find(code));
        assertThat(batch.taken()).isEqualTo(2);
        assertThat(browser.text("main")).contains("3 growths, 1 with roots", "2 growths, 2 with roots, a lead");
        assertThat(growths(orchid)).as("the best piece of four stays").isEqualTo(4);
        assertThat((String) browser.script("return document.querySelector('main .said a').href"))
                .contains("/labels/", ".pdf");
        browser.open("/labels");
        assertThat(browser.text("main")).contains("2 labels");
        browser.open("/stock/" + orchid.id() + "/divide");
        assertThat(browser.text("section[aria-labelledby=done]")).contains(code);

        // It never was: five growths stand again, the drawing is gone; and taking that back divides it again.
        in(() -> corrections.withdraw(code, "the other plant"));
        assertThat(growths(orchid)).isEqualTo(9);
        browser.open("/stock/" + orchid.id() + "/divide");
        assertThat(browser.count("section[aria-labelledby=done]")).isZero();
        in(() -> corrections.restore(code));
        assertThat(growths(orchid)).isEqualTo(4);
        browser.open("/stock/" + orchid.id() + "/divide");
        assertThat(browser.count("section[aria-labelledby=done]")).isOne();
        assertThat(browser.complaints()).isEmpty();
    }

    private int growths(StockPlantView plant) {
        return in(() -> stock.find(plant.id()).orElseThrow()).counts().stream()
                .filter(b -> b.sort().equals("growths"))
                .findFirst()
                .orElseThrow()
                .pieces();
    }

    @Test
    void aPhotographLiesBeneathAndTheGrowthsLookLikeWhatTheyAre() throws IOException {
        StockPlantView orchid = orchid();
        in(() -> photos.ofStock(orchid.id(), UUID.randomUUID(), TODAY, null, Pictures.file("jpeg", 600, 300)));
        browser.open("/stock/" + orchid.id() + "/divide");
        browser.untilText("[data-divide-said]", "Press n for the first growth");
        browser.script("document.querySelector('[data-divide] svg').focus()");
        browser.keys("n");
        browser.script("const b = document.getElementById('beneath'); b.selectedIndex = 1;"
                + " b.dispatchEvent(new Event('change'))");
        assertThat((String) browser.script(
                        "return document.querySelector('[data-divide] svg').firstElementChild.getAttribute('href')"))
                .startsWith("/photos/")
                .endsWith("/large");
        assertThat(browser.fetch((String)
                        browser.script("return document.querySelector('[data-divide] image').getAttribute('href')")))
                .hasSizeGreaterThan(500);
        String bulb = (String) browser.script("return document.querySelector('.divide-growth').getAttribute('d')");
        browser.script("const f = document.getElementById('form'); f.value = 'FANS';"
                + " f.dispatchEvent(new Event('change'))");
        assertThat((String) browser.script("return document.querySelector('.divide-growth').getAttribute('d')"))
                .isNotEqualTo(bulb);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void byTouchOnAPhone() {
        StockPlantView orchid = orchid();
        browser.size(390, 844, true);
        browser.open("/stock/" + orchid.id() + "/divide");
        browser.untilText("[data-divide-said]", "Press n for the first growth");
        browser.script("""
                const svg = document.querySelector('[data-divide] svg');
                const touch = (x, y) => {
                  const box = svg.getBoundingClientRect();
                  const at = { clientX: box.left + x / 860 * box.width, clientY: box.top + y / 400 * box.height, bubbles: true, pointerId: 1 };
                  svg.dispatchEvent(new PointerEvent('pointerdown', at));
                  svg.dispatchEvent(new PointerEvent('pointerup', at));
                };
                touch(100, 200); touch(200, 200); touch(300, 210); touch(400, 200); touch(200, 200);
                document.querySelector('[data-divide-do=r]').click();""");
        browser.untilText("[data-divide-said]", "4 drawn. Chosen is 2: no roots.");
        browser.press("#draw button.main");
        browser.untilText("main", "Few large or many small");
        assertThat(browser.text("main")).containsIgnoringCase("left whole");
        assertThat(browser.width()).isLessThanOrEqualTo(390);
        browser.open("/stock/" + orchid.id() + "/divide?drawn=1,2,3,r;5,5,5,r");
        assertThat(browser.text("main .error")).contains("hang together");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aProtectedVarietyIsNotDividedForSaleWithoutAWord() {
        StockPlantView orchid = in(() -> {
            StockPlantView made = stock.add(new StockPlantForm(
                    "Cymbidium ‘Protected’",
                    "clumping-orchid",
                    Protection.PROTECTED,
                    "bought in",
                    new StockPlantForm.Stands("Bench", Climate.HEATED),
                    new StockPlantForm.Condition(9, StockState.GROWING, null),
                    null));
            return counts.look(
                    made.id(), TODAY.minusDays(3), null, Map.of("growths", 4), null, StockState.GROWING, null);
        });
        browser.open("/stock/" + orchid.id() + "/divide?form=CREEPING&away=1&drawn="
                + URLEncoder.encode("1,60,200,rf;2,122,200,rlf;3,180,200,rf;4,240,200,rlf|1-2,2-3,3-4", UTF_8));
        browser.untilText("main", "Few large or many small");
        browser.press(".divide-cards ~ .row-end button.main");
        browser.untilText("main .refused", "licence");
        assertThat(browser.value("drawn")).as("the drawing is there still").contains("4,240,200,rlf");
        browser.type("reason", "licence 57/2026");
        browser.press(".divide-cards ~ .row-end button.main");
        browser.untilPath("/batches/");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whichPieceStaysInTheOldPotIsChosen() {
        StockPlantView orchid = orchid();
        browser.open("/stock/" + orchid.id() + "/divide?form=CREEPING&away=1&cuts=2-3&drawn="
                + URLEncoder.encode(
                        "1,60,200,rf;2,122,200,rlf;3,180,200,rf;4,240,200,rf;5,300,200,rlf|1-2,2-3,3-4,4-5", UTF_8));
        browser.untilText(".divide-card h3", "As you would cut it");
        browser.type("stays", "piece A");
        browser.press(".divide-cards ~ .row-end button.main");
        browser.untilText("main .said", "1 piece is potted as");
        assertThat(browser.text("main"))
                .as("the smaller one stays, the larger is a young plant")
                .contains("3 growths, 3 with roots, a lead");
        assertThat(growths(orchid)).isEqualTo(6);
        assertThat(browser.complaints()).isEmpty();
    }
}
