package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.Accounts;
import garden.vivarium.app.people.Invitations;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.CookieNames;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.core.timing.Hemisphere;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.context.TestPropertySource;

/** The door, tried from outside: who gets in, who waits, what is asked besides, and what stands in the book. */
@OnDatabase
// An application of its own: much is asked of it at once, and others would wait.
@TestPropertySource(properties = "vivarium.tests=door")
class DoorTest {

    private static final String FIRST = "told by word of mouth";

    private static final String NEW_PASSWORD = "four gulls upon the mole";

    /** Thirty guesses by the real one take long, and it is not what is asked there. */
    private static final PasswordEncoder QUICK = new PasswordEncoder() {
        @Override
        public String encode(CharSequence typed) {
            return "hash of " + typed;
        }

        @Override
        public boolean matches(CharSequence typed, String hash) {
            return Nurseries.PASSWORD.contentEquals(typed);
        }
    };

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private SecondFactors factors;

    @Autowired
    private Accounts accounts;

    @Autowired
    private Brake brake;

    @Autowired
    private KnownBrowsers browsers;

    @Autowired
    private DoorBook book;

    @Autowired
    private JdbcClient database;

    @Autowired
    private Clock clock;

    @Autowired
    private CookieNames cookies;

    @Autowired
    private Invitations invitations;

    private Nurseries.Made nursery;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people);
    }

    private Visitor visitor() {
        return new Visitor(port);
    }

    private Visitor inside() {
        Visitor who = visitor();
        assertThat(who.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
        return who;
    }

    private UUID person() {
        return UUID.fromString(database.sql("select id from person where sign_in = ?")
                .param(nursery.signIn())
                .query(String.class)
                .single());
    }

    @Test
    void whoeverGuessesWaitsAndABrowserThatIsKnownGetsIn() {
        Visitor known = inside();
        known.post("/sign-out");
        Visitor guesser = visitor();
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.signIn(nursery.signIn(), "guess " + i)).isEqualTo("/sign-in?wrong");
        }
        assertThat(guesser.signIn(nursery.signIn(), Nurseries.PASSWORD))
                .as("the guesser waits, right or not")
                .startsWith("/sign-in?wait=");
        assertThat(known.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
        for (int i = 0; i < 10; i++) {
            assertThat(known.signIn(nursery.signIn(), "guess " + i)).isEqualTo("/sign-in?wrong");
        }
        assertThat(known.signIn(nursery.signIn(), Nurseries.PASSWORD))
                .as("a known browser is no way round the brake")
                .startsWith("/sign-in?wait=");
    }

    @Test
    void aBrowserThatIsKnownForOnePersonGuessesNoFasterAtAnother() {
        Visitor neighbour = inside();
        neighbour.post("/sign-out");
        String victim = Nurseries.make(people).signIn();
        for (int i = 0; i < 5; i++) {
            neighbour.signIn(victim, "guess " + i);
        }
        assertThat(neighbour.signIn(victim, Nurseries.PASSWORD)).startsWith("/sign-in?wait=");
    }

    @Test
    void manyGuessesAtOnceAreNoMoreThanTheFreeOnesAndNoneBreaks() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(12);
        try {
            List<Callable<String>> guesses = IntStream.range(0, 24)
                    .mapToObj(i -> (Callable<String>) () -> visitor().signIn(nursery.signIn(), "guess " + i))
                    .toList();
            int tried = 0;
            for (Future<String> guess : hands.invokeAll(guesses)) {
                assertThat(guess.get()).matches("/sign-in\\?(wrong|wait=\\d+)");
                tried += guess.get().equals("/sign-in?wrong") ? 1 : 0;
            }
            assertThat(tried).isBetween(1, 5);
        } finally {
            hands.shutdown();
        }
    }

    @Test
    void aHouseBehindOneAddressIsSlowedDownForSecondsOnly() {
        String house = "192.0.2." + nursery.signIn().hashCode();
        for (int i = 0; i < 30; i++) {
            assertThat(tried(house, "nobody" + UUID.randomUUID(), "guess")).isEqualTo("wrong");
        }
        assertThat(tried(house, nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("wait");
        // The tests' clock stands still: what it would be five seconds later, the tries are older by.
        database.sql("update sign_in_attempt set last_at = last_at - interval 5 second where who = ?")
                .param("from:" + house)
                .update();
        assertThat(tried(house, nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("in");
        assertThat(tried(house, "nobody" + UUID.randomUUID(), "guess"))
                .as("one who got in does not free the others")
                .isEqualTo("wait");
    }

    private String tried(String address, String name, String password) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setRemoteAddr(address);
        UsernamePasswordAuthenticationToken token = UsernamePasswordAuthenticationToken.unauthenticated(name, password);
        token.setDetails(new AtTheDoor(request, cookies));
        try {
            new SignIn(accounts, QUICK, brake, browsers, factors, book, invitations, clock, 30).authenticate(token);
            return "in";
        } catch (LockedException wait) {
            return "wait";
        } catch (BadCredentialsException wrong) {
            return "wrong";
        }
    }

    @Test
    void whoAskedForAPageBeforeSigningInIsLedThere() {
        Visitor who = visitor();
        who.get("/stock");
        assertThat(who.signIn(nursery.signIn(), Nurseries.PASSWORD)).startsWith("/stock");
    }

    @Test
    void aSessionEndsForGoodThirtyDaysAfterItBegan() {
        Visitor who = inside();
        assertThat(who.get("/stock").statusCode()).isEqualTo(200);
        database.sql("update SPRING_SESSION set CREATION_TIME = ? where PRINCIPAL_NAME = ?")
                .params(
                        System.currentTimeMillis()
                                - Duration.ofDays(30).plusMinutes(1).toMillis(),
                        nursery.signIn())
                .update();
        assertThat(Visitor.ledTo(who.get("/stock"))).isEqualTo("/sign-in");
        assertThat(Visitor.ledTo(who.get("/stock"))).isEqualTo("/sign-in");
    }

    @Test
    void aSecondFactorIsAskedAfterThePasswordAndEachCodeIsGoodOnce() {
        Visitor who = inside();
        String page = who.get("/door/factor").body();
        Matcher shown = Pattern.compile("id=\"secret\">([A-Z2-7 ]+)<").matcher(page);
        assertThat(shown.find()).isTrue();
        String secret = shown.group(1).replace(" ", "");
        String before = code(secret, -30);
        String now = code(secret, 0);
        assertThat(Visitor.ledTo(who.post("/door/factor", "code", "000000", "password", Nurseries.PASSWORD)))
                .isEqualTo("/door/factor");
        assertThat(Visitor.ledTo(who.post("/door/factor", "code", before, "password", "another")))
                .as("a session alone turns nothing on")
                .isEqualTo("/door/factor");
        HttpResponse<String> on = who.post("/door/factor", "code", before, "password", Nurseries.PASSWORD);
        Matcher words = Pattern.compile("<li>([a-z]+(?: [a-z]+){4})</li>").matcher(on.body());
        assertThat(words.find()).isTrue();

        Visitor again = visitor();
        assertThat(again.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/sign-in/code");
        assertThat(Visitor.ledTo(again.get("/stock")))
                .as("half signed in is not signed in")
                .isEqualTo("/sign-in/code");
        assertThat(again.get("/session/token").body()).doesNotContain("header");
        again.get("/sign-in/code");
        assertThat(Visitor.ledTo(again.post("/sign-in/code", "code", before)))
                .as("used before")
                .isEqualTo("/sign-in/code?wrong");
        assertThat(Visitor.ledTo(again.post("/sign-in/code", "code", now))).isEqualTo("/round");
        assertThat(again.get("/stock").statusCode()).isEqualTo(200);

        Visitor lost = visitor();
        lost.signIn(nursery.signIn(), Nurseries.PASSWORD);
        lost.get("/sign-in/code");
        assertThat(Visitor.ledTo(lost.post("/sign-in/code", "code", words.group(1))))
                .isEqualTo("/round");
        assertThat(factors.wordsLeft(person())).isEqualTo(5);
        assertThat(factors.recovers(person(), words.group(1))).isFalse();

        who.get("/door");
        who.post("/door/factor/off", "password", "wrong");
        assertThat(factors.isOn(person())).isTrue();
        who.post("/door/factor/off", "password", Nurseries.PASSWORD);
        assertThat(factors.isOn(person())).isFalse();
        assertThat(who.get("/door/log").body())
                .contains("turned the second factor on")
                .contains("signed in by recovery words")
                .contains("a wrong second factor was typed");
    }

    private String code(String secret, int seconds) {
        return factors.code(secret, clock.instant().plusSeconds(seconds));
    }

    @Test
    void whoGuessesThePasswordInsideASessionWaitsInEverySessionOfTheirs() {
        Visitor thief = inside();
        Visitor elsewhere = inside();
        thief.get("/people");
        for (int i = 0; i < 5; i++) {
            thief.post("/people/password", "old", "guess " + i, "wanted", NEW_PASSWORD);
            assertThat(thief.get("/people").body()).contains("That is not your password");
        }
        thief.post("/people/password", "old", Nurseries.PASSWORD, "wanted", NEW_PASSWORD);
        assertThat(thief.get("/people").body()).contains("Try again in 20 seconds");
        elsewhere.get("/door");
        elsewhere.post("/door/factor/off", "password", Nurseries.PASSWORD);
        assertThat(elsewhere.get("/door").body()).contains("Try again in 20 seconds");
        elsewhere.get("/copies");
        assertThat(Visitor.ledTo(elsewhere.post("/copies/erase", "name", "any", "password", Nurseries.PASSWORD)))
                .isEqualTo("/copies");
        assertThat(visitor().signIn(nursery.signIn(), Nurseries.PASSWORD))
                .as("and the door itself is not shut by it")
                .isEqualTo("/round");
        older(20, "inside:" + person());
        older(20, "session:%");
        thief.get("/people");
        thief.post("/people/password", "old", Nurseries.PASSWORD, "wanted", NEW_PASSWORD);
        assertThat(visitor().signIn(nursery.signIn(), NEW_PASSWORD))
                .as("what was said to be the wait is all of it")
                .isEqualTo("/round");
    }

    /** The tests' clock stands still: what it would be later, the tries are older by. */
    private void older(int seconds, String who) {
        database.sql("update sign_in_attempt set last_at = last_at - interval ? second where who like ?")
                .params(seconds, who)
                .update();
    }

    @Test
    void theWaitThatIsSaidIsTheWaitThatHolds() {
        Visitor guesser = visitor();
        for (int i = 0; i < 6; i++) {
            guesser.signIn(nursery.signIn(), "guess " + i);
        }
        assertThat(guesser.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/sign-in?wait=20");
        assertThat(guesser.get("/sign-in?wait=20").body()).contains("Try again in 20 seconds");
        older(19, "name:" + nursery.signIn());
        assertThat(guesser.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/sign-in?wait=1");
        older(1, "name:" + nursery.signIn());
        assertThat(guesser.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
        assertThat(guesser.get("/sign-in?wait=%3Cscript%3E").body())
                .doesNotContain("<script>")
                .doesNotContain("Try again in");
    }

    @Test
    void codesAreThoseOfThePublicRule() {
        // The secret "12345678901234567890" of RFC 6238, appendix B, at 59 s and at 1111111109 s; six of the eight
        // digits.
        String secret = "GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ";
        assertThat(factors.code(secret, java.time.Instant.ofEpochSecond(59))).isEqualTo("287082");
        assertThat(factors.code(secret, java.time.Instant.ofEpochSecond(1_111_111_109)))
                .isEqualTo("081804");
    }

    @Test
    void anOwnerMakesALinkThatIsGoodOnceAndEndsEverySession() {
        Visitor owner = inside();
        owner.get("/people");
        owner.post(
                "/people", "name", "Tern", "signIn", nursery.signIn() + "-tern", "password", FIRST, "role", "GROWER");
        assertThat(visitor().signIn(nursery.signIn() + "-tern", FIRST)).isEqualTo("/round");
        String tern = database.sql("select id from person where sign_in = ?")
                .param(nursery.signIn() + "-tern")
                .query(String.class)
                .single();
        assertThat(visitor().signIn(nursery.signIn() + "-tern", "none")).isEqualTo("/sign-in?wrong");
        owner.get("/people");
        String link = link(owner.post("/door/link/" + tern).body());

        Visitor invited = visitor();
        assertThat(invited.get(link).body()).contains("Tern");
        assertThat(invited.post(link, "password", "short").body()).contains("12 or more");
        assertThat(Visitor.ledTo(invited.post(link, "password", NEW_PASSWORD))).isEqualTo("/sign-in");
        assertThat(invited.get(link).body()).contains("This link was used");
        assertThat(invited.post(link, "password", NEW_PASSWORD + "!").body()).contains("This link was used");
        assertThat(invited.signIn(nursery.signIn() + "-tern", NEW_PASSWORD)).isEqualTo("/round");
        assertThat(invited.get("/door/log").statusCode())
                .as("growers do not read it")
                .isEqualTo(403);
        assertThat(invited.post("/door/link/" + person()).statusCode()).isEqualTo(403);

        owner.get("/people");
        String another = link(owner.post("/door/link/" + tern).body());
        Visitor elsewhere = visitor();
        elsewhere.get(another);
        elsewhere.post(another, "password", NEW_PASSWORD + " and more");
        assertThat(Visitor.ledTo(invited.get("/stock"))).as("signed out").isEqualTo("/sign-in");
        assertThat(owner.get("/door/log").body())
                .contains("made a link for a new password, for Tern")
                .contains("asked to work here: Tern, grower")
                .contains("let in Tern, grower");
    }

    private static String link(String page) {
        Matcher link =
                Pattern.compile("value=\"https?://[^/]+(/password/[^\"]+)\"").matcher(page);
        assertThat(link.find()).isTrue();
        return link.group(1);
    }

    @Test
    void noOwnerMakesALinkForSomebodyWhoWorksElsewhereToo() {
        Nurseries.Made other = Nurseries.make(people);
        String victim = database.sql("select id from person where sign_in = ?")
                .param(other.signIn())
                .query(String.class)
                .single();
        Visitor owner = inside();
        owner.get("/people");
        assertThat(owner.post("/door/link/" + victim).statusCode())
                .as("nobody of ours")
                .isEqualTo(404);
        owner.post("/people", "name", "X", "signIn", other.signIn(), "password", FIRST, "role", "GROWER");
        assertThat(owner.post("/door/link/" + victim).statusCode())
                .as("asked is not come in")
                .isEqualTo(404);
        Visitor asked = visitor();
        assertThat(asked.signIn(other.signIn(), Nurseries.PASSWORD)).isEqualTo("/invitations");
        Matcher accept = Pattern.compile("action=\"(/invitations/[^\"]+/accept)\"")
                .matcher(asked.get("/invitations").body());
        assertThat(accept.find()).isTrue();
        assertThat(Visitor.ledTo(asked.post(accept.group(1)))).isEqualTo("/people");
        owner.get("/people");
        HttpResponse<String> refused = owner.post("/door/link/" + victim);
        assertThat(refused.statusCode()).as(refused.body()).isEqualTo(302);
        assertThat(Visitor.ledTo(refused))
                .as("whoever could set it would be in the other nursery")
                .isEqualTo("/people");
        assertThat(database.sql("select count(*) from password_link where person_id = ?")
                        .param(victim)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void oneSeesWhereOneIsSignedInAndEndsIt() {
        Visitor here = inside();
        Visitor there = inside();
        String page = here.get("/door").body();
        Matcher mark = Pattern.compile("/door/sessions/([0-9a-f]{64})/end").matcher(page);
        assertThat(mark.find()).isTrue();
        here.post("/door/sessions/" + mark.group(1) + "/end");
        assertThat(Visitor.ledTo(there.get("/stock"))).isEqualTo("/sign-in");
        assertThat(here.get("/stock").statusCode()).isEqualTo(200);
    }

    @Test
    void whoErasesTheirNurserySignsEveryoneInItOut() {
        Visitor owner = inside();
        Visitor elsewhere = inside();
        owner.get("/copies");
        assertThat(Visitor.ledTo(owner.post("/copies/erase", "name", "another", "password", Nurseries.PASSWORD)))
                .isEqualTo("/copies");
        assertThat(elsewhere.get("/stock").statusCode()).isEqualTo(200);
        owner.get("/copies");
        assertThat(Visitor.ledTo(
                        owner.post("/copies/erase", "name", "Nursery of " + nursery.signIn(), "password", "no")))
                .isEqualTo("/copies");
        assertThat(elsewhere.get("/stock").statusCode()).isEqualTo(200);
        owner.get("/copies");
        assertThat(Visitor.ledTo(owner.post(
                        "/copies/erase", "name", "Nursery of " + nursery.signIn(), "password", Nurseries.PASSWORD)))
                .isEqualTo("/sign-in?out");
        assertThat(Visitor.ledTo(elsewhere.get("/stock"))).isEqualTo("/sign-in");
        assertThat(visitor().signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/sign-in?wrong");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "short one",
                "password1234",
                "passwordpassword",
                "123456789012",
                "qwertyuiopas",
                "aaaaaaaaaaaaaa",
                "letmeinletmein"
            })
    void whatGuessersTryFirstIsRefusedInWords(String password) {
        People.NewNursery wanted = new People.NewNursery(
                "Gull Yard", ZoneId.of("UTC"), Hemisphere.NORTH, null, "tern" + UUID.randomUUID(), "Tern", password);
        assertThatThrownBy(() -> people.open(wanted))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("password"));
    }
}
