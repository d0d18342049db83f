package garden.vivarium.app.people;

import static garden.vivarium.app.platform.FormToken.csrf;
import static garden.vivarium.app.platform.FormToken.signIn;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.FormToken;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.timing.Hemisphere;
import jakarta.servlet.http.Cookie;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Somebody works in several nurseries, with a role in each. */
@OnDatabase
@AutoConfigureMockMvc
class WorkplacesTest {

    @Autowired
    private MockMvc pages;

    @Autowired
    private People people;

    @Autowired
    private Invitations invitations;

    @Autowired
    private PersonRepository persons;

    @Autowired
    private MembershipRepository memberships;

    @Autowired
    private NurseryRepository nurseries;

    @Autowired
    private Stock stock;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private JdbcClient database;

    private Nurseries.Made mine;
    private Nurseries.Made other;
    private SignedIn me;

    @BeforeEach
    void twoNurseries() {
        mine = Nurseries.make(people);
        other = Nurseries.make(people);
        me = persons.findBySignIn(mine.signIn()).orElseThrow().signedIn(Role.OWNER);
    }

    private SignedIn owner() {
        return persons.findBySignIn(other.signIn()).orElseThrow().signedIn(Role.OWNER);
    }

    private void letIn(Role role) throws Exception {
        invite(mine.signIn(), role).andExpect(flash().attributeExists("said"));
        pages.perform(post("/invitations/" + invitation() + "/accept")
                        .with(csrf())
                        .with(user(me)))
                .andExpect(
                        flash().attribute("said", Matchers.containsString("You work in Nursery of " + other.signIn())));
    }

    private ResultActions invite(String signIn, Role role) throws Exception {
        return pages.perform(post("/people")
                .with(csrf())
                .with(user(owner()))
                .param("name", "Somebody")
                .param("signIn", signIn)
                .param("password", "told by word of mouth")
                .param("role", role.name()));
    }

    private UUID invitation() {
        return invitations.sentTo(mine.signIn()).get(0).id();
    }

    private Cookie there() throws Exception {
        return pages.perform(post("/nurseries/go")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", other.id().toString()))
                .andExpect(redirectedUrl("/round"))
                .andReturn()
                .getResponse()
                .getCookie(FormToken.sessionCookie(pages));
    }

    @Test
    void whoIsLetInGoesThereAndHasTheRoleOfThatNursery() throws Exception {
        current.workingFor(other.id(), () -> Growing.stockPlant(stock, "Sage ‘Over There’"));
        letIn(Role.READER);
        Cookie session = there();

        pages.perform(get("/stock").cookie(session)).andExpect(content().string(Matchers.containsString("Over There")));
        pages.perform(post("/stands").cookie(session).with(FormToken.of(session, pages)))
                .andExpect(status().isForbidden());
        assertThat(persons.findBySignIn(mine.signIn()).orElseThrow().nurseryId())
                .as("where they worked last")
                .isEqualTo(other.id());
    }

    @Test
    void nobodyWorksAnywhereUnaskedAndWhoAsksLearnsNothing() throws Exception {
        String nobody = "nobody-" + UUID.randomUUID();
        String ofOne = invite(mine.signIn(), Role.GROWER)
                .andReturn()
                .getFlashMap()
                .get("said")
                .toString();
        String ofNone = invite(nobody, Role.GROWER)
                .andReturn()
                .getFlashMap()
                .get("said")
                .toString();
        assertThat(ofOne)
                .as("whether somebody has the name makes no difference")
                .isEqualTo(ofNone);
        String page = pages.perform(get("/people").with(user(owner())))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(page).contains(mine.signIn(), nobody).doesNotContain("Grower</td><td>" + mine.signIn());
        assertThat(memberships.ofPerson(me.personId()))
                .extracting(Membership::nurseryId)
                .containsExactly(mine.id());
        assertThat(persons.findBySignIn(nobody)).isEmpty();

        pages.perform(get("/invitations").with(user(me)))
                .andExpect(content().string(Matchers.containsString("Nursery of " + other.signIn())));
        pages.perform(post("/invitations/" + invitation() + "/accept")
                        .with(csrf())
                        .with(user(owner())))
                .andExpect(status().isNotFound());
        pages.perform(
                post("/invitations/" + invitation() + "/decline").with(csrf()).with(user(me)));
        assertThat(invitations.sentTo(mine.signIn())).isEmpty();
        assertThat(memberships.ofPerson(me.personId())).hasSize(1);
        assertThat(getsIn(mine.signIn(), "told by word of mouth"))
                .as("the first password that another chose opens nobody's account")
                .isEqualTo("/sign-in?wrong");
    }

    private String getsIn(String signIn, String password) throws Exception {
        return pages.perform(signIn(signIn, password)).andReturn().getResponse().getRedirectedUrl();
    }

    @Test
    void anInvitationIsShownAtSignInAndWithoutAFirstPasswordALinkIsGivenAtOnce() throws Exception {
        invite(mine.signIn(), Role.GROWER);
        assertThat(getsIn(mine.signIn(), Nurseries.PASSWORD)).isEqualTo("/invitations");
        String auk = "auk-" + UUID.randomUUID();
        String page = pages.perform(post("/people")
                        .with(csrf())
                        .with(user(owner()))
                        .param("name", "Auk")
                        .param("signIn", auk)
                        .param("password", "")
                        .param("role", "READER"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        String link = page.replaceFirst("(?s).*value=\"https?://[^/]+(/invited/[^\"]+)\".*", "$1");
        pages.perform(get(link)).andExpect(content().string(Matchers.containsString("as <strong>" + auk)));
        pages.perform(post(link).with(csrf()).param("password", "short"))
                .andExpect(content().string(Matchers.containsString("12 or more")));
        pages.perform(post(link).with(csrf()).param("password", "sand eels at dusk"))
                .andExpect(redirectedUrl("/sign-in"));
        pages.perform(get(link)).andExpect(content().string(Matchers.containsString("This link was used")));
        assertThat(getsIn(auk, "sand eels at dusk")).isEqualTo("/round");
    }

    @Test
    void aLinkForANameThatSomebodyHasSetsNobodysPassword() throws Exception {
        String page = pages.perform(post("/people")
                        .with(csrf())
                        .with(user(owner()))
                        .param("name", "Auk")
                        .param("signIn", mine.signIn())
                        .param("role", "READER"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String link = page.replaceFirst("(?s).*value=\"https?://[^/]+(/invited/[^\"]+)\".*", "$1");
        pages.perform(post(link).with(csrf()).param("password", "sand eels at dusk"))
                .andExpect(content().string(Matchers.containsString("its own password already")));
        assertThat(getsIn(mine.signIn(), Nurseries.PASSWORD)).isEqualTo("/invitations");
    }

    @Test
    void whatChangesInOneNurseryEndsNoSessionThatStandsInAnother() throws Exception {
        letIn(Role.GROWER);
        Cookie there = there();
        Cookie atHome = pages.perform(post("/nurseries/go")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", mine.id().toString()))
                .andReturn()
                .getResponse()
                .getCookie(FormToken.sessionCookie(pages));
        pages.perform(post("/people/" + me.personId() + "/role")
                        .with(csrf())
                        .with(user(owner()))
                        .param("role", "READER"))
                .andExpect(flash().attributeExists("said"));
        pages.perform(get("/stock").cookie(atHome)).andExpect(status().isOk());
        pages.perform(get("/stock").cookie(there)).andExpect(redirectedUrlPattern("**/sign-in"));
    }

    @Test
    void everybodyCanLeaveButTheLastOwner() throws Exception {
        letIn(Role.READER);
        pages.perform(post("/nurseries/leave")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", mine.id().toString()))
                .andExpect(flash().attribute("refused", Matchers.containsString("one owner or more")));
        Cookie there = there();
        pages.perform(post("/nurseries/leave")
                        .cookie(there)
                        .with(FormToken.of(there, pages))
                        .param("nursery", other.id().toString()))
                .andExpect(redirectedUrl("/people"));
        assertThat(memberships.ofPerson(me.personId()))
                .extracting(Membership::nurseryId)
                .containsExactly(mine.id());
        String reader = "reader-" + UUID.randomUUID();
        invite(reader, Role.READER);
        assertThat(getsIn(reader, "told by word of mouth")).isEqualTo("/round");
        SignedIn auk = persons.findBySignIn(reader).orElseThrow().signedIn(Role.READER);
        pages.perform(post("/nurseries/leave")
                        .with(csrf())
                        .with(user(auk))
                        .param("nursery", other.id().toString()))
                .andExpect(redirectedUrl("/sign-in?out"));
        assertThat(getsIn(reader, "told by word of mouth")).isEqualTo("/sign-in?wrong");
        invite(reader, Role.GROWER);
        assertThat(getsIn(reader, "told by word of mouth"))
                .as("asked again, by their own password")
                .isEqualTo("/round");
    }

    @Test
    void aReaderOpensNoNursery() throws Exception {
        String reader = "reader-" + UUID.randomUUID();
        invite(reader, Role.READER);
        getsIn(reader, "told by word of mouth");
        SignedIn auk = persons.findBySignIn(reader).orElseThrow().signedIn(Role.READER);
        for (String way : List.of("/nurseries", "/nurseries/sample")) {
            pages.perform(post(way).with(csrf()).with(user(auk)).param("name", "Own"))
                    .andExpect(
                            flash().attribute("refused", Matchers.containsString("Owners of a nursery open others")));
        }
        assertThat(memberships.ofPerson(auk.personId())).hasSize(1);
    }

    @Test
    void nobodyGoesWhereTheyDoNotWork() throws Exception {
        pages.perform(post("/nurseries/go")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", other.id().toString()))
                .andExpect(status().isNotFound());
        pages.perform(post("/nurseries/throw-away")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", other.id().toString()))
                .andExpect(flash().attribute("refused", Matchers.containsString("Only a sample")));
        pages.perform(post("/nurseries/throw-away")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", mine.id().toString()))
                .andExpect(flash().attribute("refused", Matchers.containsString("Only a sample")));
        assertThat(nurseries.existsById(mine.id())).isTrue();
    }

    @Test
    void whoLeavesOneNurseryWorksInTheOther() throws Exception {
        letIn(Role.GROWER);
        there();
        pages.perform(post("/people/" + me.personId() + "/leave").with(csrf()).with(user(owner())))
                .andExpect(flash().attributeExists("said"));

        pages.perform(post("/nurseries/go")
                        .with(csrf())
                        .with(user(me))
                        .param("nursery", other.id().toString()))
                .andExpect(status().isNotFound());
        assertThat(memberships.ofPerson(me.personId()))
                .extracting(Membership::nurseryId)
                .containsExactly(mine.id());
    }

    @Test
    void aSampleIsThrownAwayWithAllThatIsInItAndNothingElse() throws Exception {
        UUID sample = UUID.randomUUID();
        Nursery made = new Nursery(sample, "Sample", "UTC", Hemisphere.NORTH, Instant.EPOCH);
        made.isASample();
        nurseries.saveAndFlush(made);
        memberships.saveAndFlush(new Membership(sample, me.personId(), Role.OWNER));
        current.workingFor(sample, () -> Growing.stockPlant(stock, "Sage ‘Gone Soon’"));
        current.workingFor(mine.id(), () -> Growing.stockPlant(stock, "Sage ‘Stays’"));

        pages.perform(post("/nurseries/throw-away").with(csrf()).with(user(me)).param("nursery", sample.toString()))
                .andExpect(redirectedUrl("/round"));

        assertThat(nurseries.existsById(sample)).isFalse();
        assertThat(database.sql("select count(*) from stock_plant where nursery_id = ?")
                        .param(sample.toString())
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(current.workingFor(mine.id(), () -> stock.all())).hasSize(1);
    }

    @Test
    void measuresAreReadInOnesOwnUnitsAndWhatIsTypedStaysMetric() throws Exception {
        SignedIn us = new SignedIn(me.personId(), mine.id(), mine.signIn(), "Grower", "", Role.OWNER, UnitSystem.US);

        pages.perform(get("/guide/tip-in-plugs").with(user(us)))
                .andExpect(content().string(Matchers.containsString("°F")))
                .andExpect(content().string(Matchers.not(Matchers.containsString(" °C"))));
        pages.perform(get("/guide/tip-in-plugs").with(user(me)))
                .andExpect(content().string(Matchers.containsString(" °C")));
    }
}
