package garden.vivarium.app.door;

import java.io.IOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A browser without eyes: keeps cookies, sends forms with the token of the page it is on, and follows nothing by itself. */
public final class Visitor {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Duration LONGEST = Duration.ofSeconds(20);

    private final String root;
    private final CookieManager cookies = new CookieManager(null, CookiePolicy.ACCEPT_ALL);
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private String token = "";
    private volatile int statusLine;

    /** At an application on that port of this computer. */
    public Visitor(int port) {
        this.root = "http://127.0.0.1:" + port;
    }

    /** Looks at a page. */
    public HttpResponse<String> get(String path) {
        return send(
                HttpRequest.newBuilder(at(path)).header("Accept", "text/html").GET());
    }

    /** Sends a form: names and values by turns. */
    public HttpResponse<String> post(String path, String... form) {
        StringBuilder body = new StringBuilder("_csrf=" + encoded(token));
        for (int i = 0; i < form.length; i += 2) {
            body.append('&').append(encoded(form[i])).append('=').append(encoded(form[i + 1]));
        }
        return send(HttpRequest.newBuilder(at(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html")
                .POST(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    /** Sends a look at so many pieces of a batch, none of which shows anything yet, as bench mode does. */
    public HttpResponse<String> look(String batch, UUID look, String day, int pieces) {
        String seen = IntStream.rangeClosed(1, pieces)
                .mapToObj("{\"piece\":%d,\"state\":\"NONE\"}"::formatted)
                .collect(Collectors.joining(","));
        return send(HttpRequest.newBuilder(at("/batches/" + batch + "/checks"))
                .header("Content-Type", "application/json")
                .header("Accept", "application/json")
                .header("X-CSRF-TOKEN", token)
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(
                        "{\"clientId\":\"%s\",\"lookedOn\":\"%s\",\"look\":\"ABOVE\",\"pieces\":[%s]}"
                                .formatted(look, day, seen))));
    }

    /** Signs in with a name and a password, and gives where that leads. */
    public String signIn(String name, String password) {
        get("/sign-in");
        return ledTo(post("/sign-in", "signIn", name, "password", password));
    }

    /** Where an answer leads, without the host; empty where it leads nowhere. */
    public static String ledTo(HttpResponse<?> answer) {
        return answer.headers()
                .firstValue("Location")
                .map(l -> l.replaceFirst("^https?://[^/]+", ""))
                .orElse("");
    }

    /** Anything at all. */
    public HttpResponse<String> send(HttpRequest.Builder request) {
        return send(request, LONGEST);
    }

    /** Anything that may take so long. */
    public HttpResponse<String> send(HttpRequest.Builder request, Duration longest) {
        statusLine = 0;
        try {
            HttpResponse<String> answer = http.send(request.timeout(longest).build(), begun -> {
                statusLine = begun.statusCode();
                return HttpResponse.BodySubscribers.ofString(StandardCharsets.UTF_8);
            });
            Matcher found = TOKEN.matcher(answer.body());
            if (found.find()) {
                token = found.group(1);
            }
            return answer;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** How the last answer began, though it may have broken off after that; 0 where none came. */
    public int statusLine() {
        return statusLine;
    }

    /** The value of the cookie that keeps the session. */
    public Optional<String> session() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().matches("vivarium-[0-9a-f]{8}-\\d+"))
                .map(HttpCookie::getValue)
                .findFirst();
    }

    /** A cookie that some page of this computer set. */
    public void set(HttpCookie cookie) {
        cookies.getCookieStore().add(URI.create(root), cookie);
    }

    /** All cookies. */
    public List<HttpCookie> cookies() {
        return cookies.getCookieStore().getCookies();
    }

    /** The token that forms are sent with. */
    public String token() {
        return token;
    }

    /** The whole address of a path. */
    public URI at(String path) {
        return URI.create(root + path);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
