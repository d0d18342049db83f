package garden.vivarium.app.benchmap;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.watch.PlaceFit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The bench map: its page, what is moved on it, and what each bench is. */
@Controller
@RequestMapping("/benches/map")
class BenchMapController {

    private final BenchMaps maps;
    private final BenchMoves moves;
    private final Measures measures;
    private final Words words;

    BenchMapController(BenchMaps maps, BenchMoves moves, Measures measures, Words words) {
        this.maps = maps;
        this.moves = moves;
        this.measures = measures;
        this.words = words;
    }

    @GetMapping
    String page(Model model) {
        List<BenchMaps.Drawn> places = maps.places();
        model.addAttribute("map", maps.map(places));
        model.addAttribute("places", places);
        model.addAttribute("lights", PlaceFit.Light.values());
        return "benchmap/map";
    }

    /**
     * Something that was moved on the map.
     *
     * @param what vessel, bench or house
     * @param of its label code, the place's id, or the house's name
     * @param place for a vessel, the bench it was put on
     */
    record Moved(String what, String of, UUID place, double x, double y) {}

    record Answer(String message) {}

    @PostMapping(path = "/move", consumes = "application/json", produces = "application/json")
    @ResponseBody
    ResponseEntity<Answer> move(@RequestBody Moved moved) {
        try {
            switch (moved.what() == null ? "" : moved.what()) {
                case "vessel" -> moves.put(moved.of(), moved.place(), moved.x(), moved.y());
                case "bench" -> moves.putBench(UUID.fromString(moved.of()), moved.x(), moved.y());
                case "house" -> moves.putHouse(moved.of(), moved.x(), moved.y());
                default -> throw new InvalidField("what", Messages.text("BenchMaps.far"));
            }
            return ResponseEntity.ok(new Answer("kept"));
        } catch (InvalidField refused) {
            return ResponseEntity.unprocessableEntity().body(new Answer(refused.getMessage()));
        }
    }

    @PostMapping("/place/{place}")
    String describe(
            @PathVariable UUID place,
            @RequestParam(required = false) String house,
            @RequestParam String wide,
            @RequestParam String deep,
            @RequestParam(required = false) String tempFrom,
            @RequestParam(required = false) String tempTo,
            @RequestParam(required = false) String humidityFrom,
            @RequestParam(required = false) String humidityTo,
            @RequestParam(required = false) PlaceFit.Light light,
            RedirectAttributes next) {
        return FormActions.run(next, "/benches/map", () -> {
            Optional<double[]> warmth = warmth(tempFrom, tempTo);
            Optional<double[]> humidity = humidity(humidityFrom, humidityTo);
            moves.describe(
                    place,
                    house,
                    new Size(needed("wide", wide), needed("deep", deep)),
                    new PlaceFit.Air(
                            warmth.map(w -> Warmth.between(w[0], w[1])),
                            humidity.map(h -> new PlaceFit.Range(h[0], h[1])),
                            Optional.ofNullable(light)));
            return Messages.text("BenchMaps.kept");
        });
    }

    private double needed(String field, String typed) {
        Double value = Figures.decimal(field, typed);
        if (value == null) {
            throw new InvalidField(field, BenchMoves.sizes(words));
        }
        return measures.metric(value, Unit.CENTIMETRE);
    }

    /** Two ends of a range of warmth, or neither. */
    private Optional<double[]> warmth(String from, String to) {
        Double low = Figures.decimal("tempFrom", from);
        Double high = Figures.decimal("tempTo", to);
        return range(
                "tempFrom",
                low == null ? null : (Double) measures.metric(low, Unit.CELSIUS),
                high == null ? null : (Double) measures.metric(high, Unit.CELSIUS),
                new Bounds(
                        Warmth.COLDEST,
                        Warmth.WARMEST,
                        measures.typed(Warmth.COLDEST, Unit.CELSIUS),
                        measures.typed(Warmth.WARMEST, Unit.CELSIUS)));
    }

    /** Two ends of a range in per cent, or neither. */
    private static Optional<double[]> humidity(String from, String to) {
        return range(
                "humidityFrom",
                Figures.decimal("humidityFrom", from),
                Figures.decimal("humidityTo", to),
                new Bounds(0, 100, "0", "100"));
    }

    /** What is believed, and how it is said to whoever typed. */
    private record Bounds(double least, double most, String saidLeast, String saidMost) {}

    private static Optional<double[]> range(String field, Double low, Double high, Bounds within) {
        if (low == null && high == null) {
            return Optional.empty();
        }
        if (low == null || high == null || low > high || low < within.least() || high > within.most()) {
            throw new InvalidField(
                    field, Messages.text("BenchMaps.range", "least", within.saidLeast(), "most", within.saidMost()));
        }
        return Optional.of(new double[] {low, high});
    }
}
