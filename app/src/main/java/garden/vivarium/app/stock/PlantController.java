package garden.vivarium.app.stock;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Verdict;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A plant's page: what it is, and the ways that are struck off or added for it here. */
@Controller
@RequestMapping("/stock")
class PlantController {

    private static final int LONGEST_NAME = 120;

    private final Plants plants;
    private final Stock stock;
    private final Guide guide;
    private final KindsCalled called;

    PlantController(Plants plants, Stock stock, Guide guide, KindsCalled called) {
        this.plants = plants;
        this.stock = stock;
        this.guide = guide;
        this.called = called;
    }

    /** What the guide makes of a name. */
    @GetMapping(path = "/kind", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    KindGuess kind(
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String group,
            @RequestParam(required = false) String chosen) {
        Optional<PlantKind> kind = guide.kind(chosen);
        if (kind.isPresent()) {
            return KindGuess.of(guide, kind.get(), true, List.of());
        }
        String typed = name == null ? "" : name;
        String said = group == null ? "" : group;
        return KindGuess.of(guide, called.read(typed.substring(0, Math.min(typed.length(), LONGEST_NAME)), said), said);
    }

    /**
     * A method as it stands for a plant.
     *
     * @param method its name
     * @param verdict what the guide says; empty where it does not know the kind
     * @param why why it is never used; empty for others
     * @param here what was said of it here
     */
    record Standing(String method, Optional<Verdict> verdict, String why, Optional<PlantWayView> here) {

        /** Whether it is offered now. */
        public boolean isOffered() {
            return here.map(h -> !h.struck())
                    .orElse(verdict.map(v -> v != Verdict.NEVER).orElse(true));
        }
    }

    @GetMapping("/plants/{id}")
    String plant(@PathVariable UUID id, Model model) {
        return page(id, model);
    }

    @PostMapping("/plants/{id}/strike")
    String strike(
            @PathVariable UUID id,
            @RequestParam String method,
            @RequestParam(required = false) String word,
            Model model,
            RedirectAttributes next) {
        return say(id, model, next, "PlantController.struck", method, word, () -> plants.strike(id, method, word));
    }

    @PostMapping("/plants/{id}/add")
    String add(
            @PathVariable UUID id,
            @RequestParam String method,
            @RequestParam(required = false) String word,
            Model model,
            RedirectAttributes next) {
        return say(id, model, next, "PlantController.added", method, word, () -> plants.add(id, method, word));
    }

    @PostMapping("/plants/{id}/take-back")
    String takeBack(@PathVariable UUID id, @RequestParam String method, RedirectAttributes next) {
        find(id);
        plants.takeBack(id, method);
        next.addFlashAttribute("said", Messages.text("PlantController.taken.back", "method", method));
        return "redirect:/stock/plants/" + id;
    }

    @PostMapping("/plants/{id}/merge")
    String merge(
            @PathVariable UUID id, @RequestParam(required = false) UUID into, Model model, RedirectAttributes next) {
        PlantView gone = find(id);
        try {
            if (into == null) {
                throw new InvalidField("into", Messages.text("Plants.no.such.plant"));
            }
            PlantView stays = plants.merge(id, into);
            next.addFlashAttribute(
                    "said", Messages.text("PlantController.merged", "gone", gone.name(), "stays", stays.name()));
            return "redirect:/stock/plants/" + stays.id();
        } catch (InvalidField wrong) {
            model.addAttribute("wrong", wrong);
            model.addAttribute("wrongWords", wrong.getMessage());
            return page(id, model);
        }
    }

    private String say(
            UUID id, Model model, RedirectAttributes next, String said, String method, String word, Runnable act) {
        find(id);
        try {
            act.run();
            next.addFlashAttribute("said", Messages.text(said, "method", method));
            return "redirect:/stock/plants/" + id;
        } catch (InvalidField wrong) {
            model.addAttribute("wrong", wrong);
            model.addAttribute("wrongMethod", method);
            model.addAttribute("wrongWords", wrong.getMessage());
            model.addAttribute("typed", word);
            return page(id, model);
        }
    }

    private String page(UUID id, Model model) {
        PlantView plant = find(id);
        Optional<PlantKind> kind = guide.kind(plant.kind());
        List<PlantWayView> here = plants.ways(id);
        model.addAttribute("plant", plant);
        model.addAttribute("kind", kind.orElse(null));
        model.addAttribute("group", guide.group(plant.group()).orElse(null));
        model.addAttribute("cautions", guide.cautions(plant.grown()));
        model.addAttribute(
                "standings",
                guide.methods().stream()
                        .map(m -> standing(kind, m, here))
                        .filter(s -> kind.isPresent()
                                || s.here().isPresent()
                                || guide.suiting(plant.group()).stream()
                                        .anyMatch(p -> p.method().equals(s.method())))
                        .sorted(Comparator.comparing((Standing s) -> !s.isOffered())
                                .thenComparing(s -> s.verdict().orElse(Verdict.POSSIBLE))
                                .thenComparing(
                                        s -> kind.map(k -> k.rank(s.method())).orElse(0)))
                        .toList());
        model.addAttribute(
                "stock",
                stock.all().stream().filter(s -> s.plant().id().equals(id)).toList());
        model.addAttribute(
                "others", plants.all().stream().filter(p -> !p.id().equals(id)).toList());
        return "stock/plant";
    }

    private Standing standing(Optional<PlantKind> kind, Method method, List<PlantWayView> here) {
        Optional<Verdict> verdict = kind.map(k -> k.verdict(method.name()));
        return new Standing(
                method.name(),
                verdict,
                verdict.filter(v -> v == Verdict.NEVER)
                        .map(v -> guide.whyNever(kind.orElseThrow(), method))
                        .orElse(""),
                here.stream().filter(w -> w.method().equals(method.name())).findFirst());
    }

    private PlantView find(UUID id) {
        return plants.find(id).orElseThrow(() -> new NotFound(Messages.text("PlantController.no.such.plant")));
    }
}
