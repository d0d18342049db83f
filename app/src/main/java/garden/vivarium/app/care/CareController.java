package garden.vivarium.app.care;

import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import java.time.LocalDate;
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
    private final Today today;

    CareController(CareBook care, Today today) {
        this.care = care;
        this.today = today;
    }

    @PostMapping("/{id}/done")
    String done(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean stay,
            @RequestParam(required = false) LocalDate on,
            RedirectAttributes next) {
        CareView done = care.done(id, on == null ? today.date() : on);
        next.addFlashAttribute(
                "said",
                Messages.text("CareController.done", "code", done.subject().code(), "what", done.what()));
        return "redirect:" + (stay ? done.subject().sheet() : on == null ? "/round" : "/round?on=" + on);
    }

    @PostMapping("/{id}/no-more")
    String noMore(@PathVariable UUID id, RedirectAttributes next) {
        CareView dropped = care.noMore(id);
        next.addFlashAttribute(
                "said",
                Messages.text(
                        "CareController.no.more", "code", dropped.subject().code(), "what", dropped.what()));
        return "redirect:/round";
    }

    @PostMapping("/{id}/correct")
    String correct(
            @PathVariable UUID id,
            @RequestParam(required = false) String what,
            @RequestParam LocalDate doneOn,
            @RequestParam(defaultValue = "false") boolean never,
            @RequestParam(required = false) String why,
            @RequestParam String back,
            RedirectAttributes next) {
        String sheet = back.matches("/(batches|stock)/[\\w-]+") ? back : "/round";
        return FormActions.run(next, sheet, () -> {
            if (never) {
                care.withdraw(id, why);
                return Messages.text("CareController.it.is.gone.what.it");
            }
            care.correct(id, what, doneOn, why);
            return Messages.text("CareController.corrected.what.was.written.down");
        });
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
