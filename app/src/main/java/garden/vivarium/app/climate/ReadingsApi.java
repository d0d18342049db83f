package garden.vivarium.app.climate;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SizeLimit;
import garden.vivarium.app.platform.Today;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Where loggers send their readings, each with its token; what could not be sent for an hour is sent after. */
@RestController
class ReadingsApi {

    /** One a second for a while is a logger that makes up for lost time; more is one gone wrong. */
    private static final int MOST_CALLS = 120;

    private static final Duration WINDOW = Duration.ofMinutes(2);
    private static final String BEARER = "Bearer ";

    private final Loggers loggers;
    private final Readings readings;
    private final CurrentNursery nursery;
    private final Today today;
    private final ObjectMapper json;
    private final Map<String, Deque<Instant>> calls = new ConcurrentHashMap<>();

    ReadingsApi(Loggers loggers, Readings readings, CurrentNursery nursery, Today today, ObjectMapper json) {
        this.json = json;
        this.loggers = loggers;
        this.readings = readings;
        this.nursery = nursery;
        this.today = today;
    }

    /** What a logger sends. */
    record Sent(List<Reading> readings) {}

    /** How many were new, or what is wrong. */
    record Answer(Integer stored, String message) {}

    /** Whose token it is is asked first, before a byte of what was sent is read. */
    @PostMapping("/readings")
    ResponseEntity<Answer> readings(
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, required = false) String authorization,
            HttpServletRequest request)
            throws IOException {
        Optional<Loggers.Opened> opened = authorization != null && authorization.startsWith(BEARER)
                ? loggers.opened(authorization.substring(BEARER.length()).strip())
                : Optional.empty();
        if (opened.isEmpty()) {
            return answer(HttpStatus.UNAUTHORIZED, null, Messages.text("ReadingsApi.token"));
        }
        if (isTooOften(opened.get().hash())) {
            return answer(HttpStatus.TOO_MANY_REQUESTS, null, Messages.text("ReadingsApi.often"));
        }
        if (request.getContentLengthLong() > SizeLimit.MOST_BYTES) {
            return answer(HttpStatus.PAYLOAD_TOO_LARGE, null, Messages.text("ReadingsApi.large"));
        }
        Sent sent;
        try (InputStream in = request.getInputStream()) {
            byte[] body = in.readNBytes((int) SizeLimit.MOST_BYTES + 1);
            if (body.length > SizeLimit.MOST_BYTES) {
                return answer(HttpStatus.PAYLOAD_TOO_LARGE, null, Messages.text("ReadingsApi.large"));
            }
            sent = json.readValue(body, Sent.class);
        } catch (JsonProcessingException unreadable) {
            return answer(HttpStatus.BAD_REQUEST, null, Messages.text("ReadingsApi.unreadable"));
        }
        if (sent == null
                || sent.readings() == null
                || sent.readings().isEmpty()
                || sent.readings().size() > Readings.MOST_AT_ONCE) {
            return answer(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    null,
                    Messages.text("Readings.many", "most", Readings.MOST_AT_ONCE));
        }
        try {
            int stored = nursery.workingFor(opened.get().nursery(), () -> {
                int kept = readings.keep(opened.get().place(), sent.readings());
                readings.prune();
                return kept;
            });
            loggers.heard(opened.get().hash());
            return answer(HttpStatus.OK, stored, null);
        } catch (InvalidField wrong) {
            return answer(HttpStatus.UNPROCESSABLE_ENTITY, null, wrong.getMessage());
        }
    }

    private static ResponseEntity<Answer> answer(HttpStatus status, Integer stored, String message) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(new Answer(stored, message));
    }

    private boolean isTooOften(String hash) {
        Instant now = today.now();
        Deque<Instant> recent = calls.computeIfAbsent(hash, h -> new ArrayDeque<>());
        synchronized (recent) {
            while (!recent.isEmpty() && recent.peekFirst().isBefore(now.minus(WINDOW))) {
                recent.pollFirst();
            }
            if (recent.size() >= MOST_CALLS) {
                return true;
            }
            recent.addLast(now);
            return false;
        }
    }
}
