package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CookieNames;
import garden.vivarium.app.platform.OnDatabase;
import java.net.HttpCookie;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.mock.web.MockHttpServletRequest;

/** A page of another origin, be it at another port of the same computer, which shares cookies, writes nothing in anybody's name. */
@OnDatabase
class OtherOriginsTest {

    private static final String REMINDER = "what=Air+the+frames&place=Bench&on=2026-07-01&_csrf=";

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private CookieNames names;

    private Visitor grower;

    @BeforeEach
    void signIn() {
        grower = new Visitor(port);
        grower.signIn(Nurseries.make(people).signIn(), Nurseries.PASSWORD);
        grower.get("/stock");
    }

    private HttpResponse<String> sent(String token, String... headers) {
        HttpRequest.Builder form = HttpRequest.newBuilder(grower.at("/round/reminders"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html")
                .POST(HttpRequest.BodyPublishers.ofString(REMINDER + URLEncoder.encode(token, StandardCharsets.UTF_8)));
        if (headers.length > 0) {
            form.headers(headers);
        }
        return grower.send(form);
    }

    @ParameterizedTest
    @CsvSource({
        "Origin, http://127.0.0.1:1",
        "Origin, http://localhost:PORT",
        "Origin, https://127.0.0.1:PORT",
        "Origin, null",
        "Origin, http://127.0.0.1:PORT.evil.example",
        "Sec-Fetch-Site, same-site",
        "Sec-Fetch-Site, cross-site",
        "Sec-Fetch-Site, SAME-ORIGIN?"
    })
    void whatTheBrowserSaysComesFromElsewhereIsRefusedWithTheRightTokenToo(String header, String value) {
        HttpResponse<String> answer = sent(grower.token(), header, value.replace("PORT", String.valueOf(port)));
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("This came from another page");
        assertThat(grower.get("/round").body()).doesNotContain("Air the frames");
    }

    @Test
    void aPageOfOursAndOneThatSaysNothingOfItselfAreTaken() {
        String own = "http://127.0.0.1:" + port;
        HttpResponse<String> answer = sent(grower.token(), "Origin", own, "Sec-Fetch-Site", "same-origin");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        grower.get("/stock");
        assertThat(sent(grower.token()).statusCode()).isEqualTo(302);
    }

    @Test
    void aTokenThatAnotherPageSetAsACookieIsWorthNothingOnceSomebodyIsSignedIn() {
        String token = UUID.randomUUID().toString();
        for (String name : List.of("vivarium-form", names.of("form", at(port)), "XSRF-TOKEN")) {
            HttpCookie cookie = new HttpCookie(name, token);
            cookie.setPath("/");
            grower.set(cookie);
        }
        byte[] masked = new byte[2 * token.length()];
        System.arraycopy(token.getBytes(StandardCharsets.UTF_8), 0, masked, token.length(), token.length());
        assertThat(sent(Base64.getUrlEncoder().encodeToString(masked)).statusCode())
                .isEqualTo(403);
        assertThat(sent(token).statusCode()).isEqualTo(403);
    }

    @Test
    void nobodyIsLedElsewhereByACookieThatSaysWhatWasAskedForBefore() {
        Visitor stranger = new Visitor(port);
        assertThat(Visitor.ledTo(stranger.get("/stock?q=sage"))).isEqualTo("/sign-in");
        assertThat(stranger.signIn(Nurseries.make(people).signIn(), Nurseries.PASSWORD))
                .isEqualTo("/stock?q=sage");
        for (String address : List.of("//evil.example/x", "http://evil.example/", "/\\evil.example", "not base64")) {
            Visitor led = new Visitor(port);
            HttpCookie asked = new HttpCookie(
                    names.of("asked", at(port)),
                    Base64.getUrlEncoder().encodeToString(address.getBytes(StandardCharsets.UTF_8)));
            asked.setPath("/");
            led.set(asked);
            assertThat(led.signIn(Nurseries.make(people).signIn(), Nurseries.PASSWORD))
                    .as(address)
                    .isEqualTo("/round");
        }
    }

    @Test
    void cookiesAreCalledByInstallationAndPortOrBoundToTheHostUnderEncryption() {
        assertThat(grower.cookies())
                .isNotEmpty()
                .allMatch(c -> c.getName().matches("vivarium-[0-9a-f]{8}-" + port + "(-form|-known|-asked)?"));
        assertThat(names.of("form", at(8081))).isNotEqualTo(names.of("form", at(8080)));
        MockHttpServletRequest encrypted = at(8443);
        encrypted.setSecure(true);
        assertThat(names.of("form", encrypted)).isEqualTo("__Host-vivarium-form");
    }

    private static MockHttpServletRequest at(int port) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setServerPort(port);
        return request;
    }
}
