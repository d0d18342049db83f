package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import org.junit.jupiter.api.Test;

/** A page at another port of the same computer, which a browser lets set our cookies, sends a form in the name of whoever is signed in here. */
class AnotherPortInTheBrowserTest extends AtThePages {

    private static final String TOKEN = "0f8fad5b-d9cb-469f-a165-70867728950e";

    /** A token as it is masked with nothing: so many zero bytes, and itself. */
    private static final String MASKED = Base64.getUrlEncoder().encodeToString(masked());

    private static byte[] masked() {
        byte[] bytes = new byte[2 * TOKEN.length()];
        System.arraycopy(TOKEN.getBytes(StandardCharsets.UTF_8), 0, bytes, TOKEN.length(), TOKEN.length());
        return bytes;
    }

    @Test
    void itsFormIsRefusedAndNothingIsWritten() throws Exception {
        HttpServer other = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        String page = """
                <!DOCTYPE html><html><body><form method="post" action="http://127.0.0.1:%d/round/reminders">
                <input name="_csrf" value="%s"><input name="what" value="Sent by another"><input name="place" value="Bench">
                <input name="on" value="2026-07-01"><button id="send">Send</button></form></body></html>""".formatted(port(), MASKED);
        other.createContext("/", exchange -> {
            byte[] body = page.getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().add("Content-Type", "text/html");
            for (String name : new String[] {"vivarium-form", "XSRF-TOKEN"}) {
                exchange.getResponseHeaders().add("Set-Cookie", name + "=" + TOKEN + "; Path=/");
            }
            exchange.sendResponseHeaders(200, body.length);
            try (OutputStream out = exchange.getResponseBody()) {
                out.write(body);
            }
        });
        other.start();
        try {
            browser.open("/stock");
            browser.script("location.href = 'http://127.0.0.1:%d/'"
                    .formatted(other.getAddress().getPort()));
            browser.until(d -> browser.count("#send") == 1);
            browser.press("#send");
            browser.untilText("h1", "This came from another page");
        } finally {
            other.stop(0);
        }
        browser.open("/round");
        assertThat(browser.text("main")).doesNotContain("Sent by another");
        browser.open("/stock");
        assertThat(browser.text("h1")).as("and still signed in").isNotEqualTo("Sign in");
    }
}
