package garden.vivarium.app.door;

import com.google.zxing.common.BitMatrix;
import garden.vivarium.app.people.Accounts;
import garden.vivarium.app.people.OwnPassword;
import garden.vivarium.app.people.PersonView;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.PublicAddress;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.SquareCode;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One's own sign-in: the second factor, and browsers. For owners, links for others and the book. */
@Controller
@RequestMapping("/door")
class DoorController {

    private final SecondFactors factors;
    private final KnownBrowsers browsers;
    private final Sessions sessions;
    private final PasswordLinks links;
    private final DoorBook book;
    private final Accounts accounts;
    private final OwnPassword own;
    private final CurrentNursery current;
    private final PublicAddress address;

    DoorController(
            SecondFactors factors,
            KnownBrowsers browsers,
            Sessions sessions,
            PasswordLinks links,
            DoorBook book,
            Accounts accounts,
            OwnPassword own,
            CurrentNursery current,
            PublicAddress address) {
        this.factors = factors;
        this.browsers = browsers;
        this.sessions = sessions;
        this.links = links;
        this.book = book;
        this.accounts = accounts;
        this.own = own;
        this.current = current;
        this.address = address;
    }

    private SignedIn me() {
        return current.person().orElseThrow();
    }

    @GetMapping
    String own(HttpSession session, Model model) {
        SignedIn me = me();
        model.addAttribute("on", factors.isOn(me.personId()));
        model.addAttribute("left", factors.wordsLeft(me.personId()));
        model.addAttribute("open", sessions.of(me, session.getId()));
        model.addAttribute("known", browsers.count(me.personId()));
        return "door/door";
    }

    @GetMapping("/factor")
    String begin(Model model) {
        SignedIn me = me();
        if (factors.isOn(me.personId())) {
            return "redirect:/door";
        }
        String secret = factors.begin(me.personId());
        BitMatrix code = SquareCode.of("otpauth://totp/Vivarium:%s?secret=%s&issuer=Vivarium"
                .formatted(URLEncoder.encode(me.signInName(), StandardCharsets.UTF_8), secret));
        model.addAttribute("secret", secret.replaceAll("(.{4})(?=.)", "$1 "));
        model.addAttribute("cells", code.getWidth());
        model.addAttribute("path", SquareCode.path(code));
        return "door/factor";
    }

    @PostMapping("/factor")
    String turnOn(
            @RequestParam(required = false) String code,
            @RequestParam(required = false) String password,
            HttpServletRequest request,
            Model model,
            RedirectAttributes next) {
        SignedIn me = me();
        try {
            own.check("password", password, request.getSession().getId());
            List<String> words = factors.turnOn(me.personId(), code == null ? "" : code);
            book.write(me.nurseryId(), DoorBook.What.FACTOR_ON, me.name(), "", browser(request));
            model.addAttribute("words", words);
            return "door/words";
        } catch (InvalidField wrong) {
            next.addFlashAttribute("refused", wrong.getMessage());
            return "redirect:/door/factor";
        }
    }

    @PostMapping("/factor/off")
    String turnOff(
            @RequestParam(required = false) String password, HttpServletRequest request, RedirectAttributes next) {
        return FormActions.run(next, "/door", () -> {
            SignedIn me = me();
            own.check("password", password, request.getSession().getId());
            factors.turnOff(me.personId());
            book.write(me.nurseryId(), DoorBook.What.FACTOR_OFF, me.name(), "", browser(request));
            return Messages.text("DoorController.factor.off");
        });
    }

    @PostMapping("/sessions/{mark}/end")
    String end(@PathVariable String mark, HttpServletRequest request, RedirectAttributes next) {
        return FormActions.run(next, "/door", () -> {
            SignedIn me = me();
            if (sessions.end(me, mark)) {
                book.write(me.nurseryId(), DoorBook.What.SESSION_ENDED, me.name(), "", browser(request));
            }
            return Messages.text("DoorController.session.ended");
        });
    }

    @PostMapping("/browsers/forget")
    String forget(RedirectAttributes next) {
        return FormActions.run(next, "/door", () -> {
            browsers.forget(me().personId());
            return Messages.text("DoorController.browsers.forgotten");
        });
    }

    /** A link for somebody who works here, shown once. */
    @PostMapping("/link/{person}")
    String link(
            @PathVariable UUID person,
            @RequestParam(defaultValue = "false") boolean factorToo,
            HttpServletRequest request,
            Model model,
            RedirectAttributes next) {
        PersonView of = accounts.here(person);
        if (accounts.worksElsewhere(person)) {
            next.addFlashAttribute("refused", Messages.text("DoorController.link.elsewhere", "name", of.name()));
            return "redirect:/people";
        }
        SignedIn me = me();
        model.addAttribute("person", of);
        model.addAttribute("link", address.of(links.make(person, me.name(), factorToo)));
        book.write(me.nurseryId(), DoorBook.What.LINK_MADE, me.name(), of.name(), browser(request));
        return "door/link";
    }

    @GetMapping("/log")
    String log(Model model) {
        model.addAttribute("entries", book.last());
        return "door/log";
    }

    /** The same as a table of comma-separated values. */
    @GetMapping("/log.csv")
    ResponseEntity<String> csv() {
        return CsvAnswer.of(
                "door.csv",
                List.of("at", "person", "what", "about", "browser"),
                book.last().stream()
                        .map(e -> List.<Object>of(e.at(), e.person(), e.what().name(), e.about(), e.browser()))
                        .toList());
    }

    private static String browser(HttpServletRequest request) {
        return BrowserName.of(request.getHeader(HttpHeaders.USER_AGENT));
    }
}
