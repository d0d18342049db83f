package garden.vivarium.app.platform;

import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Whether this node can do its work, for whoever supervises it: 200 where it can, 503 where its database is gone. */
@Controller
class HealthController {

    private static final Logger LOG = LoggerFactory.getLogger(HealthController.class);
    /** Where it is asked for. */
    static final String ADDRESS = "/health";

    private static final int SECONDS = 2;

    private final JdbcTemplate database;
    private final AtomicBoolean gone = new AtomicBoolean();

    HealthController(JdbcTemplate shared) {
        this.database = new JdbcTemplate(shared.getDataSource());
        this.database.setQueryTimeout(SECONDS);
    }

    @GetMapping(HealthController.ADDRESS)
    @ResponseBody
    ResponseEntity<Map<String, String>> health() {
        try {
            database.queryForObject("select 1", Integer.class);
            gone.set(false);
            return answer(HttpStatus.OK, "up", "up");
        } catch (DataAccessException | TransactionException e) {
            if (!gone.getAndSet(true)) {
                LOG.error("The database is gone: {}", e.getMessage());
            }
            return answer(HttpStatus.SERVICE_UNAVAILABLE, "down", "gone");
        }
    }

    private ResponseEntity<Map<String, String>> answer(HttpStatus status, String node, String base) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(Map.of("status", node, "database", base));
    }
}
