package garden.vivarium.app.divide;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.label.BatchLabels;
import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.divide.Form;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;

/** The division planner of a stock plant; its address holds the drawing. */
@Controller
@RequestMapping("/stock/{id}/divide")
class DivideController {

    private static final int SURE = 70;

    private final Divisions divisions;
    private final Photos photos;
    private final BatchLabels labels;
    private final Stock stock;
    private final Guide guide;
    private final Today today;
    private final Says says;
    private final Measures measures;

    DivideController(
            Divisions divisions,
            Photos photos,
            BatchLabels labels,
            Stock stock,
            Guide guide,
            Today today,
            Says says,
            Measures measures) {
        this.divisions = divisions;
        this.photos = photos;
        this.labels = labels;
        this.stock = stock;
        this.guide = guide;
        this.today = today;
        this.says = says;
        this.measures = measures;
    }

    @GetMapping
    String page(
            @PathVariable UUID id,
            @RequestParam(required = false) String drawn,
            @RequestParam(required = false) Form form,
            @RequestParam(required = false) String sure,
            @RequestParam(required = false) String away,
            @RequestParam(required = false) String step,
            @RequestParam(required = false) String cuts,
            Model model) {
        StockPlantView plant = divisions.plant(id);
        Form of = form == null ? Form.of(plant.plant().group(), plant.plant().kind()) : form;
        List<Protocol> ways = divisions.ways(plant);
        model.addAttribute("plant", plant);
        model.addAttribute("findings", plant.mayCut(today.date(), null));
        model.addAttribute("form", of);
        model.addAttribute("forms", Form.values());
        model.addAttribute("ways", ways);
        model.addAttribute("drawn", drawn == null ? "" : drawn);
        model.addAttribute("sure", sure == null ? SURE : sure);
        model.addAttribute("away", away == null ? 1 : away);
        model.addAttribute("step", step == null ? measures.typed(of.step(), Unit.CENTIMETRE) : step);
        model.addAttribute("cuts", cuts == null ? "" : cuts);
        model.addAttribute("places", stock.places());
        model.addAttribute("photos", photos.ofStock(id));
        model.addAttribute("done", divisions.done(id));
        model.addAttribute(
                "cautions",
                ways.stream()
                        .findFirst()
                        .map(p -> guide.cautions(plant.plant().grown(), p))
                        .orElseGet(() -> guide.caution("blade").stream().toList()));
        if (drawn != null || form != null) {
            try {
                model.addAttribute("sheet", divisions.judge(plant, asked(drawn, of, sure, away, step, cuts)));
            } catch (InvalidField wrong) {
                model.addAttribute("wrong", wrong);
                model.addAttribute("why", wrong.getMessage());
            }
        }
        return "divide/divide";
    }

    /** The same page with the same drawing, where something was refused. */
    private static String again(UUID id, String drawn, Form form, String sure, String away, String step, String cuts) {
        return UriComponentsBuilder.fromPath("/stock/{id}/divide")
                .queryParam("drawn", "{drawn}")
                .queryParam("form", form)
                .queryParam("sure", "{sure}")
                .queryParam("away", "{away}")
                .queryParam("step", "{step}")
                .queryParam("cuts", "{cuts}")
                .encode()
                .buildAndExpand(id, drawn, sure, away, step, cuts == null ? "" : cuts)
                .toUriString();
    }

    private Divisions.Asked asked(String drawn, Form form, String sure, String away, String step, String cuts) {
        Drawn read = Drawn.read(drawn);
        return new Divisions.Asked(
                read,
                form,
                (int) within("sure", Figures.decimal("sure", sure), SURE, 10, 99),
                (int) within("away", Figures.decimal("away", away), 1, 1, 40),
                step == null || step.isBlank() ? form.step() : measures.within("step", step, Unit.CENTIMETRE, 0.5, 50),
                read.cuts(cuts));
    }

    private static double within(String field, Double typed, double usual, double least, double most) {
        double value = typed == null ? usual : typed;
        if (!(value >= least && value <= most)) {
            throw new InvalidField(
                    field, Messages.text("PotUp.number", "typed", String.valueOf(typed), "least", least, "most", most));
        }
        return value;
    }

    @PostMapping
    String divide(
            @PathVariable UUID id,
            @RequestParam(required = false) String drawn,
            @RequestParam Form form,
            @RequestParam(required = false) String sure,
            @RequestParam(required = false) String away,
            @RequestParam(required = false) String step,
            @RequestParam(required = false) String cuts,
            @RequestParam int card,
            @RequestParam(required = false) String protocol,
            @RequestParam LocalDate dividedOn,
            @RequestParam(required = false) String place,
            @RequestParam(defaultValue = Divisions.BEST) String stays,
            @RequestParam(required = false) String reason,
            @RequestParam(defaultValue = "false") boolean labelled,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, again(id, drawn, form, sure, away, step, cuts), () -> {
            BatchView batch = divisions.divide(
                    id,
                    asked(drawn, form, sure, away, step, cuts),
                    new Divisions.Order(card, protocol, dividedOn, place, stays, reason));
            if (labelled) {
                next.addFlashAttribute(
                        "labelsMade", labels.ready(batch, batch.taken()).toString());
            }
            return new FormActions.Result(
                    Messages.text("Divisions.done", "pieces", batch.taken(), "code", batch.code()),
                    "/batches/" + batch.code());
        });
    }
}
