package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
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
    private final PutOffs putOffs;
    private final Reminders reminders;
    private final Says says;
    private final People people;
    private final Stock stock;

    RoundController(
            Rounds rounds,
            RoundWork work,
            PutOffs putOffs,
            Reminders reminders,
            Says says,
            People people,
            Stock stock) {
        this.rounds = rounds;
        this.work = work;
        this.putOffs = putOffs;
        this.reminders = reminders;
        this.says = says;
        this.people = people;
        this.stock = stock;
    }

    @GetMapping
    String round(@RequestParam(defaultValue = "false") boolean all, Model model) {
        Round round = rounds.today();
        if (round.isBare() && !people.hasSettledIn() && stock.all().isEmpty()) {
            return "redirect:/welcome";
        }
        model.addAttribute("round", round);
        model.addAttribute("all", all);
        model.addAttribute("places", stock.places());
        model.addAttribute("events", Reminder.Event.values());
        model.addAttribute("acts", CareAct.values());
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
        return does(next, place, () -> work.doesAll(key));
    }

    private static String does(RedirectAttributes next, UUID place, Supplier<RoundWork.Done> act) {
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, "/round", () -> {
            RoundWork.Done done = act.get();
            next.addFlashAttribute("undo", new ArrayList<>(done.marks()));
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
            work.takeBack(act);
            return "Undone.";
        });
    }

    @PostMapping("/later")
    String later(
            @RequestParam String item,
            @RequestParam LocalDate until,
            @RequestParam(required = false) String word,
            @RequestParam(required = false) UUID place,
            RedirectAttributes next) {
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, "/round", () -> {
            putOffs.to(item, until, word);
            next.addFlashAttribute("putOff", new ArrayList<>(List.of(item)));
            return Messages.text("RoundController.put.off", "until", says.day(until));
        });
    }

    @PostMapping("/today")
    String backToday(@RequestParam(defaultValue = "") List<String> item, RedirectAttributes next) {
        return FormActions.run(next, "/round", () -> {
            putOffs.backToday(item);
            return "It stands in the round again.";
        });
    }

    @PostMapping("/reminders")
    String remind(
            @RequestParam(required = false) String what,
            @RequestParam(required = false) LocalDate on,
            @RequestParam(required = false) String code,
            @RequestParam(required = false) Reminder.Event event,
            @RequestParam(required = false) String place,
            RedirectAttributes next) {
        return FormActions.run(next, "/round", () -> {
            reminders.add(what, on, code, event, place);
            return "The round will say so.";
        });
    }

    @PostMapping("/reminders/{id}/done")
    String remembered(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(
                next, "/round", () -> Messages.text("RoundController.remembered", "what", reminders.done(id)));
    }
}
