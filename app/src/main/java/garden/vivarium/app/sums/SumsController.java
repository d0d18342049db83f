package garden.vivarium.app.sums;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.measure.Mix;
import garden.vivarium.core.measure.Pot;
import garden.vivarium.core.measure.Unit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The sums at the bench, each on a page whose address holds what was typed. */
@Controller
@RequestMapping("/sums")
class SumsController {

    private static final Set<String> NOT_ASKED = Set.of("batch", "once", "_csrf");

    private final Sums sums;
    private final Recipes recipes;
    private final BatchBook batches;
    private final CareBook care;
    private final Today today;
    private final Measures measures;

    SumsController(Sums sums, Recipes recipes, BatchBook batches, CareBook care, Today today, Measures measures) {
        this.sums = sums;
        this.recipes = recipes;
        this.batches = batches;
        this.care = care;
        this.today = today;
        this.measures = measures;
    }

    @GetMapping
    String start() {
        return "redirect:/sums/mix";
    }

    @GetMapping("/mix")
    String mix(@RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("shapes", Sums.Shape.values());
        List<RecipeView> all = recipes.all();
        model.addAttribute("recipes", all);
        model.addAttribute(
                "newest",
                all.stream()
                        .collect(Collectors.toMap(RecipeView::name, r -> r, (newer, older) -> newer))
                        .values());
        return page("mix", "mix", typed, () -> sums.mix(new Typed(typed)), model);
    }

    @GetMapping("/dilute")
    String dilute(@RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("ways", Sums.By.values());
        model.addAttribute("units", Sums.volumes());
        model.addAttribute("strengths", Unit.all(Unit.Kind.CONCENTRATION));
        return page("dilute", "total", typed, () -> sums.dilution(new Typed(typed)), model);
    }

    @GetMapping("/feed")
    String feed(@RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("units", Sums.volumes());
        return page("feed", "n", typed, () -> sums.feed(new Typed(typed)), model);
    }

    @GetMapping("/air")
    String air(@RequestParam Map<String, String> typed, Model model) {
        return page("air", "warmth", typed, () -> sums.air(new Typed(typed)), model);
    }

    private String page(String kind, String asked, Map<String, String> typed, Supplier<Object> sum, Model model) {
        Map<String, String> form = new Typed(typed).shown(measures);
        model.addAttribute("kind", kind);
        model.addAttribute("f", form);
        model.addAttribute("unit", form.getOrDefault("unit", Unit.LITRE.name()));
        model.addAttribute("by", form.getOrDefault("by", Sums.By.PARTS.name()));
        model.addAttribute("kept", asked(form));
        model.addAttribute("howStrong", Sums.Strength.values());
        model.addAttribute("more", Sums.isOfMore(new Typed(typed)));
        model.addAttribute("batchCode", form.getOrDefault("batch", ""));
        if (new Typed(typed).isAsked(asked)) {
            try {
                model.addAttribute("a", sum.get());
            } catch (InvalidField wrong) {
                model.addAttribute("wrong", wrong);
                model.addAttribute("why", wrong.getMessage());
            }
        }
        return "sums/" + kind;
    }

    /** What was typed, without what belongs to the form that keeps it. */
    private static Map<String, String> asked(Map<String, String> form) {
        Map<String, String> asked = new TreeMap<>(form);
        asked.keySet().removeAll(NOT_ASKED);
        return asked;
    }

    @PostMapping("/{kind}/keep")
    String keep(
            @PathVariable String kind,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) String batch,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/sums/" + (kind.matches("mix|dilute|feed") ? kind : "mix"), () -> {
            String line = sums.line(kind, typed);
            BatchView with = batches.ofCodes(List.of(batch == null ? "" : batch.strip())).stream()
                    .findFirst()
                    .orElseThrow(() -> new InvalidField(
                            "batch", Messages.text("Reminders.no.such", "code", String.valueOf(batch))))
                    .batch();
            care.log(
                    kind.equals("feed") ? CareAct.FED : CareAct.OTHER,
                    line,
                    List.of(new Subject(Subject.Kind.BATCH, with.id(), with.code(), with.placeId())),
                    today.date(),
                    null);
            return new FormActions.Result(
                    Messages.text("Sums.kept", "code", with.code(), "line", line), "/batches/" + with.code());
        });
    }

    @PostMapping("/mix/recipe")
    String keepRecipe(
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String mix,
            @RequestParam(required = false) String settling,
            @RequestParam(required = false) String note,
            RedirectAttributes next) {
        return FormActions.run(next, "/sums/mix", () -> {
            if (mix == null) {
                throw new InvalidField("mix", Messages.text("Sums.no.mix"));
            }
            double sinks = new Typed(Map.of("settling", settling == null ? "" : settling))
                    .number("settling", Pot.SETTLING, 1, 2);
            try {
                RecipeView kept = recipes.keep(name, Mix.read(mix), sinks, note);
                return Messages.text("Recipes.kept", "title", kept.title(), "parts", kept.parts());
            } catch (InvalidField e) {
                throw e;
            } catch (UnknownWord e) {
                throw new InvalidField(
                        "mix", Messages.text(e.fault().rule().key(), e.fault().figures()));
            } catch (IllegalArgumentException e) {
                throw new InvalidField("mix", e.getMessage());
            }
        });
    }

    @PostMapping("/mix/recipe/drop")
    String dropRecipe(@RequestParam(required = false) String name, RedirectAttributes next) {
        return FormActions.run(next, "/sums/mix", () -> {
            recipes.drop(name);
            return Messages.text("Recipes.dropped", "name", name);
        });
    }
}
