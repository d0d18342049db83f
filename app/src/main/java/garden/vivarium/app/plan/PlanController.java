package garden.vivarium.app.plan;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Unreadable;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
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

    private static final int UNCOUNTED = 10;

    private final Plans plans;
    private final Ways ways;
    private final Obstacles obstacles;
    private final Space space;
    private final Stores stores;
    private final Stock stock;
    private final Protocols protocols;
    private final Guide guide;
    private final Says says;
    private final Today today;

    PlanController(
            Plans plans,
            Ways ways,
            Obstacles obstacles,
            Space space,
            Stores stores,
            Stock stock,
            Protocols protocols,
            Guide guide,
            Says says,
            Today today) {
        this.plans = plans;
        this.ways = ways;
        this.obstacles = obstacles;
        this.space = space;
        this.stores = stores;
        this.stock = stock;
        this.protocols = protocols;
        this.guide = guide;
        this.says = says;
        this.today = today;
    }

    @GetMapping
    String plan(
            @Valid @ModelAttribute("form") PlanForm form,
            BindingResult wrong,
            @RequestParam(defaultValue = "FEWEST") Order by,
            Model model) {
        Unreadable.refuse(form, wrong);
        boolean asked = form.wanted() != null || form.due() != null;
        if (!asked) {
            model.addAttribute(BindingResult.MODEL_KEY_PREFIX + "form", new BeanPropertyBindingResult(form, "form"));
        }
        return answer(form, wrong, asked, by, model);
    }

    @PostMapping
    String commit(
            @Valid @ModelAttribute("form") PlanForm form, BindingResult wrong, Model model, RedirectAttributes next) {
        Unreadable.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                boolean split = form.with() != null && !form.with().isBlank();
                PlanView plan = split ? plans.commitSplit(form) : plans.commit(form);
                if (form.replaces() != null) {
                    next.addFlashAttribute(
                            "said", "The plan is changed: %d on %s.".formatted(plan.take(), says.day(plan.startOn())));
                    return "redirect:/plan#waiting";
                }
                if (split) {
                    next.addFlashAttribute("said", "Both halves are committed; each starts on its own day.");
                    return "redirect:/plan#waiting";
                }
                boolean promised = form.forWhom() != null && !form.forWhom().isBlank();
                next.addFlashAttribute(
                        "said",
                        (promised
                                        ? "Plan committed, and promised to %s."
                                                .formatted(form.forWhom().strip())
                                        : "Plan committed.")
                                + " Stick it when you are at the bench.");
                return "redirect:/plan/" + plan.id() + "/stick";
            } catch (Problem p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return answer(form, wrong, true, Order.FEWEST, model);
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
        } catch (Problem p) {
            return new Chance(null, p.getMessage());
        }
    }

    @GetMapping("/{id}/stick")
    String stickForm(@PathVariable UUID id, Model model) {
        PlanView plan = plans.find(id);
        if (plan.state() == PlanState.STUCK) {
            return "redirect:/batches/" + plan.batchCode();
        }
        if (plan.state() == PlanState.DROPPED) {
            return "redirect:/plan";
        }
        StockPlantView plant = stock.find(plan.stockPlantId()).orElseThrow();
        model.addAttribute("form", StickForm.of(plan, plant, plans.protocol(plan), today.date()));
        return showStick(plan, plant, model);
    }

    @PostMapping("/{id}/stick")
    String stick(
            @PathVariable UUID id,
            @Valid @ModelAttribute("form") StickForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        Unreadable.refuse(form, wrong);
        PlanView plan = plans.find(id);
        StockPlantView plant = stock.find(plan.stockPlantId()).orElseThrow();
        if (!form.later() && form.stuckOn() == null) {
            wrong.rejectValue("stuckOn", "problem", "Say when they were stuck, or that they dry first.");
        }
        if (guide.medium(form.medium() == null ? "" : form.medium()).isEmpty()) {
            wrong.rejectValue("medium", "problem", "That medium is not in the guide; choose one from the list.");
        }
        if (!wrong.hasErrors()) {
            try {
                var where = stock.placeNamed(form.place(), Climate.HEATED);
                BatchView batch = plans.stick(id, form.batch(plan, plant, where, plans.protocol(plan)));
                next.addFlashAttribute("said", "Write the label now: " + batch.label());
                return "redirect:/batches/" + batch.code();
            } catch (Problem p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return showStick(plan, plant, model);
    }

    /** One line a label, for every plan not stuck yet: what is to be written before the work begins. */
    @GetMapping(path = "/labels", produces = "text/plain;charset=UTF-8")
    @ResponseBody
    String labels() {
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        return plans.waiting().stream()
                .map(p -> "%s · %s · %s · %d pieces"
                        .formatted(
                                parents.get(p.stockPlantId()).plant().name(),
                                p.startOn(),
                                plans.protocol(p).title(),
                                p.take()))
                .collect(Collectors.joining("\n", "", "\n"));
    }

    @PostMapping("/{id}/drop")
    String drop(@PathVariable UUID id, RedirectAttributes next) {
        next.addFlashAttribute("said", plans.drop(id));
        return "redirect:/plan";
    }

    private String answer(PlanForm form, BindingResult wrong, boolean asked, Order by, Model model) {
        List<StockPlantView> all = stock.live();
        model.addAttribute("stock", all);
        model.addAttribute("asked", asked);
        model.addAttribute("waiting", plans.waiting());
        model.addAttribute(
                "stockById", all.stream().collect(Collectors.toMap(StockPlantView::id, Function.identity())));
        Map<String, String> titles = new HashMap<>();
        plans.waiting().forEach(p -> titles.put(p.protocol(), plans.protocol(p).title()));
        model.addAttribute("titles", titles);
        Optional<StockPlantView> plant =
                all.stream().filter(s -> s.id().equals(form.stock())).findFirst();
        if (asked && form.stock() != null && plant.isEmpty()) {
            wrong.rejectValue("stock", "problem", "That stock plant is not here; choose one from the list.");
        }
        if (!asked && plant.isPresent()) {
            boolean believable = form.take() == null || (form.take() >= 1 && form.take() <= Batches.MOST_PIECES);
            int pieces = form.take() != null && believable ? form.take() : usual(plant.get());
            model.addAttribute("makingRefused", !believable);
            model.addAttribute("plant", plant.get());
            model.addAttribute("makings", ways.makings(plant.get(), pieces));
            model.addAttribute("makingPieces", pieces);
            model.addAttribute("usualPieces", usual(plant.get()));
        }
        boolean typedWell =
                List.of("stock", "wanted", "perPot", "due", "sure").stream().noneMatch(wrong::hasFieldErrors);
        if (asked && plant.isPresent() && typedWell) {
            try {
                List<WayRow> found = ways.ways(plant.get(), form, by);
                model.addAttribute("plant", plant.get());
                model.addAttribute("ways", found);
                model.addAttribute("costs", stores.costs(found));
                model.addAttribute("by", by);
                model.addAttribute("orders", Order.values());
                model.addAttribute("young", ways.isNurseryYoung());
                found.stream().filter(WayRow::chosen).findFirst().ifPresent(row -> {
                    model.addAttribute("chosen", row);
                    model.addAttribute(
                            "startOrTake", StartOrTake.of(form, row, plant.get().piecesNow(), today.date()));
                    if (form.with() != null && !form.with().isBlank()) {
                        splitInto(form, wrong, plant.get(), model);
                    }
                    List<String> warnings = new ArrayList<>(obstacles.warnings(plant.get(), row));
                    space.doesNotFit(plant.get(), row, form.replaces()).ifPresent(warnings::add);
                    model.addAttribute("warnings", warnings);
                    model.addAttribute("needsWord", obstacles.needsWord(plant.get(), row));
                    model.addAttribute(
                            "cautions", guide.cautions(plant.get().plant().group(), row.protocol()));
                });
            } catch (Problem p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return "plan/plan";
    }

    private void splitInto(PlanForm form, BindingResult wrong, StockPlantView plant, Model model) {
        try {
            Optional<Split> split = ways.split(plant, form);
            split.ifPresent(s -> model.addAttribute("split", s));
            if (split.isEmpty()) {
                wrong.rejectValue(
                        "with",
                        "problem",
                        "No split of these two would do with what %s bears.".formatted(plant.code()));
            }
        } catch (Problem p) {
            wrong.rejectValue(p.field(), "problem", p.getMessage());
        }
    }

    /** What may be taken of a plant at once or, where nobody has counted, ten pieces to reckon with. */
    private int usual(StockPlantView plant) {
        int bears = plant.piecesNow() == null ? UNCOUNTED : plant.piecesNow();
        return Math.max(
                1,
                plant.isLot()
                        ? bears
                        : plant.regrowth().mayTake(today.date(), false).orElse(bears));
    }

    private String showStick(PlanView plan, StockPlantView plant, Model model) {
        Protocol protocol = plans.protocol(plan);
        Set<String> treatments = new LinkedHashSet<>(protocol.treatment());
        treatments.addAll(StickForm.TREATMENTS);
        model.addAttribute("plan", plan);
        model.addAttribute("plant", plant);
        model.addAttribute("protocol", protocol);
        model.addAttribute("treatments", treatments);
        model.addAttribute("media", guide.media());
        model.addAttribute("states", StockState.values());
        model.addAttribute("places", stock.places());
        model.addAttribute("cautions", guide.cautions(plant.plant().group(), protocol));
        return "plan/stick";
    }
}
