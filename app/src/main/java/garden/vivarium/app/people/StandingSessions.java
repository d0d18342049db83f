package garden.vivarium.app.people;

import garden.vivarium.app.platform.SignedIn;
import java.util.UUID;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Sessions by the nursery in which they stand: what changes in one ends none that stands in another. */
@Component
class StandingSessions {

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    StandingSessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** Ends somebody's sessions in a nursery, but for one that is kept. */
    void end(String signIn, UUID nursery, String kept) {
        sessions.findByPrincipalName(signIn).forEach((id, session) -> {
            if (!id.equals(kept) && nursery.equals(standsIn(session))) {
                sessions.deleteById(id);
            }
        });
    }

    private static UUID standsIn(Session session) {
        return session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY)
                                instanceof SecurityContext context
                        && context.getAuthentication() != null
                        && context.getAuthentication().getPrincipal() instanceof SignedIn who
                ? who.nurseryId()
                : null;
    }
}
