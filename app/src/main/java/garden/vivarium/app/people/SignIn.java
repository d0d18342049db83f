package garden.vivarium.app.people;

import garden.vivarium.app.platform.SignedIn;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Checks a name and a password, and slows down whoever guesses. */
@Component
class SignIn implements AuthenticationProvider {

    private static final int FREE_BY_NAME = 5;
    private static final int FREE_BY_ADDRESS = 30;

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final PasswordEncoder passwords;
    private final SignInAttempts attempts;
    private final String hashOfNothing;

    SignIn(
            PersonRepository people,
            MembershipRepository memberships,
            PasswordEncoder passwords,
            SignInAttempts attempts) {
        this.people = people;
        this.memberships = memberships;
        this.passwords = passwords;
        this.attempts = attempts;
        this.hashOfNothing = passwords.encode("nobody has this password");
    }

    @Override
    public Authentication authenticate(Authentication asked) {
        String name = asked.getName().strip().toLowerCase(Locale.ROOT);
        String byName = "name:" + name.substring(0, Math.min(100, name.length()));
        String byAddress = "from:" + address(asked);
        if (attempts.mustWait(byName, FREE_BY_NAME) || attempts.mustWait(byAddress, FREE_BY_ADDRESS)) {
            throw new LockedException("too many failures");
        }
        Optional<SignedIn> found = people.findBySignIn(name).flatMap(this::working);
        String typed =
                asked.getCredentials() == null ? "" : asked.getCredentials().toString();
        // Unknown names cost as much time as known ones, or the time would tell them apart.
        boolean right =
                passwords.matches(typed, found.map(SignedIn::passwordHash).orElse(hashOfNothing));
        if (!right || found.isEmpty()) {
            attempts.failed(byName);
            attempts.failed(byAddress);
            throw new BadCredentialsException("name and password do not belong together");
        }
        attempts.succeeded(byName);
        SignedIn who = found.get().withoutHash();
        return UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    }

    /** In the nursery where they worked last or, where they have left that, in another. */
    private Optional<SignedIn> working(Person person) {
        List<Membership> all = memberships.ofPerson(person.id());
        Optional<Membership> last = all.stream()
                .filter(m -> m.nurseryId().equals(person.nurseryId()))
                .findFirst()
                .or(() -> all.stream().findFirst());
        return last.map(m -> {
            person.worksIn(m.nurseryId());
            return person.signedIn(m.role());
        });
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }

    private static String address(Authentication asked) {
        return asked.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "unknown";
    }
}
