package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import org.junit.jupiter.api.Test;

/** A second person at the nursery, who may look and no more. */
class SecondPersonTest extends AtThePages {

    @Test
    void aReaderIsLetInLooksAndIsRefusedWhatIsNotTheirs() {
        BatchView batch = in(() ->
                Growing.stuck(batches, guide, Growing.stockPlant(stock, "Fuchsia ‘Second’"), 12, TODAY.minusDays(20)));
        String signIn = "auk" + System.nanoTime();
        browser.open("/people");
        browser.type("name", "Auk");
        browser.type("signIn", signIn);
        browser.type("password", "sand eels at noon");
        browser.choose("role", "reader");
        browser.press("section[aria-labelledby=new] button.main");
        browser.untilText("main .said", "Auk is asked to work here as reader");
        assertThat(browser.barriers()).isEmpty();

        browser.press("header form[action='/sign-out'] button");
        browser.signIn(signIn, "sand eels at noon");
        browser.open("/batches/" + batch.code());
        assertThat(browser.text("h1")).contains(batch.code());
        browser.open("/batches/" + batch.code() + "/correct");
        assertThat(
                        browser.script(
                                "return [...document.querySelectorAll('main form[method=post]')].filter((f) => f.offsetParent).length"))
                .as("forms that would be refused")
                .isEqualTo(0L);
        // And where somebody sends one all the same:
        browser.script("document.body.removeAttribute('data-may')");
        browser.type("why-withdraw", "to see whether I may");
        browser.press("section[aria-labelledby=withdraw] button");
        browser.untilText("h1", "That is not yours to do");
        assertThat(in(() -> batches.find(batch.code())).stuck()).isEqualTo(12);
    }
}
