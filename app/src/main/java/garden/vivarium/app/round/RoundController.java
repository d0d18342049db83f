package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.stock.Stock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
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
    private final RoundWork work;
    private final People people;
    private final Stock stock;

    RoundController(Rounds rounds, RoundWork work, People people, Stock stock) {
        this.rounds = rounds;
        this.work = work;
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
            @RequestParam(required = false) Integer pieces,
            @RequestParam(required = false) Integer youngPlants,
            @RequestParam(required = false) UUID place,
            RedirectAttributes next) {
        next.addFlashAttribute("saidOf", code);
        return does(
                next, place, () -> work.does(new RoundWork.Pressed(kind, code, potting, notYet, pieces, youngPlants)));
    }

    @PostMapping("/done-together")
    String doneTogether(
            @RequestParam(defaultValue = "") List<String> key,
            @RequestParam(required = false) UUID place,
            RedirectAttributes next) {
        return does(
                next,
                place,
                () -> work.doesAll(key.stream().map(RoundWork.Pressed::of).toList()));
    }

    private static String does(RedirectAttributes next, UUID place, Supplier<RoundWork.Done> act) {
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, "/round", () -> {
            RoundWork.Done done = act.get();
            next.addFlashAttribute(
                    "undo", new ArrayList<>(done.acts().stream().map(Undo::mark).toList()));
            return done.said();
        });
    }

    @PostMapping("/undo")
    String undo(
            @RequestParam(defaultValue = "") List<String> act,
            @RequestParam(required = false) UUID place,
            RedirectAttributes next) {
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, "/round", () -> {
            work.takeBack(act.stream().map(Undo::of).toList());
            return "Undone.";
        });
    }
}
