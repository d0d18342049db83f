package garden.vivarium.app.people;

import garden.vivarium.app.platform.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Takes whoever is signed in from one of their nurseries to another, in this browser. */
@Component
public class WorkplaceSwitch {

    private final Workplaces workplaces;
    private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    WorkplaceSwitch(Workplaces workplaces) {
        this.workplaces = workplaces;
    }

    /** From now on this session is of that nursery, with the role that the person has there. */
    public void goTo(UUID nursery, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = workplaces.goTo(nursery);
        // What was known of the session in the other nursery must be worth nothing in this one.
        request.getSession().getAttributeNames().asIterator().forEachRemaining(name -> {
            if (name.startsWith("stands.")) {
                request.getSession().removeAttribute(name);
            }
        });
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }
}
