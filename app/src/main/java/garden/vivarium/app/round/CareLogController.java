package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Everything that is done for plants, with its day: for a batch, a stock plant, a place, or all at once. */
@Controller
class CareLogController {

    private final CareBook care;
    private final BatchBook batches;
    private final Stock stock;
    private final Whereabouts vessels;

    CareLogController(CareBook care, BatchBook batches, Stock stock, Whereabouts vessels) {
        this.care = care;
        this.batches = batches;
        this.stock = stock;
        this.vessels = vessels;
    }

    /** For what care was done. */
    enum Scope {
        BATCH,
        STOCK,
        PLACE,
        ALL
    }

    @PostMapping("/care-log")
    String log(
            @RequestParam CareAct act,
            @RequestParam(required = false) String detail,
            @RequestParam LocalDate day,
            @RequestParam Scope scope,
            @RequestParam(required = false) String of,
            @RequestParam(required = false) UUID place,
            @RequestParam(required = false) Integer every,
            @RequestParam(required = false) Integer times,
            @RequestParam(defaultValue = "/round") String back,
            RedirectAttributes next) {
        String page = back.matches("/(batches|stock)/[\\w-]+") ? back : "/round";
        next.addFlashAttribute("openPlace", place);
        return FormActions.run(next, page, () -> {
            List<Subject> subjects = subjects(scope, of, place);
            List<UUID> kept = new ArrayList<>(care.log(act, detail, subjects, day, null));
            if (every != null) {
                kept.addAll(
                        care.again(act, detail, subjects, day, new CareBook.Again(every, times == null ? 1 : times)));
            }
            next.addFlashAttribute(
                    "undo",
                    new ArrayList<>(
                            kept.stream().map(id -> Undo.care("care", id)).toList()));
            return Messages.text(
                    "CareLog.kept",
                    "act",
                    Messages.text("CareAct.done", "act", act.name()),
                    "count",
                    subjects.size(),
                    "first",
                    subjects.get(0).code(),
                    "every",
                    every == null ? 0 : every);
        });
    }

    private List<Subject> subjects(Scope scope, String of, UUID place) {
        List<Subject> found = switch (scope) {
            case BATCH ->
                vessels.inVesselOf(batches.entry(of == null ? "" : of).batch()).stream()
                        .map(RoundWork::subject)
                        .toList();
            case STOCK ->
                List.of(subject(stock.find(id(of))
                        .orElseThrow(() -> new NotFound(Messages.text("CareLogController.no.stock.plant")))));
            case PLACE, ALL -> standing(scope == Scope.ALL ? null : place);
        };
        if (found.isEmpty()) {
            throw new InvalidField("scope", Messages.text("CareBook.nothing.there"));
        }
        return found;
    }

    private List<Subject> standing(UUID place) {
        Stream<Subject> running = batches.open().stream()
                .map(BatchBook.Entry::batch)
                .filter(BatchView::isStuck)
                .map(RoundWork::subject);
        Stream<Subject> parents = stock.live().stream().map(CareLogController::subject);
        return Stream.concat(running, parents)
                .filter(s -> place == null || place.equals(s.place()))
                .toList();
    }

    private static Subject subject(StockPlantView plant) {
        return new Subject(
                Subject.Kind.STOCK, plant.id(), plant.code(), plant.place().id());
    }

    private static UUID id(String text) {
        try {
            return UUID.fromString(text == null ? "" : text);
        } catch (IllegalArgumentException e) {
            throw new NotFound(Messages.text("CareLogController.no.stock.plant"));
        }
    }
}
