package garden.vivarium.app.young;

import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.measure.Unit;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The young plants of a move: their page, looks, measures, and what they have come to. And how many settle. */
@Controller
class YoungController {

    private static final int LONGEST_NOTE = 300;

    private final YoungLooks looks;
    private final SettlingRecord settling;
    private final Measures measures;

    YoungController(YoungLooks looks, SettlingRecord settling, Measures measures) {
        this.looks = looks;
        this.settling = settling;
        this.measures = measures;
    }

    @GetMapping("/batches/{code}/young/{move}")
    String page(@PathVariable String code, @PathVariable UUID move, Model model) {
        model.addAttribute("y", looks.sheet(code, move));
        model.addAttribute("causes", LossCause.values());
        model.addAttribute("marks", YoungMark.Mark.values());
        model.addAttribute("fates", Fate.LEAVING);
        return "young/young";
    }

    @GetMapping("/technique/settling")
    String settling(Model model) {
        SettlingRecord.Settled settled = settling.settled();
        model.addAttribute("media", settled.byMedium());
        model.addAttribute("ways", settled.byWay());
        model.addAttribute("milestones", settling.milestones());
        return "young/settling";
    }

    private static String address(String code, UUID move) {
        return "/batches/" + code + "/young/" + move;
    }

    @PostMapping("/batches/{code}/young/{move}/look")
    String look(
            @PathVariable String code,
            @PathVariable UUID move,
            @RequestParam LocalDate seenOn,
            @RequestParam(defaultValue = "0") int holds,
            @RequestParam(defaultValue = "0") int growing,
            @RequestParam(defaultValue = "0") int wobbles,
            @RequestParam(defaultValue = "0") int hanging,
            @RequestParam(defaultValue = "0") int lost,
            @RequestParam(required = false) LossCause cause,
            @RequestParam(required = false) String note,
            RedirectAttributes next) {
        return FormActions.run(next, address(code, move), () -> {
            String said = note == null || note.isBlank()
                    ? null
                    : note.strip()
                            .substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
            boolean settled = looks.look(
                    code,
                    move,
                    new YoungSeen(seenOn, holds, growing, wobbles, hanging, lost, lost > 0 ? cause : null, said));
            return Messages.text("YoungController.looked", "settled", settled);
        });
    }

    @PostMapping("/batches/{code}/young/{move}/take-back")
    String takeBack(
            @PathVariable String code, @PathVariable UUID move, @RequestParam UUID look, RedirectAttributes next) {
        return FormActions.run(next, address(code, move), () -> {
            looks.takeBack(code, look);
            return Messages.text("YoungController.taken.back");
        });
    }

    @PostMapping("/batches/{code}/young/{move}/measure")
    String measure(
            @PathVariable String code,
            @PathVariable UUID move,
            @RequestParam LocalDate measuredOn,
            @RequestParam(required = false) String height,
            @RequestParam(required = false) String spread,
            @RequestParam(required = false) Integer leaves,
            RedirectAttributes next) {
        return FormActions.run(next, address(code, move), () -> {
            looks.measure(code, move, measuredOn, mm("height", height), mm("spread", spread), leaves);
            return Messages.text("YoungController.measured");
        });
    }

    /** Centimetres or inches as they are typed, in mm. */
    private Integer mm(String field, String cm) {
        if (cm == null || cm.isBlank()) {
            return null;
        }
        try {
            return (int) Math.round(
                    10 * measures.metric(Double.parseDouble(cm.strip().replace(',', '.')), Unit.CENTIMETRE));
        } catch (NumberFormatException e) {
            throw new InvalidField(field, Messages.text("YoungController.number", "typed", cm));
        }
    }

    @PostMapping("/batches/{code}/young/{move}/mark")
    String mark(
            @PathVariable String code,
            @PathVariable UUID move,
            @RequestParam YoungMark.Mark mark,
            @RequestParam LocalDate reachedOn,
            @RequestParam int plants,
            RedirectAttributes next) {
        return FormActions.run(next, address(code, move), () -> {
            looks.mark(code, move, mark, reachedOn, plants);
            return Messages.text("YoungController.marked", "plants", plants, "mark", mark.words());
        });
    }

    @PostMapping("/batches/{code}/young/{move}/remove")
    String remove(
            @PathVariable String code, @PathVariable UUID move, @RequestParam UUID what, RedirectAttributes next) {
        return FormActions.run(next, address(code, move), () -> {
            looks.remove(what);
            return Messages.text("YoungController.removed");
        });
    }
}
