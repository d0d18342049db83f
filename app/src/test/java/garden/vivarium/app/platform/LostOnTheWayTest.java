package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.EOFException;
import java.sql.SQLNonTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.servlet.mvc.support.DefaultHandlerExceptionResolver;

class LostOnTheWayTest {

    private final MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/checks");
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    private static Exception lostAsTheDriverSaysIt() {
        return new TransactionSystemException(
                "Could not commit",
                new SQLNonTransientConnectionException(
                        "Socket error", "08000", 1159, new EOFException("unexpected end of stream")));
    }

    @Test
    void springAloneTakesALostDatabaseForAClientThatHungUpAndAnswersNothing() {
        assertThat(new DefaultHandlerExceptionResolver()
                        .resolveException(request, response, this, lostAsTheDriverSaysIt()))
                .as("were this no longer so, the resolver before it could go")
                .isNotNull();
        assertThat(response.getStatus()).isEqualTo(200);
    }

    @Test
    void itIsPassedOnToWhoeverAnswersFailures() {
        Exception lost = lostAsTheDriverSaysIt();
        assertThatThrownBy(() -> new LostOnTheWay().resolveException(request, response, this, lost))
                .hasCause(lost);
    }

    @Test
    void aClientThatReallyHungUpIsLeftToSpring() {
        assertThat(new LostOnTheWay().resolveException(request, response, this, new EOFException()))
                .isNull();
    }
}
