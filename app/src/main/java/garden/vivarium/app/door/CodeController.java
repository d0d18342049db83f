package garden.vivarium.app.door;

import garden.vivarium.app.people.Accounts;
import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.CookieNames;
import garden.vivarium.app.platform.HalfSignedIn;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The second step of signing in, for whoever has a second factor. */
@Controller
@RequestMapping("/sign-in/code")
class CodeController {

    private static final int FREE = 5;
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    /** After so long the password is asked again. */
    private static final Duration GOOD = Duration.ofMinutes(10);

    private final SecondFactors factors;
    private final KnownBrowsers browsers;
    private final Accounts accounts;
    private final Entering entering;
    private final DoorBook book;
    private final Brake brake;
    private final Clock clock;
    private final CookieNames cookies;

    CodeController(
            SecondFactors factors,
            KnownBrowsers browsers,
            Accounts accounts,
            Entering entering,
            DoorBook book,
            Brake brake,
            Clock clock,
            CookieNames cookies) {
        this.factors = factors;
        this.browsers = browsers;
        this.accounts = accounts;
        this.entering = entering;
        this.book = book;
        this.brake = brake;
        this.clock = clock;
        this.cookies = cookies;
    }

    private Optional<HalfSignedIn> half() {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        return now != null && now.getPrincipal() instanceof HalfSignedIn h ? Optional.of(h) : Optional.empty();
    }

    @GetMapping
    String ask(@RequestParam(required = false) String wait, Model model) {
        model.addAttribute("wait", Waiting.said(wait));
        if (half().isEmpty()) {
            return "redirect:/sign-in";
        }
        return "door/code";
    }

    @PostMapping
    String code(@RequestParam(required = false) String code, HttpServletRequest request, HttpServletResponse response)
            throws IOException, ServletException {
        Optional<SignedIn> who = half().filter(
                        h -> clock.instant().isBefore(h.since().plus(GOOD)))
                .flatMap(h -> accounts.find(h.personId()))
                .map(SignedIn::withoutHash);
        if (who.isEmpty()) {
            Optional.ofNullable(request.getSession(false)).ifPresent(s -> s.invalidate());
            return "redirect:/sign-in?again";
        }
        SignedIn person = who.get();
        Brake.Who counted = counted(request, person);
        Optional<Duration> wait = brake.tries(counted);
        if (wait.isPresent()) {
            return "redirect:/sign-in/code?wait=" + Waiting.seconds(wait.get());
        }
        String typed = code == null ? "" : code.strip();
        String browser = BrowserName.of(request.getHeader(HttpHeaders.USER_AGENT));
        boolean byWords = typed.matches(".*\\p{L}.*");
        if (byWords ? !factors.recovers(person.personId(), typed) : !factors.accepts(person.personId(), typed)) {
            book.write(person.nurseryId(), DoorBook.What.WRONG_CODE, person.name(), "", browser);
            return "redirect:/sign-in/code?wrong";
        }
        brake.forgets(counted);
        if (byWords) {
            book.write(person.nurseryId(), DoorBook.What.RECOVERED, person.name(), "", browser);
        }
        entering.enter(request, response, person);
        return null;
    }

    private Brake.Who counted(HttpServletRequest request, SignedIn person) {
        return AtTheDoor.token(request, cookies)
                .filter(t -> browsers.knows(person.personId(), t))
                .map(t -> new Brake.Who("code:" + SecretToken.hash(t), FREE, LONGEST_WAIT))
                .orElseGet(() -> new Brake.Who("code:" + person.personId(), FREE, LONGEST_WAIT));
    }
}
