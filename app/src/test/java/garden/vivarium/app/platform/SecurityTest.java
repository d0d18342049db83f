package garden.vivarium.app.platform;

import static garden.vivarium.app.platform.FormToken.csrf;
import static garden.vivarium.app.platform.FormToken.signIn;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.time.LocalDate;
import java.util.UUID;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

@OnDatabase
class SecurityTest {

    @Autowired
    private MockMvc pages;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private Guide guide;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private JdbcClient database;

    private Nurseries.Made nursery;
    private SignedIn grower;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people);
        grower = new SignedIn(UUID.randomUUID(), nursery.id(), nursery.signIn(), "Grower", "");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/round", "/plan", "/benches", "/stock", "/technique", "/shed", "/records", "/batches/26w01-A"})
    void nothingIsShownBeforeSigningIn(String page) throws Exception {
        pages.perform(get(page)).andExpect(redirectedUrlPattern("**/sign-in"));
    }

    @Test
    void aWriteWithoutItsTokenIsRefused() throws Exception {
        pages.perform(post("/stock").with(user(grower)).param("plant", "Fuchsia"))
                .andExpect(status().isForbidden());
        assertThat(current.workingFor(nursery.id(), stock::all)).isEmpty();
    }

    @Test
    void pagesAllowNothingInlineAndNothingFromElsewhere() throws Exception {
        pages.perform(get("/stock").with(user(grower)))
                .andExpect(header().string(
                                "Content-Security-Policy",
                                Matchers.allOf(
                                        Matchers.containsString("default-src 'none'"),
                                        Matchers.containsString("frame-ancestors 'none'"),
                                        Matchers.not(Matchers.containsString("unsafe")))))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(content().string(Matchers.not(Matchers.containsString("style="))))
                .andExpect(content().string(Matchers.not(Matchers.containsString("onclick="))));
    }

    @Test
    void whatGrowersTypeIsEscaped() throws Exception {
        String name = "<script>alert(1)</script>‘\"&";
        current.workingFor(nursery.id(), () -> Growing.stockPlant(stock, name));

        pages.perform(get("/stock").with(user(grower)))
                .andExpect(content().string(Matchers.not(Matchers.containsString("<script>alert"))))
                .andExpect(content().string(Matchers.containsString("&lt;script&gt;alert(1)")));
    }

    @Test
    void anothersBatchIsNotThere() throws Exception {
        Nurseries.Made other = Nurseries.make(people);
        String code = current.workingFor(
                other.id(),
                () -> Growing.stuck(
                                batches,
                                guide,
                                Growing.stockPlant(stock, "Fuchsia ‘Theirs’"),
                                12,
                                LocalDate.parse(OnDatabase.TODAY).minusDays(9))
                        .code());

        pages.perform(get("/batches/" + code).with(user(grower))).andExpect(status().isNotFound());
        pages.perform(post("/batches/" + code + "/give-up").with(user(grower)).with(csrf()))
                .andExpect(status().isNotFound());
        pages.perform(post("/batches/" + code + "/checks")
                        .with(user(grower))
                        .with(csrf())
                        .contentType("application/json")
                        .content("""
                                {"clientId":"%s","lookedOn":"2026-06-14","look":"LIFTED","pieces":[{"piece":1,"state":"READY"}]}
                                """.formatted(UUID.randomUUID())))
                .andExpect(status().isNotFound());
    }

    @Test
    void guessingIsSlowedDownAndTheRightPasswordWaitsToo() throws Exception {
        for (int i = 0; i < 5; i++) {
            pages.perform(signIn(nursery.signIn(), "guess " + i)).andExpect(redirectedUrl("/sign-in?wrong"));
        }
        pages.perform(signIn(nursery.signIn(), Nurseries.PASSWORD)).andExpect(redirectedUrl("/sign-in?wait=20"));

        database.sql("delete from sign_in_attempt where who = ?")
                .param("name:" + nursery.signIn())
                .update();
        pages.perform(signIn(nursery.signIn(), Nurseries.PASSWORD)).andExpect(redirectedUrl("/round"));
    }

    @Test
    void passwordsAreHashedByAModernScheme() {
        assertThat(database.sql("select password from person where sign_in = ?")
                        .param(nursery.signIn())
                        .query(String.class)
                        .single())
                .startsWith("$argon2id$")
                .doesNotContain(Nurseries.PASSWORD);
    }

    @Test
    void theFirstPageIsShutOnceSomebodyIsHere() throws Exception {
        pages.perform(get("/first")).andExpect(redirectedUrl("/sign-in"));
        pages.perform(post("/first").with(csrf()).param("nursery", "Second")).andExpect(redirectedUrl("/sign-in"));
    }

    @Test
    void filesThatAreNotTextAreRefusedInWords() throws Exception {
        MockMultipartFile file =
                new MockMultipartFile("file", "x.csv", "text/csv", new byte[] {(byte) 0xff, 0x00, (byte) 0xfe});
        pages.perform(multipart("/records")
                        .file(file)
                        .param("kind", "history")
                        .with(user(grower))
                        .with(csrf()))
                .andExpect(redirectedUrlPattern("/records/*"))
                .andDo(done -> pages.perform(
                                get(done.getResponse().getRedirectedUrl()).with(user(grower)))
                        .andExpect(content().string(Matchers.containsString("neither text nor a spreadsheet"))));
    }

    @Test
    void moreJsonThanAnyCheckIsRefusedUnread() throws Exception {
        pages.perform(post("/batches/26w01-A/checks")
                        .with(user(grower))
                        .with(csrf())
                        .contentType("application/json")
                        .content(" ".repeat(1_000_001)))
                .andExpect(status().isPayloadTooLarge());
    }

    @Test
    void aCheckThatCannotBeReadIsAnsweredInWords() throws Exception {
        for (String body : new String[] {"{", "{\"pieces\":[]}", "{\"clientId\":\"x\"}", "[]"}) {
            pages.perform(post("/batches/26w01-A/checks")
                            .with(user(grower))
                            .with(csrf())
                            .contentType("application/json")
                            .content(body))
                    .andExpect(status().isBadRequest())
                    .andExpect(content().string(Matchers.containsString("cannot be read")));
        }
    }

    @Test
    void noBrowserIsHeldToEncryptionUnderACertificateOfOurOwn() throws Exception {
        pages.perform(get("/sign-in").secure(true))
                .andExpect(status().isOk())
                .andExpect(header().doesNotExist("Strict-Transport-Security"));
    }
}
