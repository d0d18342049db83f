package garden.vivarium.app.people;

import static garden.vivarium.app.platform.FormToken.csrf;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
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
import java.util.UUID;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Somebody works in several nurseries, with a role in each. */
@OnDatabase
@AutoConfigureMockMvc
class WorkplacesTest {

    @Autowired
    private MockMvc pages;

    @Autowired
    private People people;

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
        pages.perform(post("/people/known")
                        .with(csrf())
                        .with(user(owner()))
                        .param("known", mine.signIn())
                        .param("role", role.name()))
                .andExpect(flash().attributeExists("said"));
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
