package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.stock.Stock;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Round place. */
@Controller
@RequestMapping("/round")
class RoundController {

    private final Rounds rounds;
    private final People people;
    private final Stock stock;

    RoundController(Rounds rounds, People people, Stock stock) {
        this.rounds = rounds;
        this.people = people;
        this.stock = stock;
    }

    @GetMapping
    String round(Model model) {
        Round round = rounds.today();
        if (round.isBare() && !people.hasSettledIn() && stock.all().isEmpty()) {
            return "redirect:/welcome";
        }
        model.addAttribute("round", round);
        return "round/round";
    }

    @PostMapping("/done")
    String done(
            @RequestParam Task.Kind kind,
            @RequestParam String code,
            @RequestParam(required = false) UUID potting,
            @RequestParam(defaultValue = "false") boolean notYet,
            RedirectAttributes next) {
        next.addFlashAttribute("saidOf", code);
        return FormActions.run(next, "/round", () -> rounds.done(kind, code, potting, notYet));
    }
}
