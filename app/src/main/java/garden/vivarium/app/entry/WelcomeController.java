package garden.vivarium.app.entry;

import garden.vivarium.app.people.Money;
import garden.vivarium.app.people.OwnUnits;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The first hour of a nursery: where it is, its places, and what is here. Each step can be left out. */
@Controller
@RequestMapping("/welcome")
class WelcomeController {

    private static final int ROWS = 6;

    private final People people;
    private final Money money;
    private final OwnUnits units;
    private final Stock stock;

    WelcomeController(People people, Money money, OwnUnits units, Stock stock) {
        this.people = people;
        this.money = money;
        this.units = units;
        this.stock = stock;
    }

    @GetMapping
    String page(@RequestParam(defaultValue = "1") int step, Model model) {
        model.addAttribute("step", Math.max(1, Math.min(3, step)));
        model.addAttribute("zone", people.zone());
        model.addAttribute("zones", People.zones());
        model.addAttribute("hemisphere", people.hemisphere());
        model.addAttribute(
                "currency", money.currency().map(c -> c.getCurrencyCode()).orElse(""));
        model.addAttribute("currencies", Money.currencies());
        model.addAttribute("systems", UnitSystem.values());
        model.addAttribute("known", stock.places());
        model.addAttribute("climates", Climate.values());
        model.addAttribute("usualClimate", Climate.HEATED);
        model.addAttribute("rows", ROWS);
        return "entry/welcome";
    }

    @PostMapping("/where")
    String where(
            @RequestParam String zone,
            @RequestParam Hemisphere hemisphere,
            @RequestParam(required = false) String currency,
            @RequestParam UnitSystem units,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next) {
        String back = FormActions.run(next, "/welcome?step=2", () -> {
            people.isAt(zone, hemisphere, currency);
            this.units.choose(units, request, response);
            return Messages.text("WelcomeController.that.is.where.you.are");
        });
        return next.getFlashAttributes().containsKey("said") ? back : "redirect:/welcome?step=1";
    }

    @PostMapping("/places")
    String places(
            @RequestParam(defaultValue = "") List<String> name,
            @RequestParam(defaultValue = "") List<Climate> climate,
            @RequestParam(defaultValue = "") List<String> trays,
            RedirectAttributes next) {
        int made = 0;
        try {
            for (int i = 0; i < name.size(); i++) {
                String place = name.get(i) == null ? "" : name.get(i).strip();
                if (!place.isEmpty() && stock.places().stream().noneMatch(p -> stock.isSamePlant(p.name(), place))) {
                    stock.makePlace(
                            place.substring(0, Math.min(80, place.length())),
                            i < climate.size() ? climate.get(i) : Climate.values()[0],
                            room(i < trays.size() ? trays.get(i) : ""),
                            null);
                    made++;
                }
            }
        } catch (InvalidField p) {
            next.addFlashAttribute("refused", p.getMessage());
            return "redirect:/welcome?step=2";
        }
        next.addFlashAttribute("said", Messages.text("WelcomeController.places", "made", made));
        return "redirect:/welcome?step=3";
    }

    private static Double room(String trays) {
        if (trays == null || trays.isBlank()) {
            return null;
        }
        try {
            double room = Double.parseDouble(trays.strip());
            if (room > 0 && room <= 10_000) {
                return room;
            }
        } catch (NumberFormatException notOne) {
            // Said below, as for a number that cannot be.
        }
        throw new InvalidField("trays", Messages.text("Stock.place.holds.more.than"));
    }

    @PostMapping("/done")
    String done() {
        people.settleIn();
        return "redirect:/round";
    }
}
