package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Deeds;
import garden.vivarium.app.platform.Problem;
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

    @GetMapping
    String page(Model model) {
        model.addAttribute("benches", space.benches());
        return "plan/space";
    }

    @PostMapping("/{place}")
    String holds(@PathVariable UUID place, @RequestParam(required = false) String trays, RedirectAttributes next) {
        return Deeds.tell(next, "/plan/space", () -> {
            stock.holds(place, number(trays));
            return "Written down.";
        });
    }

    private static Double number(String typed) {
        try {
            return typed == null || typed.isBlank()
                    ? null
                    : Double.valueOf(typed.strip().replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new Problem("trays", "“%s” is no number of trays; give one, as 6 or 2.5.".formatted(typed));
        }
    }
}
