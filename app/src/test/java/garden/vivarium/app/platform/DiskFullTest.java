package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import garden.vivarium.app.door.Visitor;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import jakarta.persistence.PersistenceException;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.sql.SQLTransientConnectionException;
import java.sql.Statement;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;

/** A disk without room is known by what the database and the system say, and told on a page that needs neither. */
@OnDatabase
class DiskFullTest {

    @Autowired
    private DataSource database;

    @Autowired
    private FilterRegistrationBean<OncePerRequestFilter> answersWhatFails;

    @Test
    void aTableOfTheRealDatabaseThatCannotGrowIsKnownThroughSpring() throws SQLException {
        try (Connection one = database.getConnection();
                Statement sql = one.createStatement()) {
            sql.execute("set max_heap_table_size = 16384");
            sql.execute("create temporary table narrow (words varchar(1000)) engine = memory");
            JdbcTemplate jdbc = new JdbcTemplate(new SingleConnectionDataSource(one, true));
            Throwable full = catchThrowable(() -> {
                for (int i = 0; i < 1000; i++) {
                    jdbc.update("insert into narrow values (repeat('x', 1000))");
                }
            });
            assertThat(full).isNotNull();
            assertThat(DiskFull.isCauseOf(full)).isTrue();
            assertThat(LostConnection.isCauseOf(full)).isFalse();
            sql.execute("drop temporary table narrow");
        }
    }

    @Test
    void whatTheSystemSaysIsKnownAndOtherFailuresAreNot() {
        List<Throwable> full = List.of(
                new IOException("No space left on device"),
                new IllegalStateException("no copy", new IOException("/a/b: Disk quota exceeded")),
                new SQLException("Got error 28 … (errno: 28 \"No space left on device\")", "HY000", 1030),
                new SQLException("Error writing file '/a' (Errcode: 28)", "HY000", 0));
        assertThat(full).allMatch(DiskFull::isCauseOf);
        List<Throwable> other = List.of(
                new IOException("Broken pipe"),
                new SQLException("Duplicate entry 'errno: 281'", "23000", 1062),
                new IllegalStateException("No space left on device"));
        assertThat(other).noneMatch(DiskFull::isCauseOf);
    }

    @Test
    void thePageSaysWhatIsWrongAndProgramsReadASentence() throws Exception {
        MockHttpServletResponse answer = sent("text/html");
        assertThat(answer.getStatus()).isEqualTo(507);
        assertThat(answer.getContentAsString())
                .contains("<h1>The disk is full</h1>", "What you typed just now was not taken")
                .doesNotContain("STYLES")
                .doesNotContain("No space left");
        assertThat(answer.getHeader("Cache-Control")).isEqualTo("no-store");
        assertThat(sent("application/json").getContentAsString())
                .isEqualTo("{\"status\":507,\"message\":\"the disk is full, and what was sent is not kept\"}");
    }

    @Autowired
    private People people;

    @Autowired
    private CookieNames names;

    @LocalServerPort
    private int port;

    @Test
    void ownersAreToldHowMuchIsFreeAndWhereThoughNobodyIsKnownAnyMore() throws Exception {
        Visitor owner = new Visitor(port);
        owner.signIn(Nurseries.make(people).signIn(), Nurseries.PASSWORD);
        owner.get("/stock");
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/stock");
        request.setServerPort(port);
        request.setCookies(new Cookie(names.session(request), owner.session().orElseThrow()));
        String page = failed(request, new ServletException(new IOException("No space left on device")))
                .getContentAsString();
        assertThat(page).containsPattern("[\\d,]+ MB are free where the data lies");
        assertThat(sent("text/html").getContentAsString())
                .doesNotContain("are free")
                .doesNotContain("ROOM");
    }

    @Test
    void whateverElseFailsIsAnsweredByAPageThatNeedsNothing() throws Exception {
        MockHttpServletResponse answer =
                failed(new ServletException(new IllegalStateException("the word from inside")), "text/html");
        assertThat(answer.getStatus()).isEqualTo(500);
        assertThat(answer.getContentAsString())
                .contains("<h1>Something broke on our side</h1>")
                .doesNotContain("inside");
        assertThat(failed(new OutOfMemoryError("made up"), "application/json").getContentAsString())
                .startsWith("{\"status\":500");
    }

    @Test
    void aConnectionThatIsLostIsKnownHoweverItComesOut() {
        SQLException lost = new SQLException("Connection reset", "08000");
        IllegalStateException hidden = new IllegalStateException("rolled back");
        hidden.addSuppressed(lost);
        TransactionSystemException rollback = new TransactionSystemException(
                "Could not roll back", new PersistenceException(new SQLException("Connection is closed")));
        TransactionSystemException original = new TransactionSystemException("Could not commit");
        original.initApplicationException(new IllegalStateException(lost));
        assertThat(List.of(lost, hidden, rollback, original, new SQLTransientConnectionException("no connection")))
                .allMatch(LostConnection::isCauseOf);
        SQLException loop = new SQLException("Duplicate entry", "23000", 1062);
        loop.setNextException(new SQLException("Duplicate entry", "23000", 1062));
        loop.initCause(new IllegalStateException("once more", new SQLFeatureNotSupportedException("no")));
        assertThat(LostConnection.isCauseOf(loop)).isFalse();
        assertThat(LostConnection.isCauseOf(new TransactionSystemException("a rule of a row was broken")))
                .isFalse();
    }

    private MockHttpServletResponse sent(String accept) throws Exception {
        return failed(
                new ServletException(new IllegalStateException(new IOException("No space left on device"))), accept);
    }

    private MockHttpServletResponse failed(Throwable failure, String accept) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/stock");
        request.addHeader("Accept", accept);
        return failed(request, failure);
    }

    private MockHttpServletResponse failed(MockHttpServletRequest request, Throwable failure) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        answersWhatFails.getFilter().doFilter(request, response, (in, out) -> {
            if (failure instanceof Error e) {
                throw e;
            }
            throw (ServletException) failure;
        });
        return response;
    }
}
