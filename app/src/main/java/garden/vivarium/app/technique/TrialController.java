package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.label.ArmShapes;
import garden.vivarium.app.label.BatchLabels;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.TrialSize;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Trials: from a question to a design, its trays, and what it came to. */
@Controller
@RequestMapping("/technique/trials")
class TrialController {

    private static final int ROWS = 6;
    private static final int COLUMNS = 12;
    private static final int FEWEST = 4;
    /** Beyond it no rate is looked for. */
    private static final double MOST_OF_100 = 97.9;

    private final Trials trials;
    private final Differences differences;
    private final Stock stock;
    private final Guide guide;
    private final Protocols protocols;
    private final BatchBook book;
    private final BatchLabels labels;
    private final Words words;
    private final Today today;

    TrialController(
            Trials trials,
            Differences differences,
            Stock stock,
            Guide guide,
            Protocols protocols,
            BatchBook book,
            BatchLabels labels,
            Words words,
            Today today) {
        this.trials = trials;
        this.differences = differences;
        this.stock = stock;
        this.guide = guide;
        this.protocols = protocols;
        this.book = book;
        this.labels = labels;
        this.words = words;
        this.today = today;
    }

    @GetMapping
    String all(Model model) {
        model.addAttribute("trials", trials.all());
        return "technique/trials";
    }

    /** The form, filled from the question that led here and from what the record says of both ways. */
    @GetMapping("/new")
    String form(
            @RequestParam(required = false) Factor factor,
            @RequestParam(required = false) String plant,
            @RequestParam(required = false) String a,
            @RequestParam(required = false) String b,
            @RequestParam(required = false) UUID stockPlant,
            Model model) {
        Factor asked = factor == null || !factor.isQuestion() ? Factor.MEDIUM : factor;
        List<StockPlantView> plants = stock.live();
        Optional<StockPlantView> from = plants.stream()
                .filter(p -> p.id().equals(stockPlant))
                .findFirst()
                .or(() -> plants.stream()
                        .filter(p -> p.plant().name().equals(plant))
                        .findFirst())
                .or(() -> plants.stream().findFirst());
        String of = from.map(p -> p.plant().name()).orElse("");
        Optional<Comparison> known = differences
                .answer(new Differences.Question(asked, of, a == null ? "" : a, b == null ? "" : b))
                .comparison();
        model.addAttribute("factor", asked);
        model.addAttribute(
                "factors",
                Arrays.stream(Factor.values()).filter(Factor::isQuestion).toList());
        model.addAttribute("plants", plants);
        model.addAttribute("from", from.orElse(null));
        List<Protocol> ways =
                from.map(p -> protocols.suiting(p.plant().group())).orElse(List.of());
        model.addAttribute("ways", ways);
        model.addAttribute(
                "a", a != null ? a : known.map(c -> c.first().value()).orElse(""));
        model.addAttribute(
                "b", b != null ? b : known.map(c -> c.second().value()).orElse(""));
        int knownA = rate(known.map(c -> c.first().share()).orElse(0.6));
        int knownB = rate(known.map(c -> c.second().share()).orElse(0.8));
        int apartB = Math.abs(knownA - knownB) < 10 ? (knownA > 79 ? knownA - 20 : knownA + 20) : knownB;
        model.addAttribute("rateA", knownA);
        model.addAttribute("rateB", apartB);
        model.addAttribute("needed", Trials.needed(knownA, apartB, 2));
        model.addAttribute("rows", ROWS);
        model.addAttribute("columns", COLUMNS);
        model.addAttribute(
                "end",
                today.date()
                        .plusDays(ways.stream()
                                        .findFirst()
                                        .map(p -> p.ready().days().d90())
                                        .map(Math::round)
                                        .orElse(60L)
                                + 14));
        return "technique/trial-new";
    }

    private static int rate(double share) {
        return (int) Math.max(5, Math.min(95, Math.round(100 * share)));
    }

    /** How many pieces two rates ask for, in a sentence. */
    @GetMapping(path = "/size", produces = "text/plain;charset=UTF-8")
    @ResponseBody
    String size(
            @RequestParam(required = false) String rateA,
            @RequestParam(required = false) String rateB,
            @RequestParam(required = false) String perArm,
            @RequestParam(defaultValue = "2") int arms) {
        int a = rate(rateA);
        int b = rate(rateB);
        int of = Math.max(2, Math.min(4, arms));
        int needed = a == 0 || b == 0 || a == b ? 0 : Trials.needed(a, b, of);
        // Fewer than are needed tell less; more need no word.
        int typed = needed > 0 && perArm != null && perArm.matches("[1-9]\\d{0,3}") ? Integer.parseInt(perArm) : 0;
        boolean few = typed >= FEWEST && typed < needed;
        int low = Math.min(a, b);
        double shows = few ? 100 * TrialSize.shows(low / 100.0, typed, of) : 0;
        return words.say(
                "trial.needed",
                "needed",
                needed,
                "a",
                a,
                "b",
                b,
                "all",
                of * needed,
                "typed",
                few ? typed : 0,
                "shows",
                low + shows > MOST_OF_100 ? 0 : Math.round(shows));
    }

    /** 1 to 99 of a hundred, or 0 where it is no such number. */
    private static int rate(String typed) {
        return typed != null && typed.matches("[1-9]\\d?") ? Integer.parseInt(typed) : 0;
    }

    @PostMapping
    String design(
            @RequestParam(required = false) UUID stockPlant,
            @RequestParam(required = false) String protocol,
            @RequestParam Factor factor,
            @RequestParam(required = false) String a,
            @RequestParam(required = false) String b,
            @RequestParam(required = false) String c,
            @RequestParam(required = false) String d,
            @RequestParam(required = false) String rateA,
            @RequestParam(required = false) String rateB,
            @RequestParam(required = false) String perArm,
            @RequestParam(required = false) String rows,
            @RequestParam(required = false) String columns,
            @RequestParam(required = false) LocalDate end,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/technique/trials/new", () -> {
            if (stockPlant == null) {
                throw new InvalidField("stockPlant", Messages.text("Trials.plant"));
            }
            UUID made = trials.design(new Trials.Wanted(
                    stockPlant,
                    protocol,
                    factor,
                    Arrays.asList(a, b, c, d),
                    new int[] {whole("rateA", rateA, 60), whole("rateB", rateB, 80)},
                    Figures.whole("perArm", perArm),
                    whole("rows", rows, ROWS),
                    whole("columns", columns, COLUMNS),
                    end));
            return new FormActions.Result(Messages.text("Trials.drawn"), "/technique/trials/" + made);
        });
    }

    private static int whole(String field, String typed, int usual) {
        Integer number = Figures.whole(field, typed);
        return number == null ? usual : number;
    }

    @GetMapping("/{id}")
    String one(@PathVariable UUID id, Model model) {
        Trials.Sheet sheet = trials.sheet(id);
        model.addAttribute("sheet", sheet);
        model.addAttribute("t", sheet.trial());
        model.addAttribute("mayClose", sheet.mayClose(today.date()));
        model.addAttribute("result", sheet.result().orElse(null));
        model.addAttribute(
                "isToKeep",
                sheet.trial().asks().factor().isOfAWay()
                        && sheet.result().filter(r -> r.best().isPresent()).isPresent());
        model.addAttribute("now", sheet.result().map(trials::inWords).orElse(null));
        model.addAttribute("shapes", ArmShapes.PATHS);
        model.addAttribute("places", stock.places());
        model.addAttribute("cautions", guide.caution("blade").stream().toList());
        return "technique/trial";
    }

    /** Every cell with its arm, and what became of it once the arms may be seen. */
    @GetMapping("/{id}.csv")
    ResponseEntity<String> csv(@PathVariable UUID id) {
        Trials.Sheet sheet = trials.sheet(id);
        List<List<Object>> rows = new ArrayList<>();
        sheet.trays().forEach(tray -> {
            for (int i = 0; i < tray.cells().size(); i++) {
                if (tray.cells().get(i) >= 0) {
                    rows.add(List.of(
                            tray.number(),
                            i / sheet.trial().size().columns() + 1,
                            i % sheet.trial().size().columns() + 1,
                            sheet.trial().asks().arms().get(tray.cells().get(i)),
                            tray.states() == null || tray.states().get(i) == null
                                    ? ""
                                    : tray.states().get(i).code()));
                }
            }
        });
        return CsvAnswer.of("trial.csv", List.of("tray", "row", "column", "arm", "state"), rows);
    }

    @PostMapping("/{id}/stick")
    String stick(
            @PathVariable UUID id,
            @RequestParam(required = false) String place,
            @RequestParam(required = false) LocalDate stuckOn,
            @RequestParam(required = false) String reason,
            RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.stick(id, place, stuckOn == null ? today.date() : stuckOn, reason);
            return Messages.text("Trials.stuck");
        });
    }

    @PostMapping("/{id}/drop")
    String drop(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.runAndGo(next, "/technique/trials/" + id, () -> {
            trials.drop(id);
            return new FormActions.Result(Messages.text("Trials.dropped"), "/technique/trials");
        });
    }

    @PostMapping("/{id}/peek")
    String peek(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.peek(id);
            return Messages.text("Trials.peeked");
        });
    }

    @PostMapping("/{id}/close")
    String close(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.close(id);
            return Messages.text("Trials.read");
        });
    }

    @PostMapping("/{id}/end")
    String end(@PathVariable UUID id, @RequestParam(required = false) LocalDate end, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.moveEnd(id, end);
            return Messages.text("Trials.end.moved");
        });
    }

    @PostMapping("/{id}/reopen")
    String reopen(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.reopen(id);
            return Messages.text("Trials.reopened");
        });
    }

    /** What the ways are called, in the order of their shapes. */
    @PostMapping("/{id}/arms")
    String arms(
            @PathVariable UUID id,
            @RequestParam(required = false) String a,
            @RequestParam(required = false) String b,
            @RequestParam(required = false) String c,
            @RequestParam(required = false) String d,
            RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            trials.call(id, Arrays.asList(a, b, c, d));
            return Messages.text("Trials.called");
        });
    }

    /** A label for each tray, with its code. */
    @PostMapping("/{id}/labels")
    String labels(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            List<BatchView> trays = List.copyOf(book.ofIds(trials.batches(id)).values());
            next.addFlashAttribute("labelsMade", labels.ready(trays).toString());
            return Messages.text("Trials.labels");
        });
    }

    /** A small label for each cell, with the shape of its way. */
    @PostMapping("/{id}/cell-labels")
    String cellLabels(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique/trials/" + id, () -> {
            next.addFlashAttribute(
                    "labelsMade", labels.ofCells(trials.cells(id)).toString());
            return Messages.text("Trials.labels.cells");
        });
    }

    @PostMapping("/{id}/usual")
    String usual(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(
                next,
                "/technique/trials/" + id,
                () -> Messages.text(
                        "Technique.usual.made",
                        "what",
                        trials.makeUsual(id),
                        "plant",
                        trials.sheet(id).trial().asks().plant()));
    }
}
