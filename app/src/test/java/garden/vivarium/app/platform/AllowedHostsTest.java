package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Only under names that are known: its own, those that were said, and its addresses where it serves others too. */
class AllowedHostsTest {

    @ParameterizedTest
    @CsvSource({
        "plants.example.org, /round, 200",
        "PLANTS.example.org, /round, 200",
        "localhost, /round, 200",
        "127.0.0.1, /round, 200",
        "[::1], /round, 200",
        "office.example.org, /round, 200",
        "evil.example, /round, 421",
        "127.0.0.1.evil.example, /round, 421",
        "192.0.2.7, /round, 421",
        "evil.example, /health, 200"
    })
    void underOtherNamesNothingIsGiven(String host, String path, int status) throws ServletException, IOException {
        assertThat(asked("plants.example.org", "127.0.0.1", host, path)).isEqualTo(status);
    }

    @Test
    void itsAddressesAreKnownWhereItServesOthersToo() throws ServletException, IOException {
        String own = NetworkInterface.networkInterfaces()
                .flatMap(NetworkInterface::inetAddresses)
                .map(InetAddress::getHostAddress)
                .filter(a -> a.contains(".") && !a.startsWith("127."))
                .findFirst()
                .orElse("127.0.0.1");
        assertThat(asked("", "0.0.0.0", own, "/round")).isEqualTo(200);
        assertThat(asked("", "0.0.0.0", "192.0.2.7", "/round")).isEqualTo(421);
        assertThat(asked("", "0.0.0.0", "evil.example", "/round")).isEqualTo(421);
    }

    private static int asked(String names, String listensAt, String host, String path)
            throws ServletException, IOException {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
        request.setServerName(host);
        MockHttpServletResponse response = new MockHttpServletResponse();
        new AllowedHosts(names, "https://office.example.org:8443", listensAt)
                .doFilter(request, response, new MockFilterChain());
        return response.getStatus();
    }
}
