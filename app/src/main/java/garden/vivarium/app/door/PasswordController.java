package garden.vivarium.app.door;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Where a link for a new password leads. */
@Controller
@RequestMapping("/password/{token:[A-Za-z0-9_-]{20,100}}")
class PasswordController {

    private final PasswordLinks links;

    PasswordController(PasswordLinks links) {
        this.links = links;
    }

    @GetMapping
    String ask(@PathVariable String token, Model model) {
        model.addAttribute("person", links.whose(token).orElse(null));
        return "door/password";
    }

    @PostMapping
    String set(
            @PathVariable String token,
            @RequestParam(required = false) String password,
            HttpServletRequest request,
            Model model,
            RedirectAttributes next) {
        try {
            links.use(
                    token, password == null ? "" : password, BrowserName.of(request.getHeader(HttpHeaders.USER_AGENT)));
        } catch (InvalidField wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            return ask(token, model);
        } catch (NotFound gone) {
            return ask(token, model);
        }
        next.addFlashAttribute("said", Messages.text("PasswordController.set"));
        return "redirect:/sign-in";
    }
}
