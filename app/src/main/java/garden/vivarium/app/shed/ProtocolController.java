package garden.vivarium.app.shed;

import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.guide.Guide;
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
    private final Guide guide;

    ProtocolController(Protocols protocols, Guide guide) {
        this.protocols = protocols;
        this.guide = guide;
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
        UnreadableForm.refuse(form.rest(), wrong);
        Protocol before = own(key);
        refuseDisorder(form, wrong);
        form.rest().refuseDisorder(before, wrong);
        String medium =
                form.medium() == null ? null : guide.medium(form.medium()).orElse(null);
        if (medium == null && !wrong.hasFieldErrors("medium")) {
            wrong.rejectValue("medium", "problem", "That medium is not in the guide; choose one from the list.");
        }
        if (!wrong.hasErrors()) {
            try {
                Protocol after = protocols.change(form.changed(before, medium), form.reason());
                next.addFlashAttribute(
                        "said",
                        "Version %d. Batches that run keep the version they were stuck under."
                                .formatted(after.version()));
                return "redirect:/guide/" + key;
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
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

    private static void refuseDisorder(ProtocolForm f, BindingResult wrong) {
        order("readyTo", f.readyFrom(), f.readyTo(), wrong);
        order("firstSignTo", f.firstSignFrom(), f.firstSignTo(), wrong);
        if (f.lookLeast() != null && f.lookMost() != null && f.lookMost() < f.lookLeast()) {
            wrong.rejectValue("lookMost", "problem", "The longest time between looks is no shorter than the shortest.");
        }
        if (f.callusLeast() != null && f.callusMost() != null && f.callusMost() < f.callusLeast()) {
            wrong.rejectValue("callusMost", "problem", "The longest drying is no shorter than the shortest.");
        }
        if (f.callusLeast() != null && f.callusMost() == null) {
            wrong.rejectValue("callusMost", "problem", "Give the longest drying too, or leave both empty.");
        }
        if (f.firstSignFrom() != null && f.readyFrom() != null && f.firstSignFrom() >= f.readyFrom()) {
            wrong.rejectValue("firstSignFrom", "problem", "First sign comes before ready; give an earlier day.");
        }
    }

    private static void order(String field, Double from, Double to, BindingResult wrong) {
        if ((from == null) != (to == null)) {
            wrong.rejectValue(field, "problem", "A window has two ends; give both days.");
        } else if (from != null && to != null && (!(from > 0) || !(to > from) || to > 3650)) {
            wrong.rejectValue(field, "problem", "A window runs from a day above 0 to a later one, at most 3,650.");
        }
    }

    private Protocol own(String key) {
        return protocols
                .current(key)
                .filter(Protocol::isOwn)
                .orElseThrow(() -> new NotFound("no such protocol of your own"));
    }

    private String show(Protocol protocol, Model model) {
        model.addAttribute("p", protocol);
        model.addAttribute("seen", protocols.versions(protocol.key()).get(0).seen());
        model.addAttribute("media", guide.media());
        model.addAttribute("kinds", LookKind.values());
        model.addAttribute("months", Month.values());
        return "shed/change";
    }
}
