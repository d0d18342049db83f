package garden.vivarium.app.people;

import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Invitations, for whoever got them: accepted or declined, signed in or by a link. */
@Controller
class InvitationsController {

    private final Invitations invitations;

    InvitationsController(Invitations invitations) {
        this.invitations = invitations;
    }

    @GetMapping("/invitations")
    String mine(Model model) {
        model.addAttribute("sent", invitations.mine());
        return "people/invitations";
    }

    @PostMapping("/invitations/{id}/accept")
    String accept(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(
                next, "/people", () -> Messages.text("Invitations.accepted", "nursery", invitations.accept(id)));
    }

    @PostMapping("/invitations/{id}/decline")
    String decline(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            invitations.decline(id);
            return Messages.text("Invitations.declined");
        });
    }

    @GetMapping("/invited/{token:[A-Za-z0-9_-]{20,100}}")
    String byLink(@PathVariable String token, Model model) {
        model.addAttribute("invitation", invitations.byLink(token).orElse(null));
        return "people/invited";
    }

    @PostMapping("/invited/{token:[A-Za-z0-9_-]{20,100}}")
    String takeUp(
            @PathVariable String token,
            @RequestParam(required = false) String password,
            Model model,
            RedirectAttributes next) {
        try {
            invitations.takeUp(token, password == null ? "" : password);
        } catch (InvalidField wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            return byLink(token, model);
        } catch (NotFound gone) {
            return byLink(token, model);
        }
        next.addFlashAttribute("said", Messages.text("PasswordController.set"));
        return "redirect:/sign-in";
    }
}
