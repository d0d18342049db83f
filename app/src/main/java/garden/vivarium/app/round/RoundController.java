package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
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
    private final Today today;

    RoundController(
            Rounds rounds,
            RoundWork work,
            PutOffs putOffs,
            Reminders reminders,
            Says says,
            People people,
            Stock stock,
            Today today) {
        this.rounds = rounds;
        this.work = work;
        this.putOffs = putOffs;
        this.reminders = reminders;
        this.says = says;
        this.people = people;
        this.stock = stock;
        this.today = today;
    }

    @GetMapping
    String round(
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam(required = false) LocalDate on,
            @RequestParam(required = false) UUID place,
            Model model) {
        Round round = rounds.today();
        if (round.isBare() && !people.hasSettledIn() && stock.all().isEmpty()) {
            return "redirect:/welcome";
        }
        model.addAttribute("round", round);
        model.addAttribute("waiting", reminders.waiting(today.date()));
        model.addAttribute("all", all);
        if (place != null) {
            model.addAttribute("openPlace", place);
        }
        model.addAttribute("whole", place);
        LocalDate turned = on != null && on.isBefore(today.date()) ? on : null;
        model.addAttribute("on", turned);
        model.addAttribute("roundAt", turned == null ? "/round?place=" : "/round?on=" + turned + "&place=");
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
            @RequestParam(required = false) LocalDate on,
            RedirectAttributes next) {
        next.addFlashAttribute("saidOf", code);
        return does(
                next,
                place,
                on,
                day -> work.does(new RoundWork.Pressed(kind, code, potting, notYet, pieces, youngPlants, day)));
    }

    @PostMapping("/done-together")
    String doneTogether(
            @RequestParam(defaultValue = "") List<String> key,
            @RequestParam(required = false) UUID place,
            @RequestParam(required = false) LocalDate on,
            RedirectAttributes next) {
        return does(next, place, on, day -> work.doesAll(key, day));
    }

    /** What is pressed was done today, unless the page was turned to another day. */
    private String does(RedirectAttributes next, UUID place, LocalDate on, Function<LocalDate, RoundWork.Done> act) {
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, on == null ? "/round" : "/round?on=" + on, () -> {
            RoundWork.Done done = act.apply(on == null ? today.date() : on);
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
            return Messages.text("RoundController.it.stands.in.the.round");
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
            return Messages.text("RoundController.the.round.will.say.so");
        });
    }

    @PostMapping("/reminders/{id}")
    String changed(
            @PathVariable UUID id,
            @RequestParam(required = false) String what,
            @RequestParam(required = false) LocalDate on,
            RedirectAttributes next) {
        return FormActions.run(next, "/round#remind", () -> {
            reminders.change(id, what, on);
            return Messages.text("RoundController.the.round.will.say.so");
        });
    }

    @PostMapping("/reminders/{id}/drop")
    String dropped(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(
                next, "/round#remind", () -> Messages.text("RoundController.dropped", "what", reminders.drop(id)));
    }

    @PostMapping("/reminders/{id}/done")
    String remembered(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(
                next, "/round", () -> Messages.text("RoundController.remembered", "what", reminders.done(id)));
    }
}
