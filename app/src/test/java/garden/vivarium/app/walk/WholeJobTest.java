package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** The whole job once, in a browser, on an empty nursery: stock, plan, stick, check, sheet, round, technique, records. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class WholeJobTest extends AtThePages {

    private static final String PLANT = "Fuchsia ‘Skerry Lantern’";

    @TempDir
    private Path folder;

    private String code;

    @Test
    @Order(1)
    void anEmptyNurserySaysWhatToDoFirst() {
        browser.open("/round");
        browser.untilPath("/welcome");
        browser.press("form[action='/welcome/done'] button");
        browser.untilPath("/round");
        assertThat(browser.text("h1")).contains("nothing needs a hand");
        assertThat(browser.text("main")).contains("Add a stock plant");
        browser.open("/technique");
        assertThat(browser.text("main")).contains("No batch has been looked at yet");
    }

    @Test
    @Order(2)
    void aStockPlantIsAdded() {
        browser.open("/stock/new");
        browser.type("plant", PLANT);
        browser.untilText("[data-kind-said]", "Fuchsia: soft trailing and herbaceous");
        browser.press("main button.main");
        assertThat(browser.text("[id='stands.place-error']")).contains("where it stands");
        assertThat(browser.value("plant")).as("nothing typed is lost").isEqualTo(PLANT);

        browser.type("place", "Mist bench");
        browser.untilShown("count-shoot-tips");
        browser.type("count-shoot-tips", "70");
        browser.press("main button.main");

        assertThat(browser.text(".said")).contains("added as FUC-1");
        assertThat(browser.text("main"))
                .as("whoever adds something lands on it")
                .contains(PLANT, "Mist bench", "70");
        browser.open("/stock");
        assertThat(browser.text("main table")).contains(PLANT, "Mist bench", "70");
    }

    @Test
    @Order(3)
    void aPlanSaysHowManyByWhenAndHowSure() {
        browser.follow("Plan");
        browser.choose("stock", PLANT);
        browser.type("wanted", "10");
        browser.type("sure", "90");
        browser.type("due", "2026-06-20");
        browser.untilAddress("due=2026-06-20");
        browser.untilText("#cannot", "Too soon. More pieces are no answer");
        assertThat(browser.text("#cannot")).contains("Later: ");
        assertThat(browser.count("button[data-key=c]")).as("nothing to commit").isZero();

        browser.type("due", "2026-09-15");
        browser.untilAddress("due=2026-09-15");
        browser.follow("Tip cutting in water");
        browser.untilAddress("way=tip-in-water");
        browser.untilText("h2", "Tip cutting in water");
        int take = Integer.parseInt(browser.text("a.num[href='#why-take']"));
        assertThat(take).isBetween(11, 20);
        browser.press("a.num[href='#why-take']");
        assertThat(browser.text("#why-take"))
                .contains("take " + take + ": 9")
                .contains("take " + (take - 1) + ": 8")
                .contains("10 × 1 = 10 rooted pieces");
        assertThat(browser.count("[data-size=large] svg.ribbon")).isOne();

        assertThat(browser.count("svg.start-or-take .least")).isOne();
        assertThat(browser.text("[data-start-or-take] p")).contains("take " + take + ": as planned");
        browser.script("document.querySelector('.start-or-take .mark').focus()");
        browser.keys(Keys.ARROW_DOWN);
        browser.untilText("[data-start-or-take] p.behind", "% of 10 in time");
        assertThat(browser.text("[data-start-or-take] p")).startsWith("Start Mon 15 Jun, take " + (take - 1) + ": ");
        assertThat(browser.value("take"))
                .as("what the mark says is what Commit commits")
                .isEqualTo("" + (take - 1));
        browser.keys(Keys.ARROW_UP, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.untilText("[data-start-or-take] p:not(.behind)", "Start Wed 17 Jun, take " + take + ": 9");
        assertThat(browser.script("return document.querySelector('[data-planned-start]').value"))
                .isEqualTo("2026-06-17");

        browser.follow("soonest ready");
        browser.untilAddress("by=SOONEST");
        List<String> order = browser.texts("section[aria-labelledby=ways] tbody td:first-child a");
        assertThat(order.get(0)).as("roots in water within days").isEqualTo("Tip cutting in water");
        assertThat(browser.texts("section[aria-labelledby=ways] tbody td:nth-child(3)")
                        .get(0))
                .as("nine times in ten the aim is met")
                .startsWith("10–");
        browser.press("button[data-key=c]");
        browser.untilPath("/plan/");
        assertThat(browser.text("h1")).isEqualTo(PLANT + ": take " + take);
    }

    @Test
    @Order(4)
    void thePlanBecomesABatchWithItsLabel() {
        browser.type("takenOn", "2026-05-25");
        browser.type("taken", "20");
        browser.type("stuckOn", "2026-05-25");
        browser.type("stuck", "21");
        browser.press("main button.main");
        assertThat(browser.text("[id='set.stuck-error']")).contains("21 of 20 taken cannot be stuck; give 1 to 20");
        assertThat(browser.value("takenOn")).isEqualTo("2026-05-25");

        browser.type("stuck", "20");
        browser.press("main button.main");
        browser.untilPath("/batches/");
        code = browser.path().substring("/batches/".length());
        assertThat(code).isEqualTo("26w22-A");
        assertThat(browser.text(".said")).contains(PLANT + " · 25 May 2026 · 26w22-A");
        browser.open("/stock");
        assertThat(browser.text("main table"))
                .as("a cut dated before the count is in that count")
                .contains("70");
        browser.follow("FUC-1");
        assertThat(browser.text("section[aria-labelledby=rhythm]")).contains("Mon 25 May", "20");
    }

    @Test
    @Order(5)
    void aLookByCountIsWrittenDownAndRefusedInWords() {
        browser.open("/batches/" + code + "/check");
        browser.type("lookedOn", "2026-06-01");
        browser.type("firstSign", "8");
        browser.type("ready", "0");
        browser.type("lost", "1");
        browser.press("#by-count button.main");
        browser.untilText(".said", "written down");

        browser.open("/batches/" + code + "/check");
        browser.type("lookedOn", "2026-06-10");
        browser.type("firstSign", "12");
        browser.type("ready", "19");
        browser.type("lost", "2");
        browser.type("note", "good white roots");
        browser.press("#by-count button.main");
        assertThat(browser.text("#lost-error, #ready-error")).contains("more than the 20 stuck");
        assertThat(browser.value("note")).isEqualTo("good white roots");

        browser.type("ready", "9");
        browser.press("#by-count button.main");
        browser.untilText(".said", "written down");
    }

    @Test
    @Order(6)
    void theSheetShowsWhatWasSeenAndWhatIsNext() {
        browser.open("/batches/" + code);
        assertThat(browser.texts(".answers dd")).containsExactly("20", "12", "9", "2", "9");
        assertThat(browser.text("main")).contains("Move 9 ready pieces").contains("move by Sat 20 Jun");
        assertThat(browser.count(".pieces svg")).isEqualTo(20);
        assertThat(browser.count("use[href='#piece-ready']")).isEqualTo(10);
        assertThat(browser.count("[data-curves] svg.curve")).isOne();
        browser.press("section[aria-labelledby=curve] summary");
        assertThat(browser.text("section[aria-labelledby=curve] table"))
                .contains("7 and 16", "45.0%", "5.0%", "Neither by the last look");
    }

    @Test
    @Order(7)
    void theRoundAsksForItAndOneKeyDoesIt() {
        browser.open("/round");
        assertThat(browser.text(".stop h2")).isEqualTo("Mist bench");
        assertThat(browser.text(".stop .tally")).matches("\\d+ things, about \\d+ minutes");
        assertThat(browser.text(".like h3")).isEqualTo("To pot up");
        browser.keys("d");
        browser.keys(Keys.ENTER);
        browser.untilText(".said", code + ": 9 pieces potted");
        browser.keys("u");
        browser.untilText(".said", "Undone");
        browser.keys("d");
        browser.keys(Keys.ENTER);
        browser.untilText(".said", code + ": 9 pieces potted");

        browser.open("/batches/" + code);
        assertThat(browser.text("main")).contains("Have 9 young plants settled?");
        assertThat(browser.count(".pieces use[href='#piece-potted']")).isEqualTo(9);
    }

    @Test
    @Order(8)
    void oldRecordsAreLookedThroughThenKept() throws Exception {
        Path bad = Files.writeString(
                folder.resolve("bad.csv"),
                "batch,plant,method,medium,stuck_on,stuck,looked_on,ready,lost\nX,F,tip cutting,mud,2025-05-01,20,2025-05-20,2,1\n");
        browser.open("/records");
        browser.upload("file", bad);
        browser.press("main button.main");
        browser.untilText("main", "One word is asked about.");
        assertThat(browser.text("main table")).contains("mud", "Medium");

        StringBuilder good =
                new StringBuilder("batch,plant,group,method,medium,treatment,stuck_on,stuck,looked_on,ready,lost\n");
        int[] ready = {14, 17, 15, 18, 13, 16, 17, 15};
        for (int i = 0; i < ready.length; i++) {
            String batch =
                    "old-%d,%s,soft,tip cutting,plug compost,hormone 0.3%%,2025-0%d-05,20,".formatted(i, PLANT, 1 + i);
            good.append(batch).append("2025-0%d-25,%d,0\n".formatted(1 + i, ready[i] / 2));
            good.append(batch).append("2025-0%d-10,%d,%d\n".formatted(2 + i, ready[i], 20 - ready[i]));
        }
        browser.open("/records");
        browser.upload("file", Files.writeString(folder.resolve("good.csv"), good));
        browser.press("main button.main");
        browser.untilText("main", "Would make 8 batches");
        assertThat(browser.text("section[aria-label='What it would do'] table"))
                .contains("old-0", "14 ready, 6 lost by Mon 10 Feb 2025");
        browser.press("section[aria-label='What it would do'] button.main");
        browser.untilText(".said", "16 entries");
    }

    /** The row of a way of the plant, among the ways on Technique. */
    private String rowOf(String way) {
        List<String> rows = browser.texts("tr[data-row]");
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).contains(PLANT + " " + way + " ")) {
                return "tr[data-row]:nth-child(" + (i + 1) + ")";
            }
        }
        throw new AssertionError(way + " is none of " + rows);
    }

    @Test
    @Order(9)
    void techniqueReadsTheRightNumbers() {
        browser.open("/technique");
        String plug = rowOf("tip cutting in plug compost, hormone 0.3%");
        assertThat(browser.texts(plug + " td").subList(2, 4)).containsExactly("8", "125 of 160");
        assertThat(browser.texts(plug + " td").get(4)).isEqualTo("81%");
        String water = rowOf("tip cutting in water");
        assertThat(browser.texts(water + " td").get(3)).isEqualTo("9 of 20 9 running");
        assertThat(browser.text(".margin")).contains("This nursery is young");

        browser.press(water + " input[name=way]");
        browser.untilText("main", "They differ in medium");
        assertThat(browser.count(".curve .sure-a, .curve .sure-b")).isGreaterThanOrEqualTo(2);
        assertThat(browser.text("main")).contains("too few batches for a band");
    }

    @Test
    @Order(10)
    void nothingWasComplainedOfInTheConsole() {
        assertThat(browser.complaints()).isEmpty();
    }
}
