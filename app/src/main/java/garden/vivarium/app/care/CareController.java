package garden.vivarium.app.care;

import garden.vivarium.app.platform.Messages;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Care that was due and is done, and how treatments turned out. */
@Controller
@RequestMapping("/care")
class CareController {

    private final CareBook care;

    CareController(CareBook care) {
        this.care = care;
    }

    @PostMapping("/{id}/done")
    String done(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean stay, RedirectAttributes next) {
        CareView done = care.done(id);
        next.addFlashAttribute(
                "said",
                Messages.text("CareController.done", "code", done.subject().code(), "what", done.what()));
        return "redirect:" + (stay ? done.subject().sheet() : "/round");
    }

    @PostMapping("/{id}/outcome")
    String outcome(@PathVariable UUID id, @RequestParam Outcome outcome, RedirectAttributes next) {
        CareView told = care.turnedOut(id, outcome);
        next.addFlashAttribute(
                "said",
                Messages.text(
                        "CareController.kept",
                        "code",
                        told.subject().code(),
                        "what",
                        told.what(),
                        "outcome",
                        outcome.words()));
        return "redirect:/round";
    }
}
