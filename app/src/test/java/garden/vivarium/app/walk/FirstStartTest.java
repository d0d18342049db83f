package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.PrivateDatabase;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The first page of an installation where nobody is yet, on a database of its own. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"vivarium.today=" + OnDatabase.TODAY, "vivarium.first.code=K7QF-M2XP"})
@Order(2)
@ExtendWith(IdleBrowsers.class)
class FirstStartTest {

    @LocalServerPort
    private int port;

    @DynamicPropertySource
    static void emptyDatabase(DynamicPropertyRegistry properties) {
        PrivateDatabase db = PrivateDatabase.one();
        properties.add("spring.datasource.url", db::emptyUrl);
        properties.add("spring.datasource.username", db::user);
        properties.add("spring.datasource.password", db::password);
    }

    @Test
    void theFirstPersonMakesTheNurseryAndSignsOutAndIn() {
        try (Browser browser = new Browser(port)) {
            browser.open("/");
            browser.untilPath("/first");
            assertThat(browser.barriers()).isEmpty();
            browser.type("code", "K7QF-M2XP");
            browser.type("nursery", "Gull Yard");
            browser.type("name", "Tern");
            browser.type("signIn", "tern of the yard");
            browser.type("password", "short");
            browser.press("main button.main");
            assertThat(browser.text("#signIn-error")).contains("without blanks");
            assertThat(browser.value("nursery")).isEqualTo("Gull Yard");

            browser.type("signIn", "Tern");
            browser.type("password", "short");
            browser.press("main button.main");
            assertThat(browser.text("#password-error")).contains("use 12 or more");

            browser.type("code", "K7QF-M2XQ");
            browser.type("password", "sand eels at dawn");
            browser.press("main button.main");
            assertThat(browser.text("#code-error")).contains("the start command prints it");

            String before = browser.session();
            browser.type("code", "k7qf m2xp");
            browser.type("password", "sand eels at dawn");
            browser.press("main button.main");
            browser.untilPath("/welcome");
            assertThat(browser.session()).as("a new session").isNotEqualTo(before);
            assertThat(browser.text(".nursery")).isEqualTo("Gull Yard");

            browser.open("/round");
            browser.untilPath("/welcome");
            theFirstHour(browser);
            browser.open("/round");
            browser.untilPath("/round");

            browser.press(".head form button.quiet");
            browser.untilPath("/sign-in");
            browser.open("/stock");
            browser.untilPath("/sign-in");
            browser.open("/first");
            browser.untilPath("/sign-in");
            browser.signIn("tern", "sand eels at dawn");
            assertThat(browser.text("h1")).isEqualTo("What can be cut");
        }
    }

    /** From nothing to the first stuck batch. */
    private static void theFirstHour(Browser browser) {
        assertThat(browser.barriers()).isEmpty();
        browser.choose("hemisphere", "northern");
        browser.choose("currency", "GBP");
        browser.choose("units", "centimetres");
        browser.press("main button.main");
        browser.untilText("h2", "Where do things stand?");
        browser.script(
                "document.querySelectorAll('[name=name]').forEach((f, i) => { f.value = ['Sill', 'Bench'][i] || ''; })");
        browser.script("document.querySelectorAll('[name=trays]')[1].value = '6'");
        browser.press("main button.main");
        browser.untilText("h2", "What is here?");
        assertThat(browser.text(".said")).contains("2 places are made");
        assertThat(browser.barriers()).isEmpty();

        browser.follow("It stands already");
        browser.type("plant", "Fuchsia ‘Slack Tide’");
        browser.type("pieces", "12");
        browser.type("rooted", "0");
        browser.type("when", "1w");
        browser.type("place", "Sill");
        browser.press("main button.main");
        browser.untilText("section[aria-labelledby=written]", "Fuchsia ‘Slack Tide’");
        browser.open("/benches");
        assertThat(browser.text("main")).contains("Fuchsia ‘Slack Tide’", "Sill");
    }
}
