package garden.vivarium.app.needs;

import garden.vivarium.app.people.Money;
import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import java.util.Currency;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Materials and the shopping list, within the Plan place. */
@Controller
@RequestMapping("/plan/materials")
class StoresController {

    private final Stores stores;
    private final Money money;

    StoresController(Stores stores, Money money) {
        this.stores = stores;
        this.money = money;
    }

    @GetMapping
    String page(Model model) {
        List<Stores.Row> rows = stores.rows();
        model.addAttribute("rows", rows);
        model.addAttribute("currencies", Money.currencies());
        model.addAttribute(
                "currency", money.currency().map(Currency::getCurrencyCode).orElse(""));
        model.addAttribute("missing", rows.stream().filter(r -> r.missing() > 0).count());
        model.addAttribute(
                "cost",
                rows.stream()
                        .filter(r -> r.cost() != null)
                        .mapToDouble(Stores.Row::cost)
                        .sum());
        return "needs/materials";
    }

    @PostMapping
    String keep(
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String there,
            @RequestParam(required = false) String pack,
            @RequestParam(required = false) String price,
            @RequestParam(required = false) String recipe,
            RedirectAttributes next) {
        return FormActions.run(
                next,
                "/plan/materials",
                () -> stores.keep(
                        name,
                        Figures.decimal("there", there),
                        Figures.decimal("pack", pack),
                        Figures.decimal("price", price),
                        recipe));
    }

    @PostMapping("/currency")
    String currency(@RequestParam(required = false) String currency, RedirectAttributes next) {
        return FormActions.run(next, "/plan/materials", () -> {
            money.keepIn(currency);
            return Messages.text("StoresController.prices.in", "currency", currency == null ? "none" : currency);
        });
    }
}
