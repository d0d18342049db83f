package garden.vivarium.app.promise;

import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Promises, within the Plan place. */
@Controller
@RequestMapping("/promises")
class PromiseController {

    private final Promises promises;
    private final PromiseBook book;
    private final Stock stock;

    PromiseController(Promises promises, PromiseBook book, Stock stock) {
        this.promises = promises;
        this.book = book;
        this.stock = stock;
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("lines", book.lines());
        model.addAttribute("past", book.past());
        model.addAttribute("plants", stock.plants());
        return "promise/promises";
    }

    @PostMapping
    String make(
            @RequestParam(required = false) String who,
            @RequestParam(required = false) UUID plant,
            @RequestParam(required = false) String plants,
            @RequestParam(required = false) LocalDate due,
            @RequestParam(required = false) String sure,
            RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> {
            promises.make(who, plant, Figures.whole("plants", plants), due, Figures.whole("sure", sure));
            return "Promised.";
        });
    }

    @PostMapping("/{id}/cover")
    String cover(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> promises.drawOnFree(id));
    }

    @PostMapping("/shares/{id}/give")
    String give(@PathVariable UUID id, @RequestParam(required = false) String plants, RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> promises.give(id, Figures.whole("plants", plants)));
    }

    @PostMapping("/shares/{id}/let-go")
    String letGo(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> promises.letGo(id));
    }

    @PostMapping("/{id}/drop")
    String drop(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> promises.drop(id));
    }

    @PostMapping("/{id}/forward")
    String forward(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/promises", () -> promises.forward(id));
    }

    @PostMapping("/{id}/top-up")
    String topUp(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.runAndGo(next, "/promises", () -> {
            PlanView plan = promises.topUp(id);
            return new FormActions.Result(
                    Messages.text(
                            "PromiseController.planned.stick.them.when",
                            "take",
                            plan.start().take()),
                    "/plan/" + plan.id() + "/stick");
        });
    }
}
