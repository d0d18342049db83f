package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.CurveDrawing;
import garden.vivarium.core.evidence.NurseryRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The Technique place. */
@Controller
@RequestMapping("/technique")
class TechniqueController {

    private final Technique technique;

    TechniqueController(Technique technique) {
        this.technique = technique;
    }

    @GetMapping
    String ways(@RequestParam(required = false) String a, @RequestParam(required = false) String b, Model model) {
        NurseryRecord record = technique.record();
        List<WayLine> lines = technique.ways(record);
        model.addAttribute("lines", lines);
        model.addAttribute("young", record.isYoung());
        model.addAttribute("spread", record.spread());
        model.addAttribute("speed", record.speed());
        Optional<WayLine> first = Technique.find(lines, a)
                .or(() ->
                        lines.stream().max(Comparator.comparingInt(l -> l.done().batches())));
        Optional<WayLine> second = Technique.find(lines, b).filter(l -> !l.equals(first.orElse(null)));
        List<CurveDrawing> curves = new ArrayList<>();
        first.flatMap(l -> technique.curve(record, l.way())).ifPresent(curves::add);
        second.flatMap(l -> technique.curve(record, l.way())).ifPresent(curves::add);
        model.addAttribute("first", first.orElse(null));
        model.addAttribute("second", second.orElse(null));
        model.addAttribute("curves", curves);
        first.flatMap(l -> technique.median(record, l.way())).ifPresent(m -> model.addAttribute("firstMedian", m));
        second.flatMap(l -> technique.median(record, l.way())).ifPresent(m -> model.addAttribute("secondMedian", m));
        if (first.isPresent() && second.isPresent()) {
            model.addAttribute(
                    "differences",
                    Technique.differences(first.get().way(), second.get().way()));
        }
        return "technique/technique";
    }

    /** Where each way was tried, for whoever narrows the list by a place. */
    @GetMapping("/places")
    @ResponseBody
    Map<String, String> places() {
        return technique.places();
    }
}
