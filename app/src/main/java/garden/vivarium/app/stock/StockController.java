package garden.vivarium.app.stock;

import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.SamePlants;
import garden.vivarium.core.naming.NameReading;
import garden.vivarium.core.timing.Climate;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Stock place. */
@Controller
@RequestMapping("/stock")
class StockController {

    private final Stock stock;
    private final Guide guide;
    private final Sorts sorts;
    private final KindsCalled called;

    StockController(Stock stock, Guide guide, Sorts sorts, KindsCalled called) {
        this.stock = stock;
        this.guide = guide;
        this.sorts = sorts;
        this.called = called;
    }

    @ModelAttribute("guide")
    Guide guide() {
        return guide;
    }

    @ModelAttribute("states")
    StockState[] states() {
        return StockState.values();
    }

    @ModelAttribute("kinds")
    StockKind[] kinds() {
        return StockKind.values();
    }

    @ModelAttribute("climates")
    Climate[] climates() {
        return Climate.values();
    }

    @ModelAttribute("protections")
    Protection[] protections() {
        return Protection.values();
    }

    @ModelAttribute("places")
    List<PlaceView> places() {
        return stock.places();
    }

    /** Kinds that the plant of a form may be: its own, and those that its name may mean. */
    private List<KindChoice> choices(StockPlantForm form) {
        String name = form.name().plant() == null ? "" : form.name().plant();
        return Stream.concat(guide.kind(form.name().kind()).stream(), called.read(name).meanings().stream())
                .distinct()
                .map(KindChoice::of)
                .toList();
    }

    /** The form with a kind that was typed by its name instead of chosen. */
    private StockPlantForm withKind(StockPlantForm form, String other) {
        if (other == null || other.isBlank()) {
            return form;
        }
        NameReading<PlantKind> read = called.read(other);
        return form.ofKind(read.taken()
                .map(PlantKind::key)
                .orElseThrow(() -> new InvalidField(
                        "kind",
                        read.meanings().isEmpty()
                                ? Messages.text("Plants.unknown.kind", "name", other)
                                : Messages.text("Plants.which.kind", "name", other, "kinds", Plants.offered(read)))));
    }

    @GetMapping
    String list(Model model) {
        model.addAttribute("stock", stock.all());
        model.addAttribute(
                "same",
                SamePlants.among(
                        guide, stock.plants().stream().map(PlantView::called).toList()));
        return "stock/list";
    }

    @GetMapping("/new")
    String blank(
            @RequestParam(required = false) StockKind kind, @RequestParam(required = false) String name, Model model) {
        StockPlantForm form = StockPlantForm.empty(kind == null ? StockKind.PLANT : kind, name);
        model.addAttribute("form", form);
        model.addAttribute("given", counted(form));
        model.addAttribute("choices", choices(form));
        model.addAttribute("plants", stock.plants());
        return "stock/form";
    }

    @PostMapping
    String add(
            @Valid @ModelAttribute("form") StockPlantForm form,
            BindingResult wrong,
            @RequestParam(required = false) String otherKind,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                StockPlantView added = stock.addTyped(withKind(form, otherKind));
                next.addFlashAttribute(
                        "said",
                        Messages.text(
                                "StockController.added.as",
                                "name",
                                added.plant().name(),
                                "code",
                                added.code()));
                // Whoever adds something lands on it.
                return "redirect:/stock/" + added.id();
            } catch (InvalidField p) {
                FieldPath.reject(wrong, StockPlantForm.class, p);
            }
        }
        model.addAttribute("given", counted(form));
        model.addAttribute("isMoreShown", isWrongBelow(wrong));
        model.addAttribute("choices", choices(form));
        model.addAttribute("plants", stock.plants());
        return "stock/form";
    }

    /** Whether something that stands in the fold cannot be. */
    private static boolean isWrongBelow(BindingResult wrong) {
        return Stream.of("rights.*", "came.*", "note", "name.confirmWhen", "condition.quarantineUntil")
                .anyMatch(wrong::hasFieldErrors);
    }

    /** The sorts of a new plant that somebody counted. */
    private static Set<String> counted(StockPlantForm form) {
        return form.condition().counts().entrySet().stream()
                .filter(c -> c.getValue() != null)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    @GetMapping("/{id}/change")
    String change(@PathVariable UUID id, Model model) {
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("StockController.no.such.stock.plant")));
        model.addAttribute("plants", stock.plants());
        StockPlantForm form = StockPlantForm.of(plant);
        model.addAttribute("form", form);
        model.addAttribute("choices", choices(form));
        model.addAttribute("plant", plant);
        model.addAttribute("given", asked(plant));
        model.addAttribute("isMoreShown", true);
        return "stock/form";
    }

    @PostMapping("/{id}")
    String save(
            @PathVariable UUID id,
            @Valid @ModelAttribute("form") StockPlantForm form,
            BindingResult wrong,
            @RequestParam(required = false) String otherKind,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("StockController.no.such.stock.plant")));
        if (!wrong.hasErrors()) {
            try {
                stock.change(id, withKind(form, otherKind));
                next.addFlashAttribute(
                        "said",
                        Messages.text(
                                "StockController.changed", "name", plant.plant().name(), "code", plant.code()));
                return "redirect:/stock/" + id;
            } catch (InvalidField p) {
                FieldPath.reject(wrong, StockPlantForm.class, p);
            }
        }
        model.addAttribute("plant", plant);
        model.addAttribute("given", asked(plant));
        model.addAttribute("isMoreShown", true);
        model.addAttribute("choices", choices(form));
        model.addAttribute("plants", stock.plants());
        return "stock/form";
    }

    /** The sorts that are asked: those that its kind can give, and what was counted though it cannot. */
    private Set<String> asked(StockPlantView plant) {
        return Stream.concat(
                        sorts.of(plant.plant().grown()).stream().map(PieceSort::key),
                        plant.counts().stream()
                                .filter(StockPlantView.Bears::isCounted)
                                .map(StockPlantView.Bears::sort))
                .collect(Collectors.toSet());
    }
}
