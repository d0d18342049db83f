package garden.vivarium.app.people;

import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.PublicAddress;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.measure.UnitSystem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import java.util.Optional;
import java.util.UUID;
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

/** Who works here, and one's own password. */
@Controller
@RequestMapping("/people")
class StaffController {

    private final Staff staff;
    private final OwnUnits units;
    private final OwnPassword own;
    private final Invitations invitations;
    private final Workplaces workplaces;
    private final PublicAddress address;

    StaffController(
            Staff staff,
            OwnUnits units,
            OwnPassword own,
            Invitations invitations,
            Workplaces workplaces,
            PublicAddress address) {
        this.invitations = invitations;
        this.workplaces = workplaces;
        this.address = address;
        this.staff = staff;
        this.own = own;
        this.units = units;
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("form", NewPersonForm.EMPTY);
        return show(model);
    }

    private String show(Model model) {
        model.addAttribute("people", staff.all());
        model.addAttribute("roles", Role.values());
        model.addAttribute("open", invitations.open());
        model.addAttribute("sent", invitations.mine());
        model.addAttribute("mayOpen", workplaces.mayOpen());
        model.addAttribute("systems", UnitSystem.values());
        return "people/people";
    }

    @PostMapping
    String add(
            @Valid @ModelAttribute("form") NewPersonForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                Optional<String> link = invitations.invite(form.name(), form.signIn(), form.password(), form.role());
                if (link.isPresent()) {
                    model.addAttribute("name", form.name());
                    model.addAttribute("link", address.of("/invited/" + link.get()));
                    return "people/link";
                }
                next.addFlashAttribute(
                        "said",
                        Messages.text(
                                "StaffController.added",
                                "name",
                                form.name(),
                                "role",
                                form.role().words()));
                return "redirect:/people";
            } catch (InvalidField p) {
                FieldPath.reject(wrong, NewPersonForm.class, p);
            }
        }
        return show(model);
    }

    @PostMapping("/invitations/{id}/withdraw")
    String withdraw(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            invitations.withdraw(id);
            return Messages.text("Invitations.withdrawn");
        });
    }

    @PostMapping("/units")
    String units(
            @RequestParam UnitSystem units,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next) {
        this.units.choose(units, request, response);
        next.addFlashAttribute(
                "said", "Measures are in " + Messages.text("UnitSystem." + units) + " from now on, for you.");
        return "redirect:/people";
    }

    @PostMapping("/{id}/role")
    String may(@PathVariable UUID id, @RequestParam Role role, RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            PersonView now = staff.may(id, role);
            return Messages.text(
                    "StaffController.may",
                    "name",
                    now.name(),
                    "role",
                    now.role().words());
        });
    }

    @PostMapping("/{id}/leave")
    String leave(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            return Messages.text("StaffController.left", "name", staff.leave(id).name());
        });
    }

    @PostMapping("/password")
    String password(
            @RequestParam(required = false) String old,
            @RequestParam(required = false) String wanted,
            HttpSession session,
            RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            own.check("old", old, session.getId());
            staff.changePassword(wanted == null ? "" : wanted, session.getId());
            return Messages.text("StaffController.password.changed");
        });
    }

    @PostMapping("/everywhere")
    String everywhere(HttpSession session, RedirectAttributes next) {
        return FormActions.run(next, "/people", () -> {
            staff.signOutEverywhereElse(session.getId());
            return Messages.text("StaffController.signed.out");
        });
    }
}
