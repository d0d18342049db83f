package garden.vivarium.app.door;

import garden.vivarium.app.people.Accounts;
import garden.vivarium.app.people.Invitations;
import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.HalfSignedIn;
import garden.vivarium.app.platform.HashingBusy;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/**
 * Checks a name and a password, and slows down whoever guesses: by the name, and by the address, which makes nobody behind it
 * wait long. A browser in which the person has signed in before is counted by itself.
 */
@Component
class SignIn implements AuthenticationProvider {

    private static final int FREE_BY_NAME = 5;
    private static final int FREE_BY_BROWSER = 10;
    private static final Duration LONG = Duration.ofMinutes(15);

    /** A house behind one address is slowed down, and never shut out. */
    private static final Duration SHORT = Duration.ofSeconds(5);

    private static final int LONGEST_NAME = 100;

    private final Accounts accounts;
    private final PasswordEncoder passwords;
    private final Brake brake;
    private final KnownBrowsers browsers;
    private final SecondFactors factors;
    private final DoorBook book;
    private final Invitations invitations;
    private final Clock clock;
    private final int freeByAddress;
    private final String hashOfNothing;

    SignIn(
            Accounts accounts,
            PasswordEncoder passwords,
            Brake brake,
            KnownBrowsers browsers,
            SecondFactors factors,
            DoorBook book,
            Invitations invitations,
            Clock clock,
            @Value("${vivarium.door.free-by-address:30}") int freeByAddress) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.brake = brake;
        this.browsers = browsers;
        this.factors = factors;
        this.book = book;
        this.invitations = invitations;
        this.clock = clock;
        this.freeByAddress = freeByAddress;
        this.hashOfNothing = passwords.encode("nobody has this password");
    }

    @Override
    public Authentication authenticate(Authentication asked) {
        String name = asked.getName().strip().toLowerCase(Locale.ROOT);
        Optional<SignedIn> found = accounts.find(name);
        List<Brake.Who> counted = counted(asked, name, found);
        for (int i = 0; i < counted.size(); i++) {
            Optional<Duration> wait = brake.tries(counted.get(i));
            if (wait.isPresent()) {
                counted.subList(0, i).forEach(brake::takesBack);
                throw new TooManyTries(wait.get());
            }
        }
        String typed =
                asked.getCredentials() == null ? "" : asked.getCredentials().toString();
        // Unknown names cost as much time as known ones, or the time would tell them apart.
        boolean right;
        try {
            Optional<String> toComeIn = found.isPresent() ? Optional.empty() : invitations.passwordToComeIn(name);
            right = passwords.matches(
                    typed, found.map(SignedIn::passwordHash).or(() -> toComeIn).orElse(hashOfNothing));
            if (right && toComeIn.isPresent()) {
                invitations.comeIn(name, toComeIn.get());
                found = accounts.find(name);
            }
        } catch (HashingBusy many) {
            counted.forEach(brake::takesBack);
            throw new AuthenticationServiceException(many.getMessage(), many);
        }
        if (!right || found.isEmpty()) {
            found.ifPresent(p -> book.write(p.nurseryId(), DoorBook.What.WRONG_PASSWORD, p.name(), "", browser(asked)));
            throw new BadCredentialsException("name and password do not belong together");
        }
        brake.forgets(counted.get(0));
        counted.stream().skip(1).forEach(brake::takesBack);
        SignedIn who = found.get().withoutHash();
        return factors.isOn(who.personId())
                ? UsernamePasswordAuthenticationToken.authenticated(
                        new HalfSignedIn(who.personId(), clock.instant()), null, List.of())
                : UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    }

    private List<Brake.Who> counted(Authentication asked, String name, Optional<SignedIn> found) {
        Optional<String> known = asked.getDetails() instanceof AtTheDoor d
                ? d.token()
                        .filter(t -> found.filter(p -> browsers.knows(p.personId(), t))
                                .isPresent())
                : Optional.empty();
        return known.map(t -> List.of(new Brake.Who("browser:" + SecretToken.hash(t), FREE_BY_BROWSER, LONG)))
                .orElseGet(() -> List.of(
                        new Brake.Who(
                                "name:" + name.substring(0, Math.min(LONGEST_NAME, name.length())), FREE_BY_NAME, LONG),
                        new Brake.Who("from:" + address(asked), freeByAddress, SHORT)));
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }

    private static String address(Authentication asked) {
        return asked.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "unknown";
    }

    private static String browser(Authentication asked) {
        return asked.getDetails() instanceof AtTheDoor d ? d.browser() : "";
    }
}
