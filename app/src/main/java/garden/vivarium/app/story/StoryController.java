package garden.vivarium.app.story;

import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Sorts;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.stock.Quarantine;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The sheet and the family of a stock plant, and what is done with it. */
@Controller
@RequestMapping("/stock/{id}")
class StoryController {

    private static final String COUNT = "count-";

    /** Sorts of pieces that a plant is divided into. */
    private static final Set<String> DIVIDED = Set.of("growths", "crowns", "eyes", "bulbs", "fans");

    private final Stories stories;
    private final Families families;
    private final Stock stock;
    private final StockCounts counts;
    private final StockCare stockCare;
    private final StockPotting potting;
    private final Corrections corrections;
    private final Guide guide;
    private final Sorts sorts;
    private final Photos photos;
    private final Today today;
    private final Words words;

    StoryController(
            Stories stories,
            Families families,
            Stock stock,
            StockCounts counts,
            StockCare stockCare,
            StockPotting potting,
            Corrections corrections,
            Guide guide,
            Sorts sorts,
            Photos photos,
            Today today,
            Words words) {
        this.stories = stories;
        this.families = families;
        this.stock = stock;
        this.counts = counts;
        this.stockCare = stockCare;
        this.potting = potting;
        this.corrections = corrections;
        this.guide = guide;
        this.sorts = sorts;
        this.photos = photos;
        this.today = today;
        this.words = words;
    }

    @GetMapping
    String sheet(@PathVariable UUID id, Model model) {
        StorySheet sheet = stories.sheet(id);
        model.addAttribute("s", sheet);
        model.addAttribute("cautions", guide.cautions(sheet.plant().plant().grown()));
        List<PieceSort> given = sorts.of(sheet.plant().plant().grown());
        model.addAttribute("given", given);
        model.addAttribute("divisible", given.stream().anyMatch(s -> DIVIDED.contains(s.key())));
        model.addAttribute("corrected", corrections.of(id));
        model.addAttribute("photos", photos.ofStock(id));
        model.addAttribute("acts", CareAct.values());
        model.addAttribute("states", StockState.values());
        model.addAttribute("pests", Quarantine.Pest.values());
        model.addAttribute("potting", potting.proposed(sheet.plant().plant()).orElse(null));
        model.addAttribute("whys", StockPotting.Why.values());
        model.addAttribute("bags", guide.caution("compost").stream().toList());
        return "story/sheet";
    }

    @GetMapping("/family")
    String family(@PathVariable UUID id, Model model) {
        model.addAttribute("plant", plant(id));
        model.addAttribute("family", families.of(id));
        return "story/family";
    }

    @PostMapping("/look")
    String look(
            @PathVariable UUID id,
            @RequestParam LocalDate lookedOn,
            @RequestParam(required = false) Integer pieces,
            @RequestParam(required = false) Integer shoots,
            @RequestParam StockState state,
            @RequestParam(required = false) String note,
            @RequestParam Map<String, String> typed,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            StockPlantView plant = counts.look(id, lookedOn, pieces, counts(typed), shoots, state, note);
            return Messages.text(
                    "StoryController.looked.at",
                    "code",
                    plant.code(),
                    "state",
                    plant.state().words());
        });
    }

    /** "count-leaves" is how many leaves it bears. */
    private static Map<String, Integer> counts(Map<String, String> typed) {
        Map<String, Integer> counts = new TreeMap<>();
        typed.forEach((name, value) -> {
            if (name.startsWith(COUNT) && !value.isBlank()) {
                try {
                    counts.put(name.substring(COUNT.length()), Integer.valueOf(value.strip()));
                } catch (NumberFormatException notANumber) {
                    throw new InvalidField("pieces", Messages.text("StoryController.not.a.number", "typed", value));
                }
            }
        });
        return counts;
    }

    @PostMapping("/cut")
    String cut(
            @PathVariable UUID id,
            @RequestParam LocalDate cutOn,
            @RequestParam(required = false) String sort,
            @RequestParam int pieces,
            @RequestParam(defaultValue = "false") boolean hard,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            today.refuseFuture("cutOn", cutOn);
            if (pieces < 1 || pieces > Limits.MOST_FROM_ONE_PLANT) {
                throw new InvalidField(
                        "pieces",
                        Messages.text(
                                "StoryController.cannot.cut.give",
                                "pieces",
                                pieces,
                                "mostFromOnePlant",
                                Limits.MOST_FROM_ONE_PLANT));
            }
            if (sort == null) {
                counts.cut(id, pieces, cutOn, hard);
            } else {
                String known = guide.sort(sort)
                        .orElseThrow(() -> new InvalidField("sort", Messages.text("StoryController.no.such.sort")))
                        .key();
                counts.cut(id, known, pieces, cutOn, hard);
            }
            return Messages.text("StoryController.cut", "pieces", pieces);
        });
    }

    @PostMapping("/pot")
    String pot(
            @PathVariable UUID id,
            @RequestParam StockPotting.Why why,
            @RequestParam String acrossCm,
            @RequestParam(required = false) String mix,
            @RequestParam LocalDate pottedOn,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> potting.pot(id, why, acrossCm, mix, pottedOn));
    }

    @PostMapping("/quarantine")
    String quarantine(
            @PathVariable UUID id,
            @RequestParam Quarantine.Pest pest,
            @RequestParam LocalDate start,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            return words.of(stockCare.quarantine(id, pest, start).why());
        });
    }

    @PostMapping("/lift")
    String lift(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            stock.quarantine(id, null);
            return Messages.text("StoryController.out.of.quarantine");
        });
    }

    @PostMapping("/rest-seen")
    String restSeen(@PathVariable UUID id, RedirectAttributes next) {
        stock.restSeen(id);
        next.addFlashAttribute("said", Messages.text("StoryController.seen.the.round.is.silent"));
        return "redirect:/round";
    }

    @PostMapping("/woken")
    String woken(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean notYet, RedirectAttributes next) {
        StockPlantView plant = stockCare.woken(id, notYet);
        next.addFlashAttribute(
                "said",
                notYet
                        ? Messages.text("StoryController.not.yet.round.asks", "code", plant.code())
                        : Messages.text("StoryController.has.woken", "code", plant.code()));
        return "redirect:/round";
    }

    @PostMapping("/care")
    String care(
            @PathVariable UUID id,
            @RequestParam(required = false) String what,
            @RequestParam LocalDate doneOn,
            @RequestParam(defaultValue = "0") int askAfter,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            stockCare.did(id, what, doneOn, askAfter);
            return Messages.text("StoryController.written.down");
        });
    }

    private StockPlantView plant(UUID id) {
        return stock.find(id).orElseThrow(() -> new NotFound(Messages.text("StoryController.no.such.stock.plant")));
    }
}
