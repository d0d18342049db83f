package garden.vivarium.app.story;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Deeds;
import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
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

    private final Batches batches;
    private final Stock stock;
    private final Protocols protocols;
    private final Guide guide;

    OffspringController(Batches batches, Stock stock, Protocols protocols, Guide guide) {
        this.batches = batches;
        this.stock = stock;
        this.protocols = protocols;
        this.guide = guide;
    }

    @GetMapping("/offspring")
    String ask(@PathVariable String code, Model model) {
        BatchView batch = batches.find(code);
        model.addAttribute("batch", batch);
        List<Protocol> ways = protocols.suiting(batch.group());
        model.addAttribute("ways", ways);
        model.addAttribute("cautions", guide.cautions(batch.group(), ways));
        model.addAttribute("places", stock.places());
        return "story/offspring";
    }

    @PostMapping("/keep")
    String keep(
            @PathVariable String code,
            @RequestParam(required = false) String place,
            @RequestParam(required = false) Integer piece,
            RedirectAttributes next) {
        BatchView batch = batches.find(code);
        return Deeds.lead(next, "/batches/" + code + "/offspring", () -> {
            refuseBlank("place", place);
            if (piece != null && (piece < 1 || piece > batch.stuck())) {
                throw new Problem("piece", "%s has pieces 1 to %d.".formatted(code, batch.stuck()));
            }
            StockPlantView kept = stock.add(
                    new StockPlantForm(
                            batch.plant(),
                            plant(batch).group(),
                            Protection.FREE,
                            "young plant of " + code,
                            place.strip(),
                            Climate.HEATED,
                            null,
                            StockState.GROWING,
                            null,
                            null),
                    batch.id(),
                    piece);
            return new Deeds.Done("Kept as %s.".formatted(kept.code()), "/stock/" + kept.id());
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
        BatchView batch = batches.find(code);
        Protocol protocol = protocols.current(way).orElseThrow(() -> new Missing("no such way"));
        return Deeds.lead(next, "/batches/" + code + "/offspring", () -> {
            refuseBlank("where", where);
            if (batch.isStuck() && cutOn.isBefore(batch.stuckOn())) {
                throw new Problem("cutOn", "%s was stuck on %s; give a later day.".formatted(code, batch.stuckOn()));
            }
            List<MayCut.Finding> findings = mayCut(batch, cutOn);
            findings.stream()
                    .filter(f ->
                            f.weight() == MayCut.Weight.REFUSED && !f.rule().equals("gone"))
                    .findFirst()
                    .ifPresent(f -> {
                        throw new Problem("way", f.words());
                    });
            NewBatch.Draft cut = NewBatch.by(protocol)
                    .of(
                            plant(batch),
                            batch.stockPlantId(),
                            stock.placeNamed(where.strip(), Climate.HEATED).id())
                    .cutAgainFrom(batch.id())
                    .taken(cutOn, pieces);
            BatchView made = batches.make((protocol.callus().isPresent() ? cut : cut.stuck(cutOn, pieces)).made());
            return new Deeds.Done(
                    "Write the label now: " + made.label() + minding(findings), "/batches/" + made.code());
        });
    }

    /** What speaks against cutting young plants again: what holds for the stock plant that they came from. */
    private List<MayCut.Finding> mayCut(BatchView batch, LocalDate day) {
        return batch.stockPlantId() == null
                ? List.of()
                : stock.find(batch.stockPlantId()).map(s -> s.mayCut(day, null)).orElse(List.of());
    }

    private static String minding(List<MayCut.Finding> findings) {
        return findings.stream()
                .filter(f -> Set.of("protected", "origin", "quarantine", "name").contains(f.rule()))
                .map(f -> " " + f.words())
                .collect(Collectors.joining());
    }

    private PlantView plant(BatchView batch) {
        return stock.plantNamed(batch.plant(), batch.group());
    }

    private static void refuseBlank(String field, String value) {
        if (value == null || value.isBlank() || value.length() > 80) {
            throw new Problem(field, "Say where it stands, in 1 to 80 characters.");
        }
    }
}
