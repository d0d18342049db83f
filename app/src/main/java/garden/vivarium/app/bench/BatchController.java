package garden.vivarium.app.bench;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What is done from the batch sheet. */
@Controller
class BatchController {

    private final Batches batches;
    private final Moves moves;
    private final Today today;

    BatchController(Batches batches, Moves moves, Today today) {
        this.batches = batches;
        this.moves = moves;
        this.today = today;
    }

    @PostMapping("/batches/{code}/stick")
    String stick(
            @PathVariable String code,
            @RequestParam LocalDate stuckOn,
            @RequestParam int stuck,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            batches.stick(code, stuckOn, stuck);
            return Messages.text("BatchController.stuck", "stuck", stuck);
        });
    }

    @PostMapping("/batches/{code}/move")
    String move(
            @PathVariable String code,
            @RequestParam LocalDate movedOn,
            @RequestParam int pieces,
            @RequestParam int youngPlants,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            moves.move(code, movedOn, pieces, youngPlants);
            return Messages.text(
                    "BatchController.pieces.moved.young.plants", "pieces", pieces, "youngPlants", youngPlants);
        });
    }

    @PostMapping("/batches/{code}/separate")
    String separate(
            @PathVariable String code,
            @RequestParam LocalDate movedOn,
            @RequestParam int youngPlants,
            @RequestParam int spent,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            moves.separate(code, movedOn, youngPlants, spent);
            return Messages.text("BatchController.young.plants.taken", "youngPlants", youngPlants, "spent", spent);
        });
    }

    @PostMapping("/batches/{code}/stage")
    String stage(
            @PathVariable String code,
            @RequestParam String stage,
            @RequestParam LocalDate saidOn,
            @RequestParam(defaultValue = "false") boolean notYet,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            batches.say(code, stage, saidOn, !notYet);
            return notYet ? "Not yet; the round asks again." : "Written down.";
        });
    }

    @PostMapping("/batches/{code}/settle")
    String settle(
            @PathVariable String code,
            @RequestParam UUID potting,
            @RequestParam int settled,
            @RequestParam(required = false) LocalDate settledOn,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            moves.settle(code, potting, settledOn == null ? today.date() : settledOn, settled);
            return Messages.text("BatchController.settled", "settled", settled);
        });
    }

    @PostMapping("/batches/{code}/lose")
    String lose(
            @PathVariable String code,
            @RequestParam UUID potting,
            @RequestParam int youngPlants,
            @RequestParam(required = false) LossCause cause,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            moves.lose(code, potting, youngPlants, cause);
            return Messages.text("BatchController.lost.in.pot", "lost", youngPlants);
        });
    }

    @PostMapping("/batches/{code}/give-up")
    String giveUp(@PathVariable String code, @RequestParam(required = false) LocalDate day, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            batches.giveUp(code, day == null ? today.date() : day);
            return Messages.text("BatchController.the.rest.is.written.off");
        });
    }

    @PostMapping("/batches/{code}/checks/{check}/take-back")
    String takeBack(@PathVariable String code, @PathVariable UUID check, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            batches.takeBack(code, check);
            return Messages.text("BatchController.taken.back.the.history.keeps");
        });
    }
}
