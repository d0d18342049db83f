package garden.vivarium.app.entry;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.people.WorkplaceSwitch;
import garden.vivarium.app.people.Workplaces;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One's nurseries: going to another, opening one more, a sample to look at and to throw away. */
@Controller
@RequestMapping("/nurseries")
class NurseriesController {

    private final Workplaces workplaces;
    private final WorkplaceSwitch here;
    private final DemoNursery sample;

    NurseriesController(Workplaces workplaces, WorkplaceSwitch here, DemoNursery sample) {
        this.workplaces = workplaces;
        this.here = here;
        this.sample = sample;
    }

    @PostMapping("/go")
    String go(@RequestParam UUID nursery, HttpServletRequest request, HttpServletResponse response) {
        here.goTo(nursery, request, response);
        return "redirect:/round";
    }

    @PostMapping
    String open(
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String zone,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next) {
        try {
            here.goTo(workplaces.open(name, zone, false), request, response);
            return "redirect:/welcome";
        } catch (InvalidField p) {
            next.addFlashAttribute("refused", p.getMessage());
            return "redirect:/people";
        }
    }

    @PostMapping("/sample")
    String sample(HttpServletRequest request, HttpServletResponse response, RedirectAttributes next) {
        try {
            UUID id = workplaces.open(Messages.text("NurseriesController.sample"), null, true);
            sample.fill(id);
            here.goTo(id, request, response);
            next.addFlashAttribute("said", Messages.text("NurseriesController.look.round"));
            return "redirect:/round";
        } catch (InvalidField p) {
            next.addFlashAttribute("refused", p.getMessage());
            return "redirect:/welcome";
        }
    }

    /** Whoever wants to leaves. */
    @PostMapping("/leave")
    String leave(
            @RequestParam UUID nursery,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next)
            throws ServletException {
        try {
            Optional<UUID> onward =
                    workplaces.leave(nursery, request.getSession().getId());
            if (onward.isEmpty()) {
                request.logout();
                return "redirect:/sign-in?out";
            }
            here.goTo(onward.get(), request, response);
            next.addFlashAttribute("said", Messages.text("NurseriesController.left"));
        } catch (InvalidField p) {
            next.addFlashAttribute("refused", p.getMessage());
        }
        return "redirect:/people";
    }

    @PostMapping("/throw-away")
    String throwAway(
            @RequestParam UUID nursery,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next) {
        try {
            here.goTo(workplaces.throwAway(nursery), request, response);
            next.addFlashAttribute("said", Messages.text("NurseriesController.thrown.away"));
            return "redirect:/round";
        } catch (InvalidField p) {
            next.addFlashAttribute("refused", p.getMessage());
            return "redirect:/people";
        }
    }
}
