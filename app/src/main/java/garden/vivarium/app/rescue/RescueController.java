package garden.vivarium.app.rescue;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Section;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A plant that must not be lost, within the Plan place. */
@Controller
@RequestMapping("/plan/rescue")
class RescueController {

    private final Rescues rescues;
    private final Stock stock;
    private final Guide guide;

    RescueController(Rescues rescues, Stock stock, Guide guide) {
        this.rescues = rescues;
        this.stock = stock;
        this.guide = guide;
    }

    @GetMapping
    String page(
            @RequestParam(name = "stock", required = false) UUID id,
            @RequestParam Map<String, String> typed,
            Model model) {
        model.addAttribute("all", stock.live());
        model.addAttribute("typed", typed);
        Optional<StockPlantView> plant = id == null ? Optional.empty() : stock.find(id);
        plant.ifPresent(p -> {
            List<Section> sections = rescues.sections(p);
            model.addAttribute("plant", p);
            model.addAttribute("sections", sections);
            model.addAttribute("cautions", guide.cautions(p.plant().grown()));
            if (sections.stream().anyMatch(s -> typed.containsKey(s.name()))) {
                try {
                    model.addAttribute(
                            "choices",
                            rescues.choices(p, counts(sections, typed), number(typed, "alone"), number(typed, "cut")));
                } catch (InvalidField wrong) {
                    model.addAttribute("wrong", wrong);
                    model.addAttribute("why", wrong.getMessage());
                }
            }
        });
        return "rescue/rescue";
    }

    @PostMapping
    String commit(
            @RequestParam(name = "stock") UUID id,
            @RequestParam int choice,
            @RequestParam Map<String, String> typed,
            RedirectAttributes next) {
        return FormActions.run(next, "/plan#waiting", () -> {
            StockPlantView plant = stock.find(id)
                    .orElseThrow(() -> new InvalidField("stock", Messages.text("Plans.stock.plant.not.here")));
            List<Rescues.Choice> choices = rescues.choices(
                    plant, counts(rescues.sections(plant), typed), number(typed, "alone"), number(typed, "cut"));
            if (choice < 0 || choice >= choices.size()) {
                throw new InvalidField("choice", Messages.text("RescueController.choose.one.ways.shown"));
            }
            int made = rescues.commit(plant, choices.get(choice).rescue());
            return made == 1 ? "A plan is committed, to stick today." : made + " plans are committed, to stick today.";
        });
    }

    private static Map<Section, Integer> counts(List<Section> sections, Map<String, String> typed) {
        Map<Section, Integer> counts = new EnumMap<>(Section.class);
        sections.forEach(s -> counts.put(s, number(typed, s.name())));
        return counts;
    }

    /** What is typed into a field; nothing is none. */
    private static int number(Map<String, String> typed, String field) {
        Integer number = Figures.whole(field, typed.get(field));
        return number == null ? 0 : number;
    }
}
