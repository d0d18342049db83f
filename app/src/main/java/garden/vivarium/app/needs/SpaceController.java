package garden.vivarium.app.needs;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What stands where and when, within the Plan place. */
@Controller
@RequestMapping("/plan/space")
class SpaceController {

    private final Space space;
    private final Stock stock;

    SpaceController(Space space, Stock stock) {
        this.space = space;
        this.stock = stock;
    }

    /** All places; of one, all that stands there. */
    @GetMapping
    String page(@RequestParam(required = false) UUID place, Model model) {
        model.addAttribute("benches", space.benches());
        model.addAttribute("whole", place);
        return "needs/space";
    }

    @PostMapping("/{place}")
    String holds(@PathVariable UUID place, @RequestParam(required = false) String trays, RedirectAttributes next) {
        return FormActions.run(next, "/plan/space", () -> {
            stock.holds(place, Figures.decimal("trays", trays));
            return Messages.text("SpaceController.written.down");
        });
    }
}
