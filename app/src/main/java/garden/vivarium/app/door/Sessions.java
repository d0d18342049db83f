package garden.vivarium.app.door;

import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The browsers in which a person is signed in now. */
@Component
class Sessions {

    /** Under which a session keeps what browser it is of. */
    static final String BROWSER = "browser";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /**
     * A browser.
     *
     * @param mark by which it is named on pages; not what opens it
     * @param here whether it is the one that asks
     */
    record Open(String mark, String browser, Instant since, Instant last, boolean here) {}

    /** Those of a person, the latest used first. */
    List<Open> of(SignedIn who, String here) {
        return all(who).entrySet().stream()
                .map(e -> new Open(
                        SecretToken.hash(e.getKey()),
                        Optional.ofNullable((String) e.getValue().getAttribute(BROWSER))
                                .orElse("a browser"),
                        e.getValue().getCreationTime(),
                        e.getValue().getLastAccessedTime(),
                        e.getKey().equals(here)))
                .sorted(Comparator.comparing(Open::last).reversed())
                .toList();
    }

    /** Ends one of a person's own. */
    boolean end(SignedIn who, String mark) {
        Optional<String> id = all(who).keySet().stream()
                .filter(k -> SecretToken.hash(k).equals(mark))
                .findFirst();
        id.ifPresent(sessions::deleteById);
        return id.isPresent();
    }

    /** Ends all of a person's. */
    void endAll(String signIn) {
        sessions.findByPrincipalName(signIn).keySet().forEach(sessions::deleteById);
    }

    private Map<String, ? extends Session> all(SignedIn who) {
        return sessions.findByPrincipalName(who.signInName());
    }
}
