package garden.vivarium.app.plan;

import garden.vivarium.app.people.OwnCertainty;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.app.stock.NewKinds;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import jakarta.validation.Valid;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Plan place. */
@Controller
@RequestMapping("/plan")
class PlanController {

    private static final int LONGEST_LINE = 200;

    private final Plans plans;
    private final Ways ways;
    private final PlanPage page;
    private final AimLines lines;
    private final Stock stock;
    private final NewKinds planted;
    private final Says says;
    private final OwnCertainty certainty;

    PlanController(
            Plans plans,
            Ways ways,
            PlanPage page,
            AimLines lines,
            Stock stock,
            NewKinds planted,
            Says says,
            OwnCertainty certainty) {
        this.plans = plans;
        this.ways = ways;
        this.page = page;
        this.lines = lines;
        this.stock = stock;
        this.planted = planted;
        this.says = says;
        this.certainty = certainty;
    }

    @GetMapping
    String plan(
            @Valid @ModelAttribute("form") PlanForm form,
            BindingResult wrong,
            @RequestParam(defaultValue = "ADVICE") Order by,
            @RequestParam(required = false) String line,
            Model model) {
        UnreadableForm.refuse(form, wrong);
        if (line != null && !line.isBlank()) {
            AimLines.Meant meant = lines.meant(cut(line), form.stock());
            model.addAttribute("meant", meant);
            model.addAttribute("isPlantAsked", meant.isUnderstood());
        } else {
            model.addAttribute("isPlantAsked", true);
        }
        boolean asked = form.wanted() != null || form.due() != null;
        if (!asked) {
            model.addAttribute(BindingResult.MODEL_KEY_PREFIX + "form", new BeanPropertyBindingResult(form, "form"));
        }
        model.addAttribute(
                "usualSure", certainty.usual(form.forWhom() != null, form.wanted() == null ? 1 : form.wanted()));
        return answer(form, wrong, asked, by, model);
    }

    @PostMapping
    String commit(
            @Valid @ModelAttribute("form") PlanForm form, BindingResult wrong, Model model, RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                boolean split = form.with() != null && !form.with().isBlank();
                PlanView plan = split ? plans.commitSplit(form) : plans.commit(form);
                certainty.chose(form.forWhom() != null && !form.forWhom().isBlank(), form.wanted(), form.sure());
                if (form.replaces() != null) {
                    next.addFlashAttribute(
                            "said",
                            Messages.text(
                                    "PlanController.plan.changed",
                                    "take",
                                    plan.start().take(),
                                    "on",
                                    says.day(plan.start().on())));
                    return "redirect:/plan#waiting";
                }
                if (split) {
                    next.addFlashAttribute("said", Messages.text("PlanController.both.halves.are.committed.each"));
                    return "redirect:/plan#waiting";
                }
                boolean promised = form.forWhom() != null && !form.forWhom().isBlank();
                next.addFlashAttribute(
                        "said",
                        (promised
                                        ? Messages.text(
                                                "PlanController.plan.committed.promised",
                                                "forWhom",
                                                form.forWhom().strip())
                                        : "Plan committed.")
                                + " Stick it when you are at the bench.");
                return "redirect:/plan/" + plan.id() + "/stick";
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return answer(form, wrong, true, Order.ADVICE, model);
    }

    /** An aim in one line: what is understood stands in the fields, what is not is asked. */
    @GetMapping("/line")
    String line(
            @RequestParam(required = false) String line,
            @RequestParam(required = false) UUID stock,
            RedirectAttributes next) {
        AimLines.Read read = lines.read(cut(line), stock);
        if (!read.asks().isEmpty()) {
            next.addFlashAttribute("asks", read.asks());
        }
        return "redirect:" + read.address();
    }

    /** A kind that the guide knows and that is not in stock: added, and the line is planned with it. */
    @PostMapping("/line/add")
    String add(@RequestParam String line, @RequestParam String kind, RedirectAttributes next) {
        StockPlantView added = planted.add(kind);
        next.addFlashAttribute(
                "said",
                Messages.text(
                        "PlanController.added",
                        "plant",
                        added.plant().name(),
                        "code",
                        added.code(),
                        "place",
                        added.place().name()));
        return "redirect:" + lines.read(cut(line), added.id()).address();
    }

    private static String cut(String line) {
        return line == null ? "" : line.substring(0, Math.min(line.length(), LONGEST_LINE));
    }

    /**
     * What dragging asks for: the chance of the aim with a number taken on a day.
     *
     * @param chance 0 to 1, or null where the question cannot be
     * @param words the same in words, or why not
     */
    record Chance(Double chance, String words) {}

    @GetMapping(path = "/chance", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Chance chance(@Valid @ModelAttribute("form") PlanForm form, BindingResult wrong) {
        Optional<StockPlantView> plant = form.stock() == null ? Optional.empty() : stock.find(form.stock());
        if (wrong.hasErrors() || plant.isEmpty() || form.take() == null) {
            return new Chance(null, "That cannot be reckoned; look at the fields above.");
        }
        try {
            return ways.way(plant.get(), form)
                    .map(row -> row.plan().chance(form.take()))
                    .map(c -> new Chance(c, says.percent(c)))
                    .orElseGet(() -> new Chance(null, "There is no such way."));
        } catch (InvalidField p) {
            return new Chance(null, p.getMessage());
        }
    }

    /** One line a label, for every plan not stuck yet. */
    @GetMapping(path = "/labels", produces = "text/plain;charset=UTF-8")
    @ResponseBody
    String labels() {
        return page.labels();
    }

    @PostMapping("/{id}/drop")
    String drop(@PathVariable UUID id, RedirectAttributes next) {
        next.addFlashAttribute("said", plans.drop(id));
        return "redirect:/plan";
    }

    private String answer(PlanForm form, BindingResult wrong, boolean asked, Order by, Model model) {
        page.fill(form, wrong, asked, by, model);
        return "plan/plan";
    }
}
