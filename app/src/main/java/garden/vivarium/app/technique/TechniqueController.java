package garden.vivarium.app.technique;

import garden.vivarium.app.batch.TreatmentsToSettle;
import garden.vivarium.app.evidence.CurveDrawing;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.UsualWays;
import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.WhatToDo;
import garden.vivarium.core.evidence.NurseryRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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

/** The Technique place: what should change, and every way that has data. */
@Controller
@RequestMapping("/technique")
class TechniqueController {

    /** More than so many curves nobody tells apart. */
    private static final int MOST_CURVES = 4;

    private final Technique technique;
    private final Advising advising;
    private final UsualWays usual;
    private final Words words;
    private final TreatmentsToSettle treatmentsToSettle;

    TechniqueController(
            Technique technique,
            Advising advising,
            UsualWays usual,
            Words words,
            TreatmentsToSettle treatmentsToSettle) {
        this.technique = technique;
        this.advising = advising;
        this.usual = usual;
        this.words = words;
        this.treatmentsToSettle = treatmentsToSettle;
    }

    /** A way that is drawn, with what the words beside its curve say. */
    record Drawn(WayLine line, garden.vivarium.core.evidence.RootingCurve.Between median) {}

    @GetMapping
    String ways(
            @RequestParam(required = false) List<String> way,
            @RequestParam(defaultValue = "BY_PLANT") WaySort by,
            @RequestParam(defaultValue = "false") boolean all,
            Model model) {
        NurseryRecord record = technique.record();
        int count = technique.count(record);
        List<WayLine> chosen = chosen(record, way);
        List<CurveDrawing> curves = chosen.stream()
                .flatMap(l -> technique.curve(record, l.way()).stream())
                .toList();
        List<TreatmentsToSettle.Unread> unread = treatmentsToSettle.all();
        model.addAttribute("unread", unread);
        model.addAttribute(
                "unreadBatches",
                unread.stream().flatMap(u -> u.codes().stream()).distinct().count());
        model.addAttribute("lines", all ? technique.ways(record, by) : technique.first(record, by, Technique.SHOWN));
        model.addAttribute("more", all ? 0 : Math.max(0, count - Technique.SHOWN));
        model.addAttribute("by", by);
        model.addAttribute("sorts", WaySort.values());
        model.addAttribute("young", record.isYoung());
        model.addAttribute("spread", record.spread());
        model.addAttribute("speed", record.speed());
        model.addAttribute(
                "drawn",
                chosen.stream()
                        .map(l -> new Drawn(l, technique.median(record, l.way()).orElse(null)))
                        .toList());
        model.addAttribute("keys", chosen.stream().map(WayLine::key).toList());
        model.addAttribute("curves", curves);
        if (chosen.size() == 2) {
            model.addAttribute(
                    "differences",
                    Technique.differences(chosen.get(0).way(), chosen.get(1).way()));
        }
        model.addAttribute("todo", advising.now());
        model.addAttribute("usual", usual.all());
        return "technique/technique";
    }

    private List<WayLine> chosen(NurseryRecord record, List<String> keys) {
        List<WayLine> chosen = keys == null
                ? new ArrayList<>()
                : new ArrayList<>(keys.stream()
                        .flatMap(k -> technique.find(record, k).stream())
                        .distinct()
                        .limit(MOST_CURVES)
                        .toList());
        if (chosen.isEmpty()) {
            technique.most(record).ifPresent(chosen::add);
        }
        return chosen;
    }

    /** What a sentence says is done from now on. */
    @PostMapping("/usual")
    String makeUsual(
            @RequestParam(required = false) String plant, @RequestParam Factor factor, RedirectAttributes next) {
        return FormActions.run(next, "/technique", () -> {
            String of = plant == null ? "" : plant;
            WhatToDo now = advising.now();
            WhatToDo.Sentence sentence = Stream.concat(now.sentences().stream(), now.needless().stream())
                    .filter(s ->
                            s.kind() != WhatToDo.Kind.LOOK_EARLIER && s.plant().equals(of))
                    .filter(s -> s.comparison()
                            .filter(c -> factor.isOfAWay() && c.asked().factor() == factor)
                            .isPresent())
                    .findFirst()
                    .orElseThrow(() -> new NotFound(Messages.text("TechniqueController.nothing.of.the.kind.is")));
            Comparison c = sentence.comparison().orElseThrow();
            Object what = Stream.of("better", "what")
                    .map(sentence.says().figures()::get)
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElseThrow();
            String value = sentence.kind() == WhatToDo.Kind.BETTER
                    ? what.toString()
                    : c.asked().first().equals(what)
                            ? c.asked().second()
                            : c.asked().first();
            usual.make(of, factor.name(), value, words.of(sentence.says()));
            return Messages.text("Technique.usual.made", "what", value, "plant", of);
        });
    }

    @PostMapping("/usual/{id}/drop")
    String dropUsual(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/technique", () -> {
            usual.drop(id);
            return Messages.text("Technique.usual.dropped");
        });
    }

    /** All ways as a table, with their numbers as they are reckoned. */
    @GetMapping("/ways.csv")
    ResponseEntity<String> csv(@RequestParam(defaultValue = "BY_PLANT") WaySort by) {
        List<List<Object>> rows = new ArrayList<>();
        for (WayLine l : technique.ways(technique.record(), by)) {
            rows.add(List.of(
                    l.way().plant(),
                    l.way().method(),
                    l.way().medium(),
                    l.way().treatmentWritten(),
                    l.done().batches(),
                    l.done().pieces(),
                    l.done().ready(),
                    l.done().running(),
                    l.strike().mean(),
                    l.low(),
                    l.high(),
                    l.nextLow(),
                    l.nextHigh(),
                    l.firstSign().map(t -> (Object) t.day(0.5)).orElse(""),
                    l.time().day(0.1),
                    l.time().day(0.5),
                    l.time().day(0.9),
                    l.gives().settle(),
                    l.gives().output(),
                    l.gives().perPiece(),
                    l.gives().perTrayWeek()));
        }
        return CsvAnswer.of(
                "ways.csv",
                List.of(
                        "plant",
                        "method",
                        "medium",
                        "treatment",
                        "batches",
                        "stuck",
                        "ready",
                        "running",
                        "rate",
                        "rate_low",
                        "rate_high",
                        "next_low",
                        "next_high",
                        "first_sign_half",
                        "ready_tenth",
                        "ready_half",
                        "ready_ninetieth",
                        "settle",
                        "output",
                        "young_per_piece",
                        "young_per_tray_week"),
                rows);
    }

    /** The curves that are drawn, mass by mass. */
    @GetMapping("/curves.csv")
    ResponseEntity<String> curves(@RequestParam(required = false) List<String> way) {
        NurseryRecord record = technique.record();
        List<List<Object>> rows = new ArrayList<>();
        for (WayLine l : chosen(record, way)) {
            Optional<CurveDrawing> curve = technique.curve(record, l.way());
            curve.ifPresent(c -> {
                c.reached().forEach(m -> rows.add(List.of(c.name(), "ready", m[0], m[1], m[2])));
                c.lost().forEach(m -> rows.add(List.of(c.name(), "lost", m[0], m[1], m[2])));
                rows.add(List.of(c.name(), "neither", c.lastDay(), "", c.neither()));
            });
        }
        return CsvAnswer.of("curves.csv", List.of("way", "what", "after", "by", "share"), rows);
    }

    /** Where each way was tried, for whoever narrows the list by a place. */
    @GetMapping("/places")
    @ResponseBody
    Map<String, String> places() {
        return technique.places();
    }
}
