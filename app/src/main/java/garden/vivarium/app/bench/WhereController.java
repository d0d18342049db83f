package garden.vivarium.app.bench;

import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.batch.SentState;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Where a batch stands, whole or in part, and what of it leaves. */
@Controller
class WhereController {

    private final Whereabouts whereabouts;
    private final Departures departures;
    private final Today today;

    WhereController(Whereabouts whereabouts, Departures departures, Today today) {
        this.whereabouts = whereabouts;
        this.departures = departures;
        this.today = today;
    }

    @PostMapping("/batches/{code}/carry")
    String carry(
            @PathVariable String code,
            @RequestParam(required = false) String place,
            @RequestParam LocalDate day,
            @RequestParam(required = false) Integer pieces,
            @RequestParam(required = false) String cells,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            whereabouts.carry(code, day, place, pieces, cells);
            return Messages.text("WhereController.carried", "pieces", pieces == null ? 0 : pieces, "place", place);
        });
    }

    @PostMapping("/batches/{code}/rejoin")
    String rejoin(@PathVariable String code, @RequestParam UUID part, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            whereabouts.rejoin(code, part, today.date());
            return Messages.text("WhereController.they.stand.with.the.rest");
        });
    }

    @PostMapping("/batches/{code}/together")
    String together(@PathVariable String code, @RequestParam(required = false) String other, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            whereabouts.together(code, other);
            return Messages.text("WhereController.they.share.a.vessel.each");
        });
    }

    @PostMapping("/batches/{code}/apart")
    String apart(@PathVariable String code, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            whereabouts.apart(code);
            return Messages.text("WhereController.it.stands.alone.again");
        });
    }

    @PostMapping("/batches/{code}/send")
    String send(
            @PathVariable String code,
            @RequestParam LocalDate sentOn,
            @RequestParam int pieces,
            @RequestParam SentState state,
            @RequestParam(required = false) String toWhom,
            @RequestParam(defaultValue = "SENT") Fate fate,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            departures.send(code, new Departures.Departure(sentOn, pieces, state, toWhom, fate));
            return Messages.text("WhereController.sent", "pieces", pieces);
        });
    }

    @PostMapping("/batches/{code}/sent/{entry}/correct")
    String correctSent(
            @PathVariable String code,
            @PathVariable UUID entry,
            @RequestParam LocalDate sentOn,
            @RequestParam int pieces,
            @RequestParam SentState state,
            @RequestParam(required = false) String toWhom,
            @RequestParam(defaultValue = "SENT") Fate fate,
            @RequestParam(required = false) String why,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            departures.correct(code, entry, new Departures.Departure(sentOn, pieces, state, toWhom, fate), why);
            return Messages.text("WhereController.sent.corrected", "pieces", pieces);
        });
    }

    @PostMapping("/batches/{code}/stood/{entry}/correct")
    String correctStood(
            @PathVariable String code,
            @PathVariable UUID entry,
            @RequestParam(required = false) String place,
            @RequestParam LocalDate day,
            @RequestParam(required = false) Integer pieces,
            @RequestParam(required = false) String cells,
            @RequestParam(required = false) String why,
            @RequestParam(defaultValue = "false") boolean takeBack,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            if (takeBack) {
                whereabouts.takeBack(code, entry, why);
                return Messages.text("WhereController.it.was.not.carried.that");
            }
            whereabouts.correct(code, entry, day, place, pieces, cells, why);
            return Messages.text("WhereController.where.it.stood.is.corrected");
        });
    }
}
