package garden.vivarium.app.technique;

import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.platform.CsvAnswer;
import garden.vivarium.core.compare.LossEvent;
import garden.vivarium.core.compare.Losses;
import garden.vivarium.core.compare.OtherWay;
import garden.vivarium.core.compare.Outbreaks;
import garden.vivarium.core.compare.Shared;
import garden.vivarium.core.compare.TryNext;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What to keep an eye on, what was lost, what batches share, what the work brings, and what to try next. */
@Controller
@RequestMapping("/technique")
class WatchController {

    private final Watched watched;
    private final WorkByWay work;
    private final Benches benches;

    WatchController(Watched watched, WorkByWay work, Benches benches) {
        this.watched = watched;
        this.work = work;
        this.benches = benches;
    }

    @GetMapping("/watch")
    String watch(Model model) {
        model.addAttribute("outbreaks", watched.outbreaks());
        model.addAttribute(
                "rows",
                benches.open().stream()
                        .filter(r -> r.standing().filter(s -> s.isTold()).isPresent())
                        .toList());
        model.addAttribute("others", watched.otherWay());
        model.addAttribute(
                "isQuiet",
                Stream.of("outbreaks", "rows", "others").allMatch(a -> ((List<?>) model.getAttribute(a)).isEmpty()));
        return "technique/watch";
    }

    @GetMapping("/watch.csv")
    ResponseEntity<String> watchCsv() {
        List<List<Object>> rows = new ArrayList<>();
        for (Outbreaks.Outbreak o : watched.outbreaks()) {
            rows.add(List.of(
                    "outbreak",
                    o.place(),
                    o.cause().word(),
                    o.from().toString(),
                    o.to().toString(),
                    String.join(" ", o.batches()),
                    o.pieces(),
                    o.chance()));
        }
        for (OtherWay o : watched.otherWay()) {
            rows.add(List.of(
                    "other way",
                    o.well().plant(),
                    o.well().method(),
                    o.well().stuckOn().toString(),
                    o.badly().stuckOn().toString(),
                    o.well().code() + " " + o.badly().code(),
                    o.well().count().kept() / o.well().count().of(),
                    o.badly().count().kept() / o.badly().count().of()));
        }
        return CsvAnswer.of(
                "watch.csv",
                List.of("what", "where", "of", "from", "to", "batches", "pieces_or_share", "chance_or_share"),
                rows);
    }

    @GetMapping("/losses")
    String losses(
            @RequestParam(required = false) String place, @RequestParam(required = false) String way, Model model) {
        Losses losses = watched.losses(blank(place), blank(way));
        model.addAttribute("losses", losses);
        model.addAttribute("place", blank(place));
        model.addAttribute("way", blank(way));
        boolean isEverywhere = blank(place).isEmpty() && blank(way).isEmpty();
        model.addAttribute(
                "outbreaks",
                watched.outbreaks().stream()
                        .filter(o -> isEverywhere || o.place().equals(place))
                        .toList());
        model.addAttribute(
                "where",
                Stream.of(blank(place), blank(way)).filter(w -> !w.isEmpty()).findFirst());
        model.addAttribute(
                "most",
                losses.byWeek().stream().mapToInt(Losses.Week::pieces).max().orElse(1));
        return "technique/losses";
    }

    private static String blank(String text) {
        return text == null ? "" : text;
    }

    @GetMapping("/losses.csv")
    ResponseEntity<String> lossesCsv() {
        List<List<Object>> rows = new ArrayList<>();
        for (LossEvent l : watched.events()) {
            rows.add(List.of(
                    l.batch(),
                    l.way(),
                    l.place(),
                    l.stuckOn().toString(),
                    l.after().toString(),
                    l.on().toString(),
                    l.cause().word(),
                    l.pieces()));
        }
        return CsvAnswer.of(
                "losses.csv",
                List.of("batch", "way", "place", "stuck_on", "after", "found_on", "cause", "pieces"),
                rows);
    }

    @GetMapping("/shared")
    String shared(Model model) {
        model.addAttribute("shared", watched.shared());
        return "technique/shared";
    }

    @GetMapping("/shared.csv")
    ResponseEntity<String> sharedCsv() {
        List<List<Object>> rows = new ArrayList<>();
        for (Shared s : watched.shared()) {
            s.rows()
                    .forEach(r ->
                            rows.add(List.of(s.by().name(), r.name(), r.batches(), r.above(), s.likeness(), s.p())));
        }
        return CsvAnswer.of("shared.csv", List.of("by", "group", "batches", "above_usual", "likeness", "p"), rows);
    }

    @GetMapping("/next")
    String next(Model model) {
        model.addAttribute("next", watched.next());
        return "technique/next";
    }

    @GetMapping("/next.csv")
    ResponseEntity<String> nextCsv() {
        List<List<Object>> rows = new ArrayList<>();
        for (TryNext t : watched.next()) {
            rows.add(List.of(
                    t.plant(),
                    t.asked().factor().name(),
                    t.asked().first(),
                    t.asked().second(),
                    t.batches(),
                    t.aYear(),
                    t.worth(),
                    t.pieces()));
        }
        return CsvAnswer.of(
                "next.csv",
                List.of(
                        "plant",
                        "question",
                        "usual",
                        "other",
                        "batches",
                        "pieces_a_year",
                        "worth_a_year",
                        "costs_pieces"),
                rows);
    }

    @GetMapping("/work")
    String work(Model model) {
        List<WorkByWay.Line> lines = work.lines();
        model.addAttribute("work", lines);
        model.addAttribute("within", WorkByWay.within(lines).orElse(null));
        return "technique/work";
    }

    @GetMapping("/work.csv")
    ResponseEntity<String> workCsv() {
        List<List<Object>> rows = new ArrayList<>();
        for (WorkByWay.Line l : work.lines()) {
            rows.add(List.of(
                    l.line().way().plant(),
                    l.line().way().written(),
                    l.line().done().batches(),
                    l.looks(),
                    l.minutes().start(),
                    l.minutes().look(),
                    l.minutes().pot(),
                    l.minutes().clear(),
                    l.young(),
                    l.perHour(),
                    l.line().gives().perTrayWeek()));
        }
        return CsvAnswer.of(
                "work.csv",
                List.of(
                        "plant",
                        "way",
                        "batches",
                        "looks_a_batch",
                        "minutes_start",
                        "minutes_looks",
                        "minutes_potting",
                        "minutes_cleanup",
                        "young_a_batch",
                        "young_an_hour",
                        "young_a_tray_week"),
                rows);
    }
}
