package garden.vivarium.app.people;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.UnreadableForm;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.time.DateTimeException;
import java.time.ZoneId;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The first page of an installation where nobody is yet. */
@Controller
@RequestMapping("/first")
class FirstStartController {

    private final People people;
    private final FirstStart start;

    FirstStartController(People people, FirstStart start) {
        this.people = people;
        this.start = start;
    }

    @GetMapping
    String ask(Model model) {
        if (!people.isNobodyHere()) {
            return "redirect:/sign-in";
        }
        model.addAttribute("form", FirstStartForm.empty(ZoneId.systemDefault().getId()));
        model.addAttribute("zones", People.zones());
        model.addAttribute("currencies", Money.currencies());
        return "people/first";
    }

    @PostMapping
    String open(
            @Valid @ModelAttribute("form") FirstStartForm form,
            BindingResult wrong,
            Model model,
            HttpServletRequest request)
            throws ServletException {
        if (!people.isNobodyHere()) {
            return "redirect:/sign-in";
        }
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                if (!start.open(form, request.getRemoteAddr())) {
                    return "redirect:/sign-in";
                }
                request.login(form.signIn(), form.password());
                // What was known of the session before must be worth nothing after.
                request.changeSessionId();
                return "redirect:/welcome";
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            } catch (DateTimeException e) {
                wrong.rejectValue("zone", "problem", Messages.text("FirstStartController.that.zone.is.not.known"));
            }
        }
        model.addAttribute("zones", People.zones());
        model.addAttribute("currencies", Money.currencies());
        return "people/first";
    }
}
