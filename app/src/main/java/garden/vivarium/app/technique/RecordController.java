package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.core.compare.OverTime;
import garden.vivarium.core.evidence.NurseryRecord;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** Over time, and this nursery's own record beside the guide. */
@Controller
@RequestMapping("/technique")
class RecordController {

    /** A way of fewer batches is the guide's still. */
    private static final int ENOUGH = 3;

    private final Technique technique;
    private final JudgedBatches judged;
    private final Watched watched;
    private final Evidence evidence;

    RecordController(Technique technique, JudgedBatches judged, Watched watched, Evidence evidence) {
        this.technique = technique;
        this.judged = judged;
        this.watched = watched;
        this.evidence = evidence;
    }

    @GetMapping("/over-time")
    String page(Model model) {
        OverTime over = over();
        model.addAttribute("over", over);
        model.addAttribute("says", over.says().orElse(null));
        model.addAttribute("books", books());
        return "technique/over-time";
    }

    private OverTime over() {
        return OverTime.of(
                watched.allowedFor(judged.all()), evidence.record().spread().rho());
    }

    /** Ways whose rate or days differ from the guide's, nine times in ten; by plant. */
    private List<WayLine> books() {
        NurseryRecord record = technique.record();
        return technique.ways(record, WaySort.BY_PLANT).stream()
                .filter(l -> l.done().batches() >= ENOUGH)
                .filter(l -> l.guide().rate() < l.low()
                        || l.guide().rate() > l.high()
                        || l.guide().median() < l.time().medianOnAverage().d10()
                        || l.guide().median() > l.time().medianOnAverage().d90())
                .toList();
    }

    @GetMapping("/over-time.csv")
    ResponseEntity<String> csv() {
        List<List<Object>> rows = new ArrayList<>();
        over().quarters()
                .forEach(q -> rows.add(List.of(q.from().toString(), q.batches(), q.pieces(), q.share(), q.above())));
        return CsvAnswer.of("over-time.csv", List.of("quarter", "batches", "pieces", "share", "above_usual"), rows);
    }
}
