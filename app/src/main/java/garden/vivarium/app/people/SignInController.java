package garden.vivarium.app.people;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.UnreadableForm;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The door: first start, signing in. */
@Controller
class SignInController {

    private final People people;

    SignInController(People people) {
        this.people = people;
    }

    @GetMapping("/")
    String home() {
        return "redirect:/round";
    }

    @GetMapping("/sign-in")
    String signIn() {
        return people.isNobodyHere() ? "redirect:/first" : "people/sign-in";
    }

    @GetMapping("/first")
    String first(Model model) {
        if (!people.isNobodyHere()) {
            return "redirect:/sign-in";
        }
        model.addAttribute("form", FirstStartForm.empty(ZoneId.systemDefault().getId()));
        model.addAttribute("zones", zones());
        return "people/first";
    }

    @PostMapping("/first")
    String open(
            @Valid @ModelAttribute("form") FirstStartForm form,
            BindingResult wrong,
            Model model,
            HttpServletRequest request)
            throws jakarta.servlet.ServletException {
        if (!people.isNobodyHere()) {
            return "redirect:/sign-in";
        }
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                people.open(new People.NewNursery(
                        form.nursery(),
                        ZoneId.of(form.zone()),
                        form.hemisphere(),
                        form.signIn(),
                        form.name(),
                        form.password()));
                request.login(form.signIn(), form.password());
                return "redirect:/stock";
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            } catch (DateTimeException e) {
                wrong.rejectValue("zone", "problem", "That zone is not known; choose one from the list.");
            }
        }
        model.addAttribute("zones", zones());
        return "people/first";
    }

    /** A fresh token for pages that were open while a session ended; bench mode asks for it before sending again. */
    @GetMapping("/session/token")
    @ResponseBody
    Token token(CsrfToken token) {
        return new Token(token.getHeaderName(), token.getToken());
    }

    record Token(String header, String token) {}

    private static List<String> zones() {
        return ZoneId.getAvailableZoneIds().stream()
                .filter(z -> z.contains("/") && !z.startsWith("Etc") && !z.startsWith("SystemV"))
                .sorted()
                .toList();
    }
}
