package garden.vivarium.app.batch;

import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.platform.Deeds;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Benches and the batch sheet. */
@Controller
class BatchController {

    private final Batches batches;
    private final BatchReads reads;
    private final Stock stock;
    private final CareBook care;
    private final Guide guide;
    private final Today today;

    BatchController(Batches batches, BatchReads reads, Stock stock, CareBook care, Guide guide, Today today) {
        this.batches = batches;
        this.reads = reads;
        this.stock = stock;
        this.care = care;
        this.guide = guide;
        this.today = today;
    }

    @GetMapping("/benches")
    String benches(Model model) {
        model.addAttribute("rows", reads.open());
        model.addAttribute("finished", reads.lastFinished());
        model.addAttribute("finishedCount", reads.countFinished());
        return "batch/benches";
    }

    @GetMapping("/batches/{code}")
    String sheet(@PathVariable String code, Model model) {
        BatchSheet sheet = reads.sheet(code);
        model.addAttribute("sheet", sheet);
        model.addAttribute("batch", sheet.batch());
        model.addAttribute(
                "curve",
                sheet.curve()
                        .map(c -> CurveDrawing.of(sheet.batch().code(), c, Optional.empty()))
                        .orElse(null));
        model.addAttribute(
                "cautions",
                sheet.protocol()
                        .map(p -> guide.cautions(sheet.batch().group(), p))
                        .orElse(List.of()));
        model.addAttribute("care", care.of(sheet.batch().id()));
        model.addAttribute("from", from(sheet.batch()).orElse(null));
        return "batch/sheet";
    }

    /** What the pieces of a batch were taken from. */
    record From(String code, String address) {}

    private Optional<From> from(BatchView batch) {
        if (batch.fromBatchId() != null) {
            return reads.code(batch.fromBatchId()).map(c -> new From(c, "/batches/" + c));
        }
        return Optional.ofNullable(batch.stockPlantId())
                .flatMap(stock::find)
                .map(s -> new From(s.code(), "/stock/" + s.id()));
    }

    @GetMapping("/batches/{code}/label")
    String label(@PathVariable String code, Model model) {
        model.addAttribute("batch", batches.find(code));
        return "batch/label";
    }

    @PostMapping("/batches/{code}/stick")
    String stick(
            @PathVariable String code,
            @RequestParam LocalDate stuckOn,
            @RequestParam int stuck,
            RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.stick(code, stuckOn, stuck);
            return "%d stuck.".formatted(stuck);
        });
    }

    @PostMapping("/batches/{code}/move")
    String move(
            @PathVariable String code,
            @RequestParam LocalDate movedOn,
            @RequestParam int pieces,
            @RequestParam int youngPlants,
            RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.move(code, movedOn, pieces, youngPlants);
            return "%d pieces moved, %d young plants.".formatted(pieces, youngPlants);
        });
    }

    @PostMapping("/batches/{code}/separate")
    String separate(
            @PathVariable String code,
            @RequestParam LocalDate movedOn,
            @RequestParam int youngPlants,
            @RequestParam int spent,
            RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.separate(code, movedOn, youngPlants, spent);
            return "%d young plants taken%s."
                    .formatted(youngPlants, spent > 0 ? ", %d pieces spent".formatted(spent) : "; the pieces stay");
        });
    }

    @PostMapping("/batches/{code}/stage")
    String stage(
            @PathVariable String code,
            @RequestParam String stage,
            @RequestParam LocalDate saidOn,
            @RequestParam(defaultValue = "false") boolean notYet,
            RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.say(code, stage, saidOn, !notYet);
            return notYet ? "Not yet; the round asks again." : "Written down.";
        });
    }

    @PostMapping("/batches/{code}/settle")
    String settle(
            @PathVariable String code, @RequestParam UUID potting, @RequestParam int settled, RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.settle(code, potting, today.date(), settled);
            return "%d settled.".formatted(settled);
        });
    }

    @PostMapping("/batches/{code}/give-up")
    String giveUp(@PathVariable String code, RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.giveUp(code, today.date());
            return "The rest is written off as stalled; take that check back if one wakes after all.";
        });
    }

    @PostMapping("/batches/{code}/checks/{check}/take-back")
    String takeBack(@PathVariable String code, @PathVariable UUID check, RedirectAttributes next) {
        return Deeds.tell(next, "/batches/" + code, () -> {
            batches.takeBack(code, check);
            return "Taken back; the history keeps it, struck through.";
        });
    }
}
