package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Sign;
import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Bench mode, and looking at a batch by count. */
@Controller
class CheckController {

    private static final int USUAL_READY_MM = 20;
    private static final int LOOSE_COLUMNS = 6;

    private final Batches batches;
    private final Sheets sheets;
    private final BatchBook book;
    private final Today today;
    private final Measures measures;

    CheckController(Batches batches, Sheets sheets, BatchBook book, Today today, Measures measures) {
        this.batches = batches;
        this.sheets = sheets;
        this.book = book;
        this.today = today;
        this.measures = measures;
    }

    /**
     * What bench mode's script needs to know of the batch.
     *
     * @param columns cells of a row
     * @param usualLook how such a batch is usually looked at
     * @param firstSign how first sign is told, or null where there is none
     * @param ready how ready is told
     * @param changes how often the batch was changed when this was read
     */
    record Bench(
            String code,
            int columns,
            List<Cell> cells,
            LookKind usualLook,
            Told firstSign,
            Told ready,
            String stuckOn,
            String today,
            int changes,
            List<Cause> causes,
            Lengths lengths) {}

    /**
     * How root lengths are typed and told; they are kept in mm.
     *
     * @param step how many mm one of what is typed is
     * @param unit what they are told in
     * @param each how many mm one of that is
     * @param decimals how many it is told with
     * @param asks what is asked for
     */
    record Lengths(double step, String unit, double each, int decimals, String asks) {}

    /** Whether roots tell a milestone, and how long they must be, in mm. */
    record Told(boolean byRoots, int mm) {}

    /** How a piece stood before this check. */
    record Cell(int piece, PieceState state, boolean leafy, boolean byCount, boolean potted) {}

    record Cause(char key, LossCause code, String word) {}

    @GetMapping("/batches/{code}/check")
    String bench(@PathVariable String code, Model model) {
        BatchSheet sheet = sheets.of(code);
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
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                batches.look(code, form.command(movedSoFar(code, form.lookedOn())));
                next.addFlashAttribute("said", Messages.text("CheckController.look.written.down"));
                return "redirect:/batches/" + code;
            } catch (LookRefused r) {
                wrong.rejectValue(fieldOf(r), "refused", r.getMessage());
            } catch (InvalidField p) {
                wrong.rejectValue(p.field(), "problem", p.getMessage());
            }
        }
        return show(sheets.of(code), model);
    }

    /** The same with those of old records that left, nobody says when: they are not here either. */
    private int movedSoFar(String code, LocalDate day) {
        BatchView batch = book.entry(code).batch();
        return movedBy(book, batch, day) + batch.moved() - movedBy(book, batch, LocalDate.MAX);
    }

    /** Pieces that had been moved by the day of the look. */
    static int movedBy(BatchBook book, BatchView batch, LocalDate day) {
        return book.pottings(batch.id()).stream()
                .filter(p -> !p.movedOn().isAfter(day))
                .mapToInt(p -> p.pieces())
                .sum();
    }

    private String show(BatchSheet sheet, Model model) {
        model.addAttribute("sheet", sheet);
        model.addAttribute("batch", sheet.batch());
        model.addAttribute("bench", bench(sheet));
        model.addAttribute(
                "isByCount",
                !sheet.batch().isTray()
                        || (model.getAttribute(BindingResult.MODEL_KEY_PREFIX + "form") instanceof BindingResult read
                                && read.hasErrors()));
        model.addAttribute("kinds", LookKind.values());
        model.addAttribute("causes", LossCause.values());
        model.addAttribute(
                "signTest",
                sheet.way()
                        .protocol()
                        .flatMap(Protocol::firstSign)
                        .map(s -> s.test())
                        .orElse(null));
        model.addAttribute(
                "signWord",
                sheet.way().method().firstSign().map(Method.Told::word).orElse("first sign"));
        return "bench/check";
    }

    private Bench bench(BatchSheet sheet) {
        BatchView b = sheet.batch();
        int columns = b.isTray() ? b.vessel().columns() : Math.min(LOOSE_COLUMNS, b.stuck());
        return new Bench(
                b.code(),
                columns,
                sheet.pieces().stream().map(CheckController::cell).toList(),
                sheet.usualLook(),
                sheet.way()
                        .method()
                        .firstSign()
                        .map(f -> new Told(
                                sheet.way().signs().firstSign().equals(Optional.of(Sign.ROOT)),
                                sheet.way()
                                        .protocol()
                                        .flatMap(Protocol::firstSign)
                                        .flatMap(Protocol.Test::rootMm)
                                        .orElse(1)))
                        .orElse(null),
                new Told(
                        sheet.way().signs().ready() == Sign.ROOT,
                        sheet.way().protocol().flatMap(p -> p.ready().rootMm()).orElse(USUAL_READY_MM)),
                b.stuckOn().toString(),
                today.date().toString(),
                b.changes(),
                Arrays.stream(LossCause.values())
                        .map(c -> new Cause(c.key(), c, c.word()))
                        .toList(),
                lengths());
    }

    /** In tenths of an inch by whoever measures so: what is typed are whole numbers. */
    private Lengths lengths() {
        boolean inches = measures.units() == UnitSystem.US;
        double each = Unit.MILLIMETRE.in((inches ? Unit.INCH : Unit.MILLIMETRE).of(1));
        return new Lengths(
                inches ? each / 10 : each,
                measures.unit(Unit.MILLIMETRE),
                each,
                inches ? 1 : 0,
                Messages.text("CheckController.root", "inches", inches));
    }

    private static Cell cell(PieceDetail p) {
        PieceState was = p.view().state();
        return new Cell(
                p.view().piece(),
                p.view().wasReady() && !was.isEnd() ? PieceState.READY : was,
                p.leafy(),
                p.view().byCount(),
                p.potted());
    }

    private CountsForm asItStands(BatchSheet sheet) {
        BatchView b = sheet.batch();
        return new CountsForm(
                UUID.randomUUID(),
                today.date(),
                sheet.usualLook(),
                sheet.way().method().firstSign().isPresent() ? b.counts().firstSign() : null,
                b.readyToMove(),
                b.counts().lost() + b.counts().lostReady(),
                b.counts().lostReady(),
                null,
                b.counts().sent(),
                null);
    }

    static String fieldOf(LookRefused refusal) {
        return switch (refusal.what()) {
            case DAY -> "lookedOn";
            case LOOK -> "look";
            case FIRST_SIGN -> "firstSign";
            case PIECE, READY -> "ready";
            case LOST -> "lost";
            case SENT -> "sent";
        };
    }
}
