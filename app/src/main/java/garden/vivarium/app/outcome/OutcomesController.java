package garden.vivarium.app.outcome;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How right plans, reckoning and hunches were, within the Plan place. */
@Controller
class OutcomesController {

    private final Outcomes outcomes;

    OutcomesController(Outcomes outcomes) {
        this.outcomes = outcomes;
    }

    @GetMapping("/plan/outcomes")
    String page(Model model) {
        model.addAttribute("book", outcomes.book());
        return "outcome/outcomes";
    }
}
