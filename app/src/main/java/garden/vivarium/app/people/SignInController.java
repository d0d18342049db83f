package garden.vivarium.app.people;

import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Signing in. */
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

    /** A fresh token for pages that were open while a session ended; bench mode asks for it before sending again. */
    @GetMapping("/session/token")
    @ResponseBody
    Token token(CsrfToken token) {
        return new Token(token.getHeaderName(), token.getToken());
    }

    record Token(String header, String token) {}
}
