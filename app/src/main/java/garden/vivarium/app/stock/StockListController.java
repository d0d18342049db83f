package garden.vivarium.app.stock;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.timing.Climate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Several stock plants written down at once. */
@Controller
@RequestMapping("/stock/several")
class StockListController {

    private static final int LONGEST = 8000;

    private final StockList list;
    private final Stock stock;

    StockListController(StockList list, Stock stock) {
        this.list = list;
        this.stock = stock;
    }

    @GetMapping
    String blank(Model model) {
        return page(model, "", "", Climate.HEATED);
    }

    @PostMapping
    String add(
            @RequestParam(name = "list", required = false) String typed,
            @RequestParam(required = false) String place,
            @RequestParam(defaultValue = "HEATED") Climate climate,
            Model model,
            RedirectAttributes next) {
        String text = typed == null ? "" : typed.substring(0, Math.min(typed.length(), LONGEST));
        try {
            StockList.Outcome outcome = list.add(text, place, climate);
            String said = Messages.text(
                    "StockList.added",
                    "plants",
                    outcome.added().size(),
                    "codes",
                    outcome.added().stream().map(StockPlantView::code).collect(Collectors.joining(", ")));
            if (outcome.left().isEmpty()) {
                next.addFlashAttribute("said", said);
                return "redirect:/stock";
            }
            model.addAttribute("said", said);
            model.addAttribute("left", outcome.left());
            return page(
                    model,
                    outcome.left().stream().map(StockList.Asked::line).collect(Collectors.joining("\n")),
                    place,
                    climate);
        } catch (InvalidField wrong) {
            model.addAttribute("wrong", wrong);
            model.addAttribute("wrongWords", wrong.getMessage());
            return page(model, text, place, climate);
        }
    }

    private String page(Model model, String typed, String place, Climate climate) {
        model.addAttribute("typed", typed);
        model.addAttribute("place", place);
        model.addAttribute("climate", climate);
        model.addAttribute("climates", Climate.values());
        model.addAttribute("places", stock.places());
        return "stock/several";
    }
}
