package garden.vivarium.app.technique;

import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.Strata;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What made the difference: a question, its answer, and what else differed. */
@Controller
@RequestMapping("/technique")
class DifferenceController {

    private final Differences differences;

    DifferenceController(Differences differences) {
        this.differences = differences;
    }

    /** What is asked, as its address says. */
    record Asked(Factor factor, String plant, String a, String b) {

        Differences.Question question() {
            return new Differences.Question(
                    factor == null || !factor.isQuestion() ? Factor.MEDIUM : factor, blank(plant), blank(a), blank(b));
        }

        private static String blank(String text) {
            return text == null ? "" : text;
        }
    }

    @GetMapping("/difference")
    String page(
            @RequestParam(required = false) Factor factor,
            @RequestParam(required = false) String plant,
            @RequestParam(required = false) String a,
            @RequestParam(required = false) String b,
            Model model) {
        Differences.Question q = new Asked(factor, plant, a, b).question();
        Differences.Answer answer = differences.answer(q);
        model.addAttribute("q", q);
        model.addAttribute("questions", differences.questions());
        model.addAttribute("plants", differences.plants());
        model.addAttribute("answer", answer);
        model.addAttribute("c", answer.comparison().orElse(null));
        model.addAttribute("sooner", answer.sooner().orElse(null));
        return "technique/difference";
    }

    /** The strata, as they are reckoned with. */
    @GetMapping("/difference.csv")
    ResponseEntity<String> csv(
            @RequestParam(required = false) Factor factor,
            @RequestParam(required = false) String plant,
            @RequestParam(required = false) String a,
            @RequestParam(required = false) String b) {
        Optional<Comparison> c =
                differences.answer(new Asked(factor, plant, a, b).question()).comparison();
        List<List<Object>> rows = new ArrayList<>();
        c.ifPresent(found -> {
            for (Strata.Table t : found.strata()) {
                rows.add(List.of(
                        t.name(),
                        found.first().value(),
                        t.keptA(),
                        t.keptA() + t.lostA(),
                        found.second().value(),
                        t.keptB(),
                        t.keptB() + t.lostB()));
            }
        });
        return CsvAnswer.of(
                "difference.csv",
                List.of(
                        "stratum",
                        "first",
                        "kept_effective",
                        "of_effective",
                        "second",
                        "kept_effective",
                        "of_effective"),
                rows);
    }
}
