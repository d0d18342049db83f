package garden.vivarium.app.phone;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * A door beside the pages, without encryption, at which a phone that trusts nothing here yet gets the authority's certificate: that one
 * public file, and nothing else.
 */
@Component
@ConditionalOnProperty("vivarium.lan.authority")
class AuthorityDoor implements DisposableBean {

    /** So many may fetch it at once; who does not say what they want within seconds is let go. */
    private static final int AT_ONCE = 8;

    private static final String SECONDS = "4";

    static {
        // Read once, when the first server of the machine's own library is made.
        System.setProperty("sun.net.httpserver.maxReqTime", SECONDS);
        System.setProperty("sun.net.httpserver.maxRspTime", SECONDS);
    }

    static final String FILE = "/vivarium-authority.crt";

    private final Authority authority;
    private final HttpServer server;
    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread thread = new Thread(work, "authority-door");
        thread.setDaemon(true);
        return thread;
    });

    AuthorityDoor(@Value("${vivarium.lan.authority}") Path file, @Value("${vivarium.lan.door:0}") int port)
            throws IOException {
        authority = Authority.read(file);
        server = HttpServer.create(new InetSocketAddress(port), 64);
        server.setExecutor(threads);
        server.createContext("/", this::answer);
        server.start();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            boolean asked = exchange.getRequestURI().getPath().equals(FILE);
            boolean reads = exchange.getRequestMethod().matches("GET|HEAD");
            byte[] body =
                    asked && reads ? authority.der() : "There is nothing here.\n".getBytes(StandardCharsets.US_ASCII);
            Map<String, String> headers = Map.of(
                    "Content-Type",
                    asked && reads ? "application/x-x509-ca-cert" : "text/plain",
                    "X-Content-Type-Options",
                    "nosniff",
                    "Cache-Control",
                    "no-store");
            headers.forEach(exchange.getResponseHeaders()::set);
            boolean head = exchange.getRequestMethod().equals("HEAD");
            exchange.sendResponseHeaders(asked && reads ? 200 : 404, head ? -1 : body.length);
            if (!head) {
                exchange.getResponseBody().write(body);
            }
        }
    }

    Authority authority() {
        return authority;
    }

    int port() {
        return server.getAddress().getPort();
    }

    @Override
    public void destroy() {
        server.stop(0);
        threads.shutdownNow();
    }
}
