package garden.vivarium.app.shed;

import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.Valid;
import java.time.Month;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A nursery copies a protocol and changes the copy. */
@Controller
@RequestMapping("/guide/{key}")
class ProtocolController {

    private final Protocols protocols;
    private final OwnWays own;

    ProtocolController(Protocols protocols, OwnWays own) {
        this.protocols = protocols;
        this.own = own;
    }

    @PostMapping("/copy")
    String copy(@PathVariable String key, @RequestParam(required = false) String name, RedirectAttributes next) {
        return FormActions.runAndGo(
                next,
                "/guide/" + key,
                () -> new FormActions.Result(
                        "Copied. Change what you do otherwise; the guide stays as it is.",
                        "/guide/" + protocols.copy(key, name).key() + "/change"));
    }

    @GetMapping("/change")
    String form(@PathVariable String key, Model model) {
        model.addAttribute("form", ProtocolForm.of(own(key)));
        return show(own(key), model);
    }

    @PostMapping("/change")
    String change(
            @PathVariable String key,
            @Valid @ModelAttribute("form") ProtocolForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        Protocol before = own(key);
        form.refuseDisorder(before, wrong);
        if (!wrong.hasErrors()) {
            try {
                Protocol after = protocols.change(
                        form.onto(before, medium(form)), form.identity().reason());
                next.addFlashAttribute(
                        "said",
                        Messages.text("ProtocolController.version.batches.run.keep", "version", after.version()));
                return "redirect:/guide/" + key;
            } catch (InvalidField p) {
                FieldPath.reject(wrong, ProtocolForm.class, p);
            }
        }
        return show(before, model);
    }

    @PostMapping("/withdraw")
    String withdraw(
            @PathVariable String key, @RequestParam(defaultValue = "true") boolean gone, RedirectAttributes next) {
        protocols.withdraw(key, gone);
        next.addFlashAttribute("said", gone ? "No longer offered. Its batches keep it." : "Offered again.");
        return "redirect:/guide/" + key;
    }

    private String medium(ProtocolForm form) {
        return own.medium("medium", form.technique().medium(), false);
    }

    private Protocol own(String key) {
        return protocols
                .current(key)
                .filter(Protocol::isOwn)
                .orElseThrow(() -> new NotFound(Messages.text("ProtocolController.no.such.protocol.of.your")));
    }

    private String show(Protocol protocol, Model model) {
        model.addAttribute("p", protocol);
        model.addAttribute("seen", protocols.versions(protocol.key()).get(0).seen());
        model.addAttribute("media", own.media());
        model.addAttribute("kinds", LookKind.values());
        model.addAttribute("months", Month.values());
        return "shed/change";
    }
}
