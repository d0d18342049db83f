package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.Refusal;
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
    private final Guide guide;
    private final Today today;

    BatchController(Batches batches, BatchReads reads, Guide guide, Today today) {
        this.batches = batches;
        this.reads = reads;
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
        return "batch/sheet";
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
        return tell(code, next, () -> {
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
        return tell(code, next, () -> {
            batches.move(code, movedOn, pieces, youngPlants);
            return "%d pieces moved, %d young plants.".formatted(pieces, youngPlants);
        });
    }

    @PostMapping("/batches/{code}/settle")
    String settle(
            @PathVariable String code, @RequestParam UUID potting, @RequestParam int settled, RedirectAttributes next) {
        return tell(code, next, () -> {
            batches.settle(code, potting, today.date(), settled);
            return "%d settled.".formatted(settled);
        });
    }

    @PostMapping("/batches/{code}/give-up")
    String giveUp(@PathVariable String code, RedirectAttributes next) {
        return tell(code, next, () -> {
            batches.giveUp(code, today.date());
            return "The rest is written off as stalled; take that check back if one wakes after all.";
        });
    }

    @PostMapping("/batches/{code}/checks/{check}/take-back")
    String takeBack(@PathVariable String code, @PathVariable UUID check, RedirectAttributes next) {
        return tell(code, next, () -> {
            batches.takeBack(code, check);
            return "Taken back; the history keeps it, struck through.";
        });
    }

    private interface Deed {
        String done();
    }

    private static String tell(String code, RedirectAttributes next, Deed deed) {
        try {
            next.addFlashAttribute("said", deed.done());
        } catch (Problem | Refusal p) {
            next.addFlashAttribute("refused", p.getMessage());
        }
        return "redirect:/batches/" + code;
    }
}
