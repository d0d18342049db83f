package garden.vivarium.app.plan;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.plan.Advice;
import garden.vivarium.core.plan.DayAsked;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;

/** Puts the Plan page together. */
@Component
class PlanPage {

    private static final int UNCOUNTED = 10;
    private static final int MOST_CUTTABLE = 8;
    private static final List<String> AIM = List.of("stock", "wanted", "perPot", "due", "sure");

    private final Plans plans;
    private final Ways ways;
    private final Offers offers;
    private final Alternatives alternatives;
    private final Obstacles obstacles;
    private final Room room;
    private final Costs costs;
    private final Owed owed;
    private final WhyFirst whyFirst;
    private final Stock stock;
    private final Guide guide;
    private final Today today;

    PlanPage(
            Plans plans,
            Ways ways,
            Offers offers,
            Alternatives alternatives,
            Obstacles obstacles,
            Room room,
            Costs costs,
            Owed owed,
            WhyFirst whyFirst,
            Stock stock,
            Guide guide,
            Today today) {
        this.plans = plans;
        this.ways = ways;
        this.offers = offers;
        this.alternatives = alternatives;
        this.obstacles = obstacles;
        this.room = room;
        this.costs = costs;
        this.owed = owed;
        this.whyFirst = whyFirst;
        this.stock = stock;
        this.guide = guide;
        this.today = today;
    }

    /** All that the page shows in answer to a form: committed plans; ways towards an aim, or what could be made without one. */
    void fill(PlanForm form, BindingResult wrong, boolean asked, Order by, Model model) {
        List<StockPlantView> all = stock.live();
        committed(all, model);
        if (!asked) {
            model.addAttribute("cuttable", cuttable(all));
            model.addAttribute("owed", owed.uncovered());
        }
        model.addAttribute("asked", asked);
        model.addAttribute("untils", DayAsked.values());
        Optional<StockPlantView> plant =
                all.stream().filter(s -> s.id().equals(form.stock())).findFirst();
        if (asked && form.stock() != null && plant.isEmpty()) {
            wrong.rejectValue("stock", "problem", Messages.text("PlanPage.that.stock.plant.is.not"));
        }
        plant.ifPresent(p -> model.addAttribute("plant", p));
        if (!asked) {
            plant.ifPresent(p -> makings(form, p, model));
        } else if (plant.isPresent() && AIM.stream().noneMatch(wrong::hasFieldErrors)) {
            try {
                ways(form, wrong, plant.get(), all, by, model);
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
    }

    /** What could be cut today: rested, growing, and the fullest first. */
    private List<StockPlantView> cuttable(List<StockPlantView> all) {
        LocalDate day = today.date();
        return all.stream()
                .filter(s -> s.mayCut(day, null).isEmpty())
                .filter(s -> s.isLot() || s.regrowth().mayTake(day, false).orElse(0) > 0)
                .sorted(Comparator.comparing(
                        (StockPlantView s) -> -s.regrowth().mayTake(day, false).orElse(0)))
                .limit(MOST_CUTTABLE)
                .toList();
    }

    private void committed(List<StockPlantView> all, Model model) {
        List<PlanView> waiting = plans.waiting();
        model.addAttribute("stock", all);
        model.addAttribute("waiting", waiting);
        model.addAttribute(
                "stockById", all.stream().collect(Collectors.toMap(StockPlantView::id, Function.identity())));
        model.addAttribute(
                "titles",
                waiting.stream()
                        .collect(Collectors.toMap(
                                PlanView::protocol, p -> plans.protocol(p).title(), (one, other) -> other)));
    }

    private void makings(PlanForm form, StockPlantView plant, Model model) {
        boolean believable = form.take() == null || (form.take() >= 1 && form.take() <= Limits.MOST_PIECES);
        int pieces = form.take() != null && believable ? form.take() : usual(plant);
        model.addAttribute("makingRefused", !believable);
        model.addAttribute("makings", ways.makings(plant, pieces));
        model.addAttribute("makingPieces", pieces);
        model.addAttribute("usualPieces", usual(plant));
    }

    private void ways(
            PlanForm form,
            BindingResult wrong,
            StockPlantView plant,
            List<StockPlantView> live,
            Order by,
            Model model) {
        List<WayRow> found = ways.ways(plant, form, by);
        Advice<WayRow> advice = Advice.folded(found, WayRow::advised);
        model.addAttribute("ways", found);
        model.addAttribute("open", advice.open());
        model.addAttribute("folded", advice.folded());
        model.addAttribute("isFoldedChosen", advice.folded().stream().anyMatch(WayRow::chosen));
        model.addAttribute("isMoreAsked", form.have() != null);
        model.addAttribute("never", offers.refused(plant.plant()));
        if (!found.isEmpty()) {
            if (by == Order.ADVICE) {
                model.addAttribute("whyFirst", whyFirst.why(plant, found));
            }
            model.addAttribute("pace", ways.pace(plant).orElse(null));
        }
        model.addAttribute("costs", costs.costs(found));
        model.addAttribute("by", by);
        model.addAttribute("orders", Order.values());
        model.addAttribute("young", ways.isNurseryYoung());
        found.stream().filter(WayRow::chosen).findFirst().ifPresent(row -> {
            chosen(form, wrong, plant, row, model);
            Optional<CannotBeDone> cannot = alternatives.of(plant, form, row, found, live);
            model.addAttribute("cannot", cannot.orElse(null));
            model.addAttribute("isMoreAsked", cannot.isPresent() || form.have() != null);
            model.addAttribute("stopped", cannot.map(CannotBeDone::stops).orElse(false));
        });
    }

    private void chosen(PlanForm form, BindingResult wrong, StockPlantView plant, WayRow row, Model model) {
        model.addAttribute("chosen", row);
        model.addAttribute(
                "chosenSort",
                guide.sortOf(row.protocol().method(), plant.plant().group()).words());
        model.addAttribute(
                "startOrTake",
                StartOrTake.of(
                        form,
                        row,
                        ways.borne(plant, row.protocol()).stream()
                                .boxed()
                                .findFirst()
                                .orElse(null),
                        today.date()));
        if (form.with() != null && !form.with().isBlank()) {
            split(form, wrong, plant, model);
        }
        List<String> warnings = new ArrayList<>();
        // What cannot be done needs no warning beside.
        if (row.isFeasible()) {
            warnings.addAll(obstacles.warnings(plant, row));
            room.doesNotFit(plant, row, form.replaces()).ifPresent(warnings::add);
        }
        model.addAttribute("warnings", warnings);
        boolean needsWord = obstacles.needsWord(plant, row);
        model.addAttribute("needsWord", needsWord);
        model.addAttribute("isWordAsked", needsWord || form.have() != null);
        model.addAttribute("cautions", guide.cautions(plant.plant().grown(), row.protocol()));
    }

    private void split(PlanForm form, BindingResult wrong, StockPlantView plant, Model model) {
        try {
            Optional<Split> split = ways.split(plant, form);
            split.ifPresent(s -> model.addAttribute("split", s));
            if (split.isEmpty()) {
                wrong.rejectValue(
                        "with", "problem", Messages.text("PlanPage.no.split.these.two", "code", plant.code()));
            }
        } catch (InvalidField p) {
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

    /** One line a label, for every plan not stuck yet: what is to be written before the work begins. */
    @Transactional(readOnly = true)
    String labels() {
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        return plans.waiting().stream()
                .map(p -> Messages.text(
                        "PlanPage.pieces",
                        "name",
                        parents.get(p.stockPlantId()).plant().name(),
                        "on",
                        p.start().on(),
                        "title",
                        plans.protocol(p).title(),
                        "take",
                        p.start().take()))
                .collect(Collectors.joining("\n", "", "\n"));
    }
}
