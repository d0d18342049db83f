package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What cookies are called. Browsers keep them by host and not by port, so that whatever runs at another port of the same computer could set
 * ours: under TLS the prefix {@code __Host-} forbids that (RFC 6265bis, section 4.1.3), and without it the name holds the installation and its
 * port, so that two installations at least do not meet.
 */
@Component
public class CookieNames {

    private static final int ENOUGH_OF_ID = 8;
    private static final int HTTP = 80;
    private static final int HTTPS = 443;

    private final String installation;
    private final int port;

    CookieNames(JdbcClient database, @Value("${vivarium.public-address:}") String address) {
        String id =
                database.sql("select id from installation").query(String.class).single();
        this.installation = id.substring(0, ENOUGH_OF_ID);
        this.port = address.isBlank() ? 0 : port(URI.create(address.strip()));
    }

    private static int port(URI address) {
        if (address.getPort() > 0) {
            return address.getPort();
        }
        return "https".equals(address.getScheme()) ? HTTPS : HTTP;
    }

    /** Of the cookie that keeps the session. */
    String session(HttpServletRequest request) {
        return of("", request);
    }

    /** Of a cookie for one purpose, as it is called where this request came in: the same on all nodes. */
    public String of(String purpose, HttpServletRequest request) {
        String end = purpose.isEmpty() ? "" : "-" + purpose;
        return request.isSecure()
                ? "__Host-vivarium" + end
                : "vivarium-%s-%d%s".formatted(installation, port > 0 ? port : request.getServerPort(), end);
    }
}
