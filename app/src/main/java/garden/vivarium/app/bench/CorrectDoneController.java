package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.DoneCorrections;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Correcting what was done with a batch: a look, a move. */
@Controller
class CorrectDoneController {

    /** What a piece can be read as. */
    private static final List<PieceState> READABLE =
            List.of(PieceState.NONE, PieceState.FIRST_SIGN, PieceState.READY, PieceState.LOST, PieceState.SENT);

    private final DoneCorrections corrections;
    private final BatchBook book;
    private final Measures measures;

    CorrectDoneController(DoneCorrections corrections, BatchBook book, Measures measures) {
        this.corrections = corrections;
        this.book = book;
        this.measures = measures;
    }

    @GetMapping("/batches/{code}/checks/{check}/correct")
    String look(@PathVariable String code, @PathVariable UUID check, Model model) {
        LookCommand look = corrections.look(code, check);
        BatchView batch = book.entry(code).batch();
        int moved = CheckController.movedBy(book, batch, look.lookedOn());
        model.addAttribute("form", CountsForm.of(look, moved));
        return show(batch, look, check, model);
    }

    @PostMapping("/batches/{code}/checks/{check}/correct")
    String look(
            @PathVariable String code,
            @PathVariable UUID check,
            @Valid @ModelAttribute("form") CountsForm form,
            BindingResult wrong,
            @RequestParam(required = false) String why,
            @RequestParam MultiValueMap<String, String> typed,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        LookCommand look = corrections.look(code, check);
        BatchView batch = book.entry(code).batch();
        if (!wrong.hasErrors()) {
            try {
                LookCommand.Counted counts = look.counts() == null
                        ? null
                        : form.command(CheckController.movedBy(book, batch, form.lookedOn()))
                                .counts();
                corrections.correctLook(
                        code, check, form.lookedOn(), form.look(), counts, readings(look, typed), form.note(), why);
                next.addFlashAttribute("said", Messages.text("CorrectDoneController.the.look.is.corrected.as"));
                return "redirect:/batches/" + code;
            } catch (LookRefused r) {
                wrong.rejectValue(CheckController.fieldOf(r), "refused", r.getMessage());
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return show(batch, look, check, model);
    }

    private static Map<Integer, PieceState> readings(LookCommand look, MultiValueMap<String, String> typed) {
        Map<Integer, PieceState> readings = new HashMap<>();
        look.pieces().forEach(p -> {
            String said = typed.getFirst("piece-" + p.piece());
            if (said != null) {
                readings.put(p.piece(), PieceState.of(said));
            }
        });
        return readings;
    }

    private String show(BatchView batch, LookCommand look, UUID check, Model model) {
        model.addAttribute("states", READABLE);
        model.addAttribute("batch", batch);
        model.addAttribute("look", look);
        model.addAttribute("check", check);
        model.addAttribute("kinds", LookKind.values());
        model.addAttribute("causes", LossCause.values());
        return "bench/correct-look";
    }

    @PostMapping("/batches/{code}/moves/{move}/correct")
    String move(
            @PathVariable String code,
            @PathVariable UUID move,
            @RequestParam LocalDate movedOn,
            @RequestParam int pieces,
            @RequestParam int youngPlants,
            @RequestParam(required = false) Integer settled,
            @ModelAttribute StandsForm stands,
            @RequestParam(required = false) String why,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            corrections.correctMove(
                    code, move, movedOn, pieces, youngPlants, settled, was -> stands.over(was, measures), why);
            return pieces == 0 && youngPlants == 0 ? "The move is taken back." : "The move is corrected.";
        });
    }
}
