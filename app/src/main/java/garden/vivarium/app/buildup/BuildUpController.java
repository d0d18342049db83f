package garden.vivarium.app.buildup;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import jakarta.validation.Valid;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMapping;

/** Building up over generations, within the Plan place. */
@Controller
@RequestMapping("/plan/build-up")
class BuildUpController {

    private final BuildUps buildUps;
    private final Stock stock;

    private final Today today;

    BuildUpController(BuildUps buildUps, Stock stock, Today today) {
        this.buildUps = buildUps;
        this.stock = stock;
        this.today = today;
    }

    @GetMapping
    String page(@Valid @ModelAttribute("form") BuildUpForm form, BindingResult wrong, Model model) {
        UnreadableForm.refuse(form, wrong);
        model.addAttribute(
                "stock", stock.live().stream().filter(s -> !s.isLot()).toList());
        Optional<StockPlantView> plant = form.stock() == null ? Optional.empty() : stock.find(form.stock());
        boolean asked = form.wanted() != null || form.due() != null;
        if (!asked) {
            model.addAttribute(BindingResult.MODEL_KEY_PREFIX + "form", new BeanPropertyBindingResult(form, "form"));
        } else if (form.stock() != null && plant.isEmpty()) {
            wrong.rejectValue("stock", "problem", Messages.text("BuildUpController.that.stock.plant.is.not"));
        }
        plant.ifPresent(p -> {
            model.addAttribute("plant", p);
            model.addAttribute("ways", buildUps.ways(p));
            model.addAttribute("mothers", buildUps.mothers(p));
            model.addAttribute("flush", buildUps.flush(p));
            model.addAttribute("grow", buildUps.grow(p));
            if (asked && !wrong.hasErrors()) {
                try {
                    BuildUps.Answer answer = buildUps.reckon(p, form);
                    model.addAttribute("answer", answer);
                    model.addAttribute(
                            "withoutBy",
                            answer.without().middle().map(d -> today.date().plusDays(d)));
                } catch (InvalidField problem) {
                    wrong.rejectValue(problem.field(), "problem", problem.getMessage());
                }
            }
        });
        return "buildup/build-up";
    }
}
