package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchCorrections;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import jakarta.validation.Valid;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Correcting and withdrawing a batch. */
@Controller
class CorrectController {

    private final BatchCorrections corrections;
    private final BatchBook book;
    private final OwnWays own;
    private final Stock stock;
    private final Protocols protocols;
    private final Guide guide;

    CorrectController(
            BatchCorrections corrections, BatchBook book, OwnWays own, Stock stock, Protocols protocols, Guide guide) {
        this.corrections = corrections;
        this.book = book;
        this.own = own;
        this.stock = stock;
        this.protocols = protocols;
        this.guide = guide;
    }

    @GetMapping("/batches/{code}/correct")
    String ask(@PathVariable String code, Model model) {
        BatchView batch = book.entry(code).batch();
        String place = stock.places().stream()
                .filter(p -> p.id().equals(batch.placeId()))
                .map(PlaceView::name)
                .findFirst()
                .orElse("");
        model.addAttribute("form", CorrectForm.of(batch, place));
        return show(batch, model);
    }

    @PostMapping("/batches/{code}/correct")
    String correct(
            @PathVariable String code,
            @Valid @ModelAttribute("form") CorrectForm form,
            BindingResult wrong,
            Model model,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        BatchView batch = book.entry(code).batch();
        if (!wrong.hasErrors()) {
            try {
                BatchView now = corrections.correct(code, corrected(form, batch), form.why());
                next.addFlashAttribute(
                        "said",
                        now.changes() == batch.changes()
                                ? "Nothing was changed."
                                : "Corrected; what was written down before stands below.");
                return "redirect:/batches/" + code;
            } catch (InvalidField p) {
                FieldPath.reject(wrong, CorrectForm.class, p);
            }
        }
        return show(batch, model);
    }

    private NewBatch corrected(CorrectForm form, BatchView was) {
        NewBatch now = form.batch(
                was,
                plant(form, was),
                stock.placeNamed(form.stands().place(), Climate.HEATED).id(),
                protocol(form),
                own.medium("medium", form.done().medium(), form.done().isOwnMedium()));
        if (now.done().contradicts(now.taking()) && !form.done().isSameDay()) {
            throw new InvalidField("sameDay", Messages.text("Sticking.callus.same.day"));
        }
        return now;
    }

    private PlantView plant(CorrectForm form, BatchView was) {
        if (form.from().stockPlant() != null) {
            return stock.find(form.from().stockPlant())
                    .orElseThrow(() -> new InvalidField("stockPlant", Messages.text("CorrectController.no.such.stock")))
                    .plant();
        }
        String name = form.from().plant();
        if (name == null || name.isBlank()) {
            throw new InvalidField("plant", Messages.text("CorrectController.say.which.plant"));
        }
        return stock.plantNamed(name.strip(), was.group());
    }

    private Optional<Protocol> protocol(CorrectForm form) {
        String way = form.done().way();
        if (way == null || way.isBlank()) {
            if (guide.method(form.done().method() == null ? "" : form.done().method())
                    .isEmpty()) {
                throw new InvalidField("method", Messages.text("CorrectController.no.such.method"));
            }
            return Optional.empty();
        }
        int colon = way.lastIndexOf(':');
        if (colon < 1 || !way.substring(colon + 1).matches("\\d{1,6}")) {
            throw new InvalidField("way", Messages.text("Batches.way.not.guide.choose"));
        }
        return Optional.of(protocols
                .version(way.substring(0, colon), Integer.parseInt(way.substring(colon + 1)))
                .orElseThrow(() -> new InvalidField("way", Messages.text("Batches.way.not.guide.choose"))));
    }

    private String show(BatchView batch, Model model) {
        model.addAttribute("batch", batch);
        model.addAttribute("stock", stock.all());
        model.addAttribute("plants", stock.plants());
        model.addAttribute("places", stock.places());
        model.addAttribute("media", own.media());
        model.addAttribute("methods", guide.methods());
        Stream<Protocol> kept = protocols.version(batch.protocol(), batch.protocolVersion()).stream();
        model.addAttribute(
                "ways",
                Stream.concat(kept, Stream.concat(protocols.own().stream(), guide.protocols().stream()))
                        .map(p -> new WayChoice(CorrectForm.key(p.key(), p.version()), title(p)))
                        .distinct()
                        .sorted(Comparator.comparing(WayChoice::title))
                        .toList());
        return "bench/correct";
    }

    /** A protocol to choose. */
    record WayChoice(String key, String title) {}

    private static String title(Protocol p) {
        return p.isOwn() ? p.title() + ", version " + p.version() : p.title();
    }

    @PostMapping("/batches/{code}/withdraw")
    String withdraw(@PathVariable String code, @RequestParam(required = false) String why, RedirectAttributes next) {
        String back = FormActions.run(next, "/batches/withdrawn", () -> {
            corrections.withdraw(code, why);
            return Messages.text("CorrectController.withdrawn", "code", code);
        });
        return next.getFlashAttributes().containsKey("said") ? back : "redirect:/batches/" + code + "/correct";
    }

    @PostMapping("/batches/{code}/unstick")
    String unstick(@PathVariable String code, @RequestParam(required = false) String why, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            corrections.unstick(code, why);
            return Messages.text("CorrectController.they.dry.still.stick.them");
        });
    }

    @GetMapping("/batches/withdrawn")
    String withdrawn(Model model) {
        List<?> all = corrections.withdrawn();
        model.addAttribute("withdrawn", all);
        return "bench/withdrawn";
    }

    @PostMapping("/batches/{code}/restore")
    String restore(@PathVariable String code, RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            corrections.restore(code);
            return Messages.text("CorrectController.restored", "code", code);
        });
    }
}
