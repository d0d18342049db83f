package garden.vivarium.app.platform;

import static garden.vivarium.app.platform.FormToken.csrf;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What holds for every form: sent twice it counts once, both sides of a clash are shown, impossible days are refused by name. */
class FormsTest extends AtANursery {

    @Autowired
    private MockMvc pages;

    @Autowired
    private SentForms forms;

    @Autowired
    private SessionRepository<? extends Session> sessions;

    @Autowired
    private JdbcClient database;

    private SignedIn grower;
    private BatchView batch;

    @BeforeEach
    void someReady() {
        grower = new SignedIn(UUID.randomUUID(), nursery, "grower", "Grower", "");
        batch = running(12, 30);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(2), 8, 0)));
        batch = in(() -> batches.find(batch.code()));
    }

    @Test
    void everyFormCarriesAnIdAndThoseOfASheetWhatTheyShow() throws Exception {
        String sheet = pages.perform(get("/batches/" + batch.code()).with(user(grower)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(sheet).contains("name=\"once\"").contains("value=\"" + batch.seen() + "\"");
        assertThat(pages.perform(get("/technique").with(user(grower)))
                        .andReturn()
                        .getResponse()
                        .getContentAsString()
                        .split("name=\"once\""))
                .as("signing out is the only form there that is sent")
                .hasSize(2);
    }

    @Test
    void aFormThatIsSentTwiceCountsOnce() throws Exception {
        String id = UUID.randomUUID().toString();
        for (int i = 0; i < 2; i++) {
            pages.perform(move(3).param("once", id)).andExpect(redirectedUrl("/batches/" + batch.code()));
        }
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(3);
        pages.perform(move(3).param("once", UUID.randomUUID().toString()));
        assertThat(in(() -> batches.find(batch.code())).moved())
                .as("another form")
                .isEqualTo(6);
    }

    @Test
    void whatWasDoneBeforeItsNodeEndedIsNotDoneAgainAndWhatWasNotIs() throws Exception {
        String id = UUID.randomUUID().toString();
        pages.perform(move(3).param("once", id));
        assertThat(database.sql("select kept from sent_form where id = ?")
                        .param(id)
                        .query(Boolean.class)
                        .single())
                .as("written with the move itself")
                .isTrue();
        // The node ended after the move was kept, before it said where it led; and that is long ago.
        database.sql("update sent_form set answer = null, sent_at = sent_at - interval 1 hour where id = ?")
                .param(id)
                .update();
        pages.perform(move(3).param("once", id))
                .andExpect(redirectedUrl("/round"))
                .andExpect(flash().attribute("said", Matchers.containsString("was done the first time")));
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(3);

        // Another ended before anything was kept: the move is undone with its mark, as the database undoes both.
        UUID never = UUID.randomUUID();
        assertThat(forms.take(new SentForms.Form(nursery, never))).isTrue();
        database.sql("update sent_form set sent_at = sent_at - interval 1 hour where id = ?")
                .param(never.toString())
                .update();
        pages.perform(move(2).param("once", never.toString())).andExpect(redirectedUrl("/batches/" + batch.code()));
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(5);
    }

    @Test
    void aFormThatWasKeptIsNotLetGoWhereItsAnswerFails() {
        SentForms.Form form = new SentForms.Form(nursery, UUID.randomUUID());
        assertThat(forms.take(form)).isTrue();
        forms.release(form);
        assertThat(forms.state(form)).isEqualTo(SentForms.State.FREE);
        assertThat(forms.take(form)).isTrue();
        forms.kept(form);
        forms.release(form);
        assertThat(forms.state(form)).isEqualTo(SentForms.State.KEPT);
        assertThat(forms.take(form)).isFalse();
    }

    @Test
    void muchThatWasTypedFitsIntoTheSessionAndWhatNobodyTypesIsLeftOut() {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/promises");
        request.setParameter("words", "a".repeat(150_000));
        request.setParameter("other", "b".repeat(300_000));
        request.setParameter("number", "24");
        Map<String, String[]> typed = FormActions.typed(request);
        assertThat(typed).containsOnlyKeys("words", "number");
        assertThat(readBack(sessions, new FormActions.TypedForm("/promises", "words", "too long", typed))
                        .values()
                        .get("words")[0])
                .hasSize(150_000);
    }

    private static <S extends Session> FormActions.TypedForm readBack(
            SessionRepository<S> sessions, FormActions.TypedForm form) {
        S session = sessions.createSession();
        session.setAttribute("typed", form);
        sessions.save(session);
        try {
            return sessions.findById(session.getId()).getAttribute("typed");
        } finally {
            sessions.deleteById(session.getId());
        }
    }

    @Test
    void aFormThatIsSentEightTimesAtOnceCountsOnce() throws Exception {
        String id = UUID.randomUUID().toString();
        ExecutorService hands = Executors.newFixedThreadPool(8);
        try {
            List<Future<Integer>> sent = IntStream.range(0, 8)
                    .mapToObj(i -> hands.submit(() -> pages.perform(move(1).param("once", id))
                            .andReturn()
                            .getResponse()
                            .getStatus()))
                    .toList();
            for (Future<Integer> s : sent) {
                assertThat(s.get()).isEqualTo(302);
            }
        } finally {
            hands.shutdownNow();
        }
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(1);
    }

    @Test
    void aFormThatIsRefusedIsRefusedTwiceAndNobodyWaitsForIt() throws Exception {
        String id = UUID.randomUUID().toString();
        ExecutorService hands = Executors.newFixedThreadPool(4);
        try {
            List<Future<Integer>> sent = IntStream.range(0, 4)
                    .mapToObj(i -> hands.submit(() -> pages.perform(post("/stock")
                                    .with(user(grower))
                                    .with(csrf())
                                    .param("once", id))
                            .andReturn()
                            .getResponse()
                            .getStatus()))
                    .toList();
            for (Future<Integer> s : sent) {
                assertThat(s.get(8, TimeUnit.SECONDS)).isEqualTo(200);
            }
        } finally {
            hands.shutdownNow();
        }
    }

    @Test
    void anIdThatStandsForNothingDoneMayBeSentAgain() throws Exception {
        String id = UUID.randomUUID().toString();
        pages.perform(post("/stock")
                        .with(user(grower))
                        .with(csrf())
                        .param("once", id)
                        .param("_name.nameUnsure", "on")
                        .param("_name.flowersOnce", "on"))
                .andExpect(status().isOk())
                .andExpect(content().string(Matchers.containsString("Say which plant it is")));
        pages.perform(post("/stock")
                        .with(user(grower))
                        .with(csrf())
                        .param("once", id)
                        .param("name.plant", "Sage ‘Lighter Grey’")
                        .param("name.group", "soft")
                        .param("rights.protection", "FREE")
                        .param("stands.place", "Bench")
                        .param("condition.state", "GROWING")
                        .param("_name.nameUnsure", "on")
                        .param("_name.flowersOnce", "on"))
                .andExpect(redirectedUrlPattern("/stock/*"));
    }

    @Test
    void whoeverSawAnotherStateIsShownBothSidesAndMaySendTheirsAllTheSame() throws Exception {
        run(() -> moves.move(batch.code(), TODAY, 2, 2));
        pages.perform(move(3).param("seen", batch.seen()))
                .andExpect(status().isConflict())
                .andExpect(content()
                        .string(Matchers.allOf(
                                Matchers.containsString("8 of 12 ready, 0 lost, 2 moved"),
                                Matchers.containsString("Send mine all the same"),
                                Matchers.containsString("name=\"youngPlants\" value=\"3\""))));
        BatchView now = in(() -> batches.find(batch.code()));
        assertThat(now.moved()).isEqualTo(2);

        pages.perform(move(3).param("seen", now.seen())).andExpect(redirectedUrl("/batches/" + batch.code()));
        assertThat(in(() -> batches.find(batch.code())).moved()).isEqualTo(5);
    }

    @Test
    void aStockPlantChangedMeanwhileIsNotWrittenOver() throws Exception {
        run(() -> stock.quarantine(fuchsia.id(), TODAY.plusDays(9)));
        pages.perform(post("/stock/" + fuchsia.id())
                        .with(user(grower))
                        .with(csrf())
                        .param("seen", fuchsia.seen())
                        .param("name.plant", fuchsia.plant().name())
                        .param("name.group", "soft")
                        .param("rights.protection", "FREE")
                        .param("stands.place", "Elsewhere")
                        .param("condition.state", "GROWING")
                        .param("_name.nameUnsure", "on")
                        .param("_name.flowersOnce", "on"))
                .andExpect(status().isConflict())
                .andExpect(content().string(Matchers.containsString(fuchsia.code() + " now stands in")));
        assertThat(in(() -> stock.find(fuchsia.id()).orElseThrow()).place().name())
                .isEqualTo(fuchsia.place().name());
    }

    @ParameterizedTest
    @CsvSource({
        "/batches/{code}/move, movedOn",
        "/batches/{code}/counts, lookedOn",
        "/batches/{code}/recut, cutOn",
        "/stock, came.arrivedOn",
        "/stock, condition.quarantineUntil",
        "/stock/{stock}/cut, cutOn",
        "/stock/{stock}/look, lookedOn",
        "/plan, due",
        "/plan, start",
        "/promises, due",
    })
    void daysThatNoGrowerMeansAreRefusedByName(String address, String field) throws Exception {
        String at = address.replace("{code}", batch.code())
                .replace("{stock}", fuchsia.id().toString());
        for (String day : List.of("0026-05-01", "1899-12-31", "2201-01-01", "-999999999-01-01")) {
            pages.perform(post(at).with(user(grower))
                            .with(csrf())
                            .header("Referer", "http://localhost/stock?kind=LOT")
                            .param("note", "kept")
                            .param(field, day))
                    .andExpect(redirectedUrl("/stock?kind=LOT"))
                    .andExpect(flash().attribute("refused", Matchers.containsString("between 1900 and 2200")))
                    .andExpect(flash().attribute(
                                    "typed",
                                    Matchers.allOf(
                                            Matchers.hasProperty("class", Matchers.is(FormActions.TypedForm.class)),
                                            Matchers.hasToString(Matchers.containsString(field)))));
        }
        assertThat(in(() -> batches.find(batch.code())).moved()).isZero();
    }

    private MockHttpServletRequestBuilder move(int pieces) {
        return post("/batches/" + batch.code() + "/move")
                .with(user(grower))
                .with(csrf())
                .param("movedOn", TODAY.toString())
                .param("pieces", String.valueOf(pieces))
                .param("youngPlants", String.valueOf(pieces));
    }
}
