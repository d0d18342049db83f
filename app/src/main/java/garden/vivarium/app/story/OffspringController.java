package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What comes of a batch: a young plant kept as a stock plant, or pieces cut again into a new batch. */
@Controller
@RequestMapping("/batches/{code}")
class OffspringController {

    private final Offspring offspring;
    private final Batches batches;
    private final Stock stock;
    private final Protocols protocols;
    private final Guide guide;
    private final Words words;

    OffspringController(
            Offspring offspring, Batches batches, Stock stock, Protocols protocols, Guide guide, Words words) {
        this.offspring = offspring;
        this.batches = batches;
        this.stock = stock;
        this.protocols = protocols;
        this.guide = guide;
        this.words = words;
    }

    @GetMapping("/offspring")
    String ask(@PathVariable String code, Model model) {
        BatchView batch = batches.find(code);
        model.addAttribute("batch", batch);
        List<Protocol> ways = protocols.suiting(batch.group());
        model.addAttribute("ways", ways);
        model.addAttribute("cautions", guide.cautions(guide.kind(batch.way().kind()), batch.group(), ways));
        model.addAttribute("places", stock.places());
        return "story/offspring";
    }

    @PostMapping("/keep")
    String keep(
            @PathVariable String code,
            @RequestParam(required = false) String place,
            @RequestParam(required = false) Integer piece,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/batches/" + code + "/offspring", () -> {
            StockPlantView kept = offspring.keep(code, place, piece);
            return new FormActions.Result(
                    Messages.text("OffspringController.kept.as", "code", kept.code()), "/stock/" + kept.id());
        });
    }

    @PostMapping("/recut")
    String recut(
            @PathVariable String code,
            @RequestParam String way,
            @RequestParam int pieces,
            @RequestParam LocalDate cutOn,
            @RequestParam(name = "where", required = false) String where,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/batches/" + code + "/offspring", () -> {
            Offspring.Recut cut = offspring.recut(code, way, pieces, cutOn, where);
            String minding = cut.minding().stream().map(f -> " " + words.of(f)).collect(Collectors.joining());
            return new FormActions.Result(
                    "Write the label now: " + cut.made().label() + minding,
                    "/batches/" + cut.made().code());
        });
    }

    @PostMapping("/section")
    String section(
            @PathVariable String code,
            @RequestParam(defaultValue = "false") boolean rooted,
            @RequestParam(name = "sectioned") int pieces,
            @RequestParam int each,
            @RequestParam(name = "sectionWay") String way,
            @RequestParam(name = "sectionedOn") LocalDate day,
            @RequestParam(name = "sectionWhere", required = false) String where,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/batches/" + code + "/offspring", () -> {
            BatchView made = offspring.section(code, rooted, pieces, each, way, day, where);
            return new FormActions.Result(
                    Messages.text("OffspringController.sectioned", "label", made.label()), "/batches/" + made.code());
        });
    }
}
