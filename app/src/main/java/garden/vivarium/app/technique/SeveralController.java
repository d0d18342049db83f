package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.core.compare.DoseCurve;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.LearnedClock;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.compare.Together;
import garden.vivarium.core.measure.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Several things at once, and things that are measured: how much of each, and what the days go by. */
@Controller
@RequestMapping("/technique")
class SeveralController {

    private static final List<Factor> USUALLY_ASKED = List.of(Factor.MEDIUM, Factor.HORMONE, Factor.SEASON);

    private final Measured measured;
    private final JudgedBatches judged;
    private final Differences differences;
    private final Watched watched;
    private final Evidence evidence;
    private final Measures measures;

    SeveralController(
            Measured measured,
            JudgedBatches judged,
            Differences differences,
            Watched watched,
            Evidence evidence,
            Measures measures) {
        this.measured = measured;
        this.judged = judged;
        this.watched = watched;
        this.differences = differences;
        this.evidence = evidence;
        this.measures = measures;
    }

    /** What is asked about a measure, and how much more of it the days are told for. */
    private static double step(Measure measure) {
        return measure == Measure.WARMTH ? 3 : 2;
    }

    private double rho() {
        return evidence.record().spread().rho();
    }

    private Together together(List<Factor> factors, String plant) {
        List<FinishedBatch> all = judged.all().stream()
                .filter(b -> plant.isBlank() || b.plant().equals(plant))
                .toList();
        return Together.of(watched.allowedFor(all), factors, rho());
    }

    private List<Factor> asked(List<Factor> factor) {
        List<Factor> possible = differences.questions();
        return factor == null
                ? USUALLY_ASKED.stream().filter(possible::contains).toList()
                : factor.stream().filter(possible::contains).toList();
    }

    @GetMapping("/several")
    String several(
            @RequestParam(required = false) List<Factor> factor,
            @RequestParam(required = false) String plant,
            Model model) {
        List<Factor> asked = asked(factor);
        String of = plant == null ? "" : plant;
        model.addAttribute("questions", differences.questions());
        model.addAttribute("plants", differences.plants());
        model.addAttribute("asked", asked);
        model.addAttribute("plant", of);
        model.addAttribute("t", together(asked, of));
        return "technique/several";
    }

    @GetMapping("/several.csv")
    ResponseEntity<String> severalCsv(
            @RequestParam(required = false) List<Factor> factor, @RequestParam(required = false) String plant) {
        List<List<Object>> rows = new ArrayList<>();
        together(asked(factor), plant == null ? "" : plant)
                .effects()
                .forEach(e -> rows.add(
                        List.of(e.factor().name(), e.value(), e.beside(), e.batches(), e.more(), e.low(), e.high())));
        return CsvAnswer.of(
                "several.csv", List.of("factor", "value", "beside", "batches", "more", "low", "high"), rows);
    }

    /**
     * What is said of one measure.
     *
     * @param clock for warmth, day length and lamps; empty for others
     */
    record Told(Measure measure, double step, DoseCurve curve, Optional<LearnedClock> clock) {}

    private Told told(Measure measure, List<FinishedBatch> batches) {
        boolean times = measure == Measure.WARMTH || measure == Measure.DAYLIGHT || measure == Measure.LAMP;
        return new Told(
                measure,
                step(measure),
                DoseCurve.of(watched.allowedFor(batches), measure, rho()),
                times ? Optional.of(Measured.clock(batches, measure)) : Optional.empty());
    }

    /** What was measured of most batches, at different values. */
    private static Measure first(List<FinishedBatch> batches) {
        return Arrays.stream(Measure.values())
                .max(Comparator.comparingLong(m -> batches.stream()
                        .flatMap(b -> Optional.ofNullable(b.measures().get(m)).stream())
                        .map(v -> Math.round(v * 2))
                        .distinct()
                        .count()))
                .orElse(Measure.WARMTH);
    }

    @GetMapping("/measure")
    String measure(
            @RequestParam(required = false) Measure measure,
            @RequestParam(required = false) String plant,
            Model model) {
        String of = plant == null ? "" : plant;
        List<FinishedBatch> batches = measured.batches(of);
        Told told = told(measure == null ? first(batches) : measure, batches);
        model.addAttribute("measures", Measure.values());
        model.addAttribute("plants", differences.plants());
        model.addAttribute("plant", of);
        model.addAttribute("told", told);
        model.addAttribute("centimetre", measures.unit(Unit.CENTIMETRE));
        model.addAttribute("celsius", measures.unit(Unit.CELSIUS));
        model.addAttribute(
                "isClockLearned", told.clock().filter(c -> c.batches() > 0).isPresent());
        model.addAttribute("says", told.curve().says(told.measure()));
        model.addAttribute(
                "clock",
                told.clock().map(c -> c.says(told.measure(), told.step())).orElse(null));
        model.addAttribute(
                "drawing",
                DoseDrawing.of(told.curve(), at -> measures.shown(told.measure().quantity(at)))
                        .orElse(null));
        return "technique/measure";
    }

    @GetMapping("/measure.csv")
    ResponseEntity<String> measureCsv(
            @RequestParam(required = false) Measure measure, @RequestParam(required = false) String plant) {
        List<List<Object>> rows = new ArrayList<>();
        List<FinishedBatch> batches = measured.batches(plant == null ? "" : plant);
        Told told = told(measure == null ? first(batches) : measure, batches);
        told.curve().points().forEach(p -> rows.add(List.of(p.at(), p.share(), p.low(), p.high())));
        return CsvAnswer.of("measure.csv", List.of(told.measure().name(), "share", "low", "high"), rows);
    }
}
