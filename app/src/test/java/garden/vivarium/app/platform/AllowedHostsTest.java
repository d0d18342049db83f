package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Only under the names that were said, where any were. */
class AllowedHostsTest {

    @ParameterizedTest
    @CsvSource({
        "plants.example.org, /round, 200",
        "PLANTS.example.org, /round, 200",
        "localhost, /round, 200",
        "evil.example, /round, 421",
        "evil.example, /health, 200"
    })
    void underOtherNamesNothingIsGiven(String host, String path, int status) throws ServletException, IOException {
        assertThat(asked("plants.example.org, localhost", host, path)).isEqualTo(status);
    }

    @ParameterizedTest
    @CsvSource({"anything.example", "127.0.0.1"})
    void whereNoneIsSaidAnyWillDo(String host) throws ServletException, IOException {
        assertThat(asked("", host, "/round")).isEqualTo(200);
    }

    private static int asked(String names, String host, String path) throws ServletException, IOException {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
        request.setServerName(host);
        MockHttpServletResponse response = new MockHttpServletResponse();
        new AllowedHosts(names).doFilter(request, response, new MockFilterChain());
        return response.getStatus();
    }
}
