package garden.vivarium.app.door;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.SignedIn;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Signing in. */
@Controller
class SignInController {

    private final People people;
    private final boolean sample;

    SignInController(People people, @Value("${vivarium.demo:false}") boolean sample) {
        this.people = people;
        this.sample = sample;
    }

    @GetMapping("/")
    String home() {
        return "redirect:/round";
    }

    @GetMapping("/sign-in")
    String signIn(@RequestParam(required = false) String wait, Model model) {
        model.addAttribute("wait", Waiting.said(wait));
        model.addAttribute("sample", sample);
        return people.isNobodyHere() ? "redirect:/first" : "door/sign-in";
    }

    /** A fresh token for pages that were open while a session ended; bench mode asks for it before sending again. */
    @GetMapping("/session/token")
    @ResponseBody
    Token token(CsrfToken token, @AuthenticationPrincipal SignedIn who) {
        return new Token(token.getHeaderName(), token.getToken(), who.owner());
    }

    /** A token, and whose session it is for. */
    record Token(String header, String token, String owner) {}
}
