package garden.vivarium.app.people;

import static garden.vivarium.app.platform.FormToken.csrf;
import static garden.vivarium.app.platform.FormToken.signIn;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.measure.UnitSystem;
import java.util.List;
import java.util.UUID;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Who may do what, and that nobody may do more. */
@OnDatabase
class StaffTest {

    private static final String FIRST = "gull on the mast";

    @Autowired
    private MockMvc pages;

    @Autowired
    private People people;

    @Autowired
    private Staff staff;

    @Autowired
    private Invitations invitations;

    @Autowired
    private PersonRepository persons;

    @Autowired
    private CurrentNursery current;

    private Nurseries.Made nursery;
    private SignedIn owner;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people);
        owner = persons.findBySignIn(nursery.signIn()).orElseThrow().signedIn(Role.OWNER);
    }

    private SignedIn as(Role role) {
        return new SignedIn(UUID.randomUUID(), nursery.id(), "tern", "Tern", "", role, UnitSystem.METRIC);
    }

    private PersonView added(String signIn, Role role) {
        current.workingFor(nursery.id(), () -> invitations.invite("Tern", signIn, FIRST, role));
        invitations.comeIn(signIn, invitations.passwordToComeIn(signIn).orElseThrow());
        return persons.findBySignIn(signIn).orElseThrow().view(role);
    }

    private List<PersonView> all() {
        return current.workingFor(nursery.id(), staff::all);
    }

    private MockHttpServletRequestBuilder sent(String path) {
        return post(path).with(csrf());
    }

    private boolean getsIn(String signIn, String password) throws Exception {
        return "/round"
                .equals(pages.perform(signIn(signIn, password))
                        .andReturn()
                        .getResponse()
                        .getRedirectedUrl());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/stock",
                "/plan",
                "/stands",
                "/batches/26w01-A/withdraw",
                "/records",
                "/people",
                "/plan/materials"
            })
    void aReaderChangesNothing(String path) throws Exception {
        pages.perform(sent(path).with(user(as(Role.READER)))).andExpect(status().isForbidden());
    }

    @ParameterizedTest
    @ValueSource(strings = {"/round", "/stock", "/benches", "/technique", "/people", "/plan"})
    void aReaderLooksAtEverything(String path) throws Exception {
        pages.perform(get(path).with(user(as(Role.READER)))).andExpect(status().isOk());
    }

    @Test
    void aGrowerDoesEverythingButChangeWhoWorksHere() throws Exception {
        pages.perform(sent("/people").with(user(as(Role.GROWER))).param("name", "Auk"))
                .andExpect(status().isForbidden());
        pages.perform(sent("/people/" + owner.personId() + "/leave").with(user(as(Role.GROWER))))
                .andExpect(status().isForbidden());
        pages.perform(sent("/stands").with(user(as(Role.GROWER)))).andExpect(status().isOk());
        assertThat(all()).hasSize(1);
    }

    @Test
    void anOwnerLetsSomebodyInWhoSignsInAndLeavesAgain() throws Exception {
        String signIn = "tern-" + UUID.randomUUID();
        pages.perform(sent("/people")
                        .with(user(owner))
                        .param("name", "Tern")
                        .param("signIn", signIn)
                        .param("password", FIRST)
                        .param("role", "READER"))
                .andExpect(redirectedUrl("/people"));
        assertThat(all()).as("not before they come in").hasSize(1);
        assertThat(getsIn(signIn, FIRST)).isTrue();
        assertThat(all()).extracting(PersonView::role).containsExactlyInAnyOrder(Role.OWNER, Role.READER);

        UUID id = all().stream()
                .filter(p -> p.signIn().equals(signIn))
                .findFirst()
                .orElseThrow()
                .id();
        pages.perform(sent("/people/" + id + "/leave").with(user(owner))).andExpect(redirectedUrl("/people"));
        assertThat(getsIn(signIn, FIRST)).isFalse();
        assertThat(all()).hasSize(1);
    }

    @Test
    void aNameThatIsTakenAndAShortPasswordAreRefusedBesideTheirFields() throws Exception {
        assertThat(body(owner.signInName(), FIRST)).contains("signIn-error");
        assertThat(body("auk-" + UUID.randomUUID(), "short")).contains("password-error");
        assertThat(all()).hasSize(1);
    }

    private String body(String signIn, String password) throws Exception {
        return pages.perform(sent("/people")
                        .with(user(owner))
                        .param("name", "Auk")
                        .param("signIn", signIn)
                        .param("password", password)
                        .param("role", "GROWER"))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void oneOwnerStays() throws Exception {
        pages.perform(sent("/people/" + owner.personId() + "/role")
                        .with(user(owner))
                        .param("role", "GROWER"))
                .andExpect(flash().attribute("refused", Matchers.containsString("one owner or more")));
        added("second-" + UUID.randomUUID(), Role.OWNER);
        pages.perform(sent("/people/" + owner.personId() + "/role")
                        .with(user(owner))
                        .param("role", "GROWER"))
                .andExpect(flash().attributeExists("said"));
        assertThat(all()).extracting(PersonView::role).containsExactlyInAnyOrder(Role.GROWER, Role.OWNER);
    }

    @Test
    void anothersPeopleAreNotThere() throws Exception {
        Nurseries.Made other = Nurseries.make(people);
        UUID theirs = persons.findBySignIn(other.signIn()).orElseThrow().id();
        pages.perform(sent("/people/" + theirs + "/leave").with(user(owner))).andExpect(status().isNotFound());
        assertThat(getsIn(other.signIn(), Nurseries.PASSWORD)).isTrue();
    }

    @Test
    void onesOwnPasswordIsChangedByWhoeverKnowsTheOldOne() throws Exception {
        pages.perform(sent("/people/password")
                        .with(user(owner))
                        .param("old", "wrong")
                        .param("wanted", "a new one, longer"))
                .andExpect(flash().attribute("refused", Matchers.containsString("not your password")));
        pages.perform(sent("/people/password")
                        .with(user(owner))
                        .param("old", Nurseries.PASSWORD)
                        .param("wanted", "a new one, longer"))
                .andExpect(flash().attributeExists("said"));
        assertThat(getsIn(owner.signInName(), Nurseries.PASSWORD)).isFalse();
        assertThat(getsIn(owner.signInName(), "a new one, longer")).isTrue();
    }
}
