package garden.vivarium.app.plan;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.Valid;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.StringUtils;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Sticking a committed plan, within the Plan place. */
@Controller
@RequestMapping("/plan")
class StickController {

    private static final int MOST_BEFORE = 5;

    private final Plans plans;
    private final Sticking sticking;
    private final OwnWays own;
    private final Stock stock;
    private final Guide guide;
    private final Today today;

    StickController(Plans plans, Sticking sticking, OwnWays own, Stock stock, Guide guide, Today today) {
        this.plans = plans;
        this.sticking = sticking;
        this.own = own;
        this.stock = stock;
        this.guide = guide;
        this.today = today;
    }

    @GetMapping("/{id}/stick")
    String stickForm(@PathVariable UUID id, Model model) {
        PlanView plan = plans.find(id);
        if (plan.standing().state() == PlanState.STUCK) {
            return "redirect:/batches/" + plan.standing().batchCode();
        }
        if (plan.standing().state() == PlanState.DROPPED) {
            return "redirect:/plan";
        }
        StockPlantView plant = stock.find(plan.stockPlantId()).orElseThrow();
        model.addAttribute(
                "form",
                StickForm.of(
                        plan,
                        plant,
                        plans.protocol(plan),
                        isDivision(plans.protocol(plan))
                                ? guide.each(
                                        plant.plant().grown(),
                                        plans.protocol(plan).method())
                                : null,
                        today.date()));
        return showStick(plan, plant, model);
    }

    @PostMapping("/{id}/stick")
    String stick(
            @PathVariable UUID id,
            @Valid @ModelAttribute("form") StickForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        PlanView plan = plans.find(id);
        StockPlantView plant = stock.find(plan.stockPlantId()).orElseThrow();
        if (!form.set().later() && form.set().stuckOn() == null) {
            wrong.rejectValue("set.stuckOn", "problem", Messages.text("StickController.say.when.they.were.stuck"));
        }
        if (!wrong.hasErrors()) {
            try {
                BatchView batch = sticking.stick(id, form);
                next.addFlashAttribute("said", "Write the label now: " + batch.label());
                return "redirect:/batches/" + batch.code();
            } catch (InvalidField p) {
                FieldPath.reject(wrong, StickForm.class, p);
            }
        }
        return showStick(plan, plant, model);
    }

    /**
     * The treatments that are offered.
     *
     * @param usual by this way: as the protocol says, and as the nursery has done it
     * @param others all others that the guide or the nursery names
     */
    record Treatments(List<String> usual, List<String> others) {

        static Treatments of(Protocol protocol, List<String> before, List<String> chosen) {
            Set<String> usual =
                    new LinkedHashSet<>(protocol.technique().treatment().eachWritten());
            usual.addAll(before.subList(0, Math.min(MOST_BEFORE, before.size())));
            usual.addAll(chosen);
            Set<String> others = new LinkedHashSet<>(before);
            others.addAll(StickForm.TREATMENTS);
            others.removeAll(usual);
            return new Treatments(List.copyOf(usual), List.copyOf(others));
        }
    }

    private String showStick(PlanView plan, StockPlantView plant, Model model) {
        Protocol protocol = plans.protocol(plan);
        List<String> chosen = model.getAttribute("form") instanceof StickForm form
                ? form.done().treatment()
                : List.of();
        model.addAttribute("plan", plan);
        model.addAttribute("plant", plant);
        model.addAttribute(
                "eachOf",
                isDivision(protocol)
                        ? Messages.text(
                                "StickController.each",
                                "sort",
                                StringUtils.capitalize(guide.sortOf(
                                                protocol.method(), plant.plant().group())
                                        .words()))
                        : null);
        model.addAttribute("protocol", guide.fitted(protocol, plant.plant().grown()));
        model.addAttribute("treatments", Treatments.of(protocol, own.treatments(protocol.method()), chosen));
        model.addAttribute("media", own.media());
        model.addAttribute("states", StockState.values());
        model.addAttribute("places", stock.places());
        model.addAttribute("cautions", guide.cautions(plant.plant().grown(), protocol));
        return "plan/stick";
    }

    /** Whether a piece takes several growths, crowns or bulbs with it. */
    private boolean isDivision(Protocol protocol) {
        return guide.method(protocol.method()).orElseThrow().family().equals("division");
    }
}
