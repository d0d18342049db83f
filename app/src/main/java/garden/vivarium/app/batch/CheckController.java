package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Unreadable;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.Refusal;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Sign;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Bench mode: looking at a batch by piece and by count. */
@Controller
class CheckController {

    private static final int USUAL_READY_MM = 20;
    private static final int LOOSE_COLUMNS = 6;

    private final Batches batches;
    private final BatchReads reads;
    private final GuideLookup lookup;
    private final Today today;

    CheckController(Batches batches, BatchReads reads, GuideLookup lookup, Today today) {
        this.batches = batches;
        this.reads = reads;
        this.lookup = lookup;
        this.today = today;
    }

    /** What bench mode's script needs to know of the batch. */
    record Bench(
            String code,
            String plant,
            int rows,
            int columns,
            boolean tray,
            List<Cell> cells,
            LookKind usualLook,
            boolean hasFirstSign,
            boolean firstSignByRoots,
            boolean readyByRoots,
            String firstSignTest,
            String readyTest,
            int firstSignMm,
            int readyMm,
            String stuckOn,
            String today,
            int changes,
            List<Cause> causes) {}

    /** How a piece stood before this check. */
    record Cell(int piece, PieceState state, boolean leafy, boolean byCount, boolean potted) {}

    record Cause(char key, LossCause code, String word) {}

    /** A check as bench mode sends it. */
    record Sent(
            @NotNull UUID clientId,
            @NotNull LocalDate lookedOn,
            @NotNull LookKind look,
            Integer knownChanges,
            @Size(max = 500) String note,
            @NotEmpty @Size(max = Batches.MOST_PIECES) List<@Valid SentPiece> pieces) {

        LookCommand command() {
            return LookCommand.ofPieces(
                    clientId,
                    lookedOn,
                    look,
                    pieces.stream().map(p -> p.seen(look)).toList(),
                    note,
                    knownChanges);
        }
    }

    record SentPiece(
            @Min(1) @Max(Batches.MOST_PIECES) int piece,
            LookKind look,
            @NotNull PieceState state,
            LossCause cause,
            @Min(0) @Max(2000) Integer rootMm,
            Boolean sideRoots,
            Boolean topGrowth,
            Firmness firmness,
            @Size(max = 500) String note) {

        LookCommand.Seen seen(LookKind ofAll) {
            return new LookCommand.Seen(
                    piece,
                    look == null ? ofAll : look,
                    state,
                    state == PieceState.LOST && cause == null ? LossCause.UNKNOWN : cause,
                    rootMm,
                    sideRoots,
                    topGrowth,
                    firmness,
                    note);
        }
    }

    record Answer(String message, String field, Integer changes) {}

    @GetMapping("/batches/{code}/check")
    String bench(@PathVariable String code, Model model) {
        BatchSheet sheet = reads.sheet(code);
        if (!sheet.batch().isStuck()) {
            return "redirect:/batches/" + code;
        }
        model.addAttribute("form", asItStands(sheet));
        return show(sheet, model);
    }

    @PostMapping("/batches/{code}/counts")
    String counts(
            @PathVariable String code,
            @Valid @ModelAttribute("form") CountsForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        Unreadable.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                batches.look(code, form.command());
                next.addFlashAttribute("said", "Look written down.");
                return "redirect:/batches/" + code;
            } catch (Refusal r) {
                wrong.rejectValue(fieldOf(r), "refused", r.getMessage());
            } catch (Problem p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return show(reads.sheet(code), model);
    }

    @PostMapping(value = "/batches/{code}/checks", consumes = "application/json", produces = "application/json")
    @ResponseBody
    Answer send(@PathVariable String code, @Valid @RequestBody Sent sent) {
        return new Answer("kept", null, batches.look(code, sent.command()).changes());
    }

    @ExceptionHandler
    ResponseEntity<Answer> refused(Refusal r) {
        return ResponseEntity.unprocessableEntity().body(new Answer(r.getMessage(), r.field(), null));
    }

    @ExceptionHandler
    ResponseEntity<Answer> refused(Problem p) {
        return ResponseEntity.unprocessableEntity().body(new Answer(p.getMessage(), p.field(), null));
    }

    @ExceptionHandler
    ResponseEntity<Answer> stale(StaleBatch s) {
        return ResponseEntity.status(HttpStatus.CONFLICT)
                .body(new Answer("Somebody else logged this batch meanwhile.", null, s.changes()));
    }

    @ExceptionHandler({HttpMessageNotReadableException.class, MethodArgumentNotValidException.class})
    ResponseEntity<Answer> unreadable(Exception e) {
        return ResponseEntity.badRequest()
                .body(new Answer("This check cannot be read; load the page anew and log it again.", null, null));
    }

    private String show(BatchSheet sheet, Model model) {
        model.addAttribute("sheet", sheet);
        model.addAttribute("batch", sheet.batch());
        model.addAttribute("bench", bench(sheet));
        model.addAttribute("kinds", LookKind.values());
        model.addAttribute("signWord", sheet.method().firstSignWord().orElse("first sign"));
        return "batch/check";
    }

    private Bench bench(BatchSheet sheet) {
        BatchView b = sheet.batch();
        Method m = sheet.method();
        int columns = b.isTray() ? b.columns() : Math.min(LOOSE_COLUMNS, b.stuck());
        return new Bench(
                b.code(),
                b.plant(),
                b.isTray() ? b.rows() : (b.stuck() + columns - 1) / columns,
                columns,
                b.isTray(),
                sheet.pieces().stream()
                        .map(p -> new Cell(
                                p.view().piece(),
                                p.view().wasReady() && !p.view().state().isEnd()
                                        ? PieceState.READY
                                        : p.view().state(),
                                p.leafy(),
                                p.view().byCount(),
                                p.potted()))
                        .toList(),
                lookup.usualLook(b),
                m.firstSign().isPresent(),
                sheet.signs().firstSign().filter(s -> s == Sign.ROOT).isPresent(),
                sheet.signs().ready() == Sign.ROOT,
                sheet.protocol()
                        .flatMap(Protocol::firstSign)
                        .map(Protocol.Test::test)
                        .orElse("first sign"),
                sheet.protocol().map(p -> p.ready().test()).orElse("ready to move on"),
                sheet.protocol()
                        .flatMap(Protocol::firstSign)
                        .flatMap(Protocol.Test::rootMm)
                        .orElse(1),
                sheet.protocol().flatMap(p -> p.ready().rootMm()).orElse(USUAL_READY_MM),
                b.stuckOn().toString(),
                today.date().toString(),
                b.changes(),
                Arrays.stream(LossCause.values())
                        .map(c -> new Cause(c.key(), c, c.word()))
                        .toList());
    }

    private CountsForm asItStands(BatchSheet sheet) {
        BatchView b = sheet.batch();
        return new CountsForm(
                UUID.randomUUID(),
                today.date(),
                lookup.usualLook(b),
                sheet.method().firstSign().isPresent() ? b.counts().firstSign() : null,
                b.counts().ready(),
                b.counts().lost(),
                b.counts().sent(),
                null);
    }

    private static String fieldOf(Refusal r) {
        return switch (r.field()) {
            case "first_sign" -> "firstSign";
            case "day" -> "lookedOn";
            case "piece" -> "ready";
            default -> r.field();
        };
    }
}
