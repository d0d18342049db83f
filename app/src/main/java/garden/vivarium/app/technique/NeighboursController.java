package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.NeighbourBook;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.evidence.Neighbours;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Technique that travels: ways given away as an open file, and what neighbours have given. */
@Controller
@RequestMapping("/technique/neighbours")
class NeighboursController {

    private static final long LARGEST = 2_000_000;
    private static final int SHOWN = 60;

    private final Technique technique;
    private final NeighbourBook book;
    private final GuideLookup guide;

    NeighboursController(Technique technique, NeighbourBook book, GuideLookup guide) {
        this.technique = technique;
        this.book = book;
        this.guide = guide;
    }

    /**
     * A way that both have done.
     *
     * @param own share of this nursery's judged pieces that became ready
     * @param theirs the same of the neighbours'
     */
    record Both(Way way, long ownPieces, double own, long theirPieces, double theirs) {}

    /** A way that could be given. */
    record Mine(String key, Way way, int batches, long pieces) {}

    @GetMapping
    String page(Model model) {
        NurseryRecord record = technique.record();
        model.addAttribute("sources", book.sources());
        model.addAttribute("apart", 1 / (1 + Math.exp(-record.disagreement())) - 0.5);
        List<Both> both = both(record);
        model.addAttribute("both", both.subList(0, Math.min(SHOWN, both.size())));
        model.addAttribute("common", both.size());
        List<Mine> mine = mine(record);
        model.addAttribute("mine", mine.subList(0, Math.min(SHOWN, mine.size())));
        model.addAttribute("ways", mine.size());
        return "technique/neighbours";
    }

    private static List<Both> both(NurseryRecord record) {
        List<Both> both = new ArrayList<>();
        record.ways().keySet().forEach(way -> {
            NurseryRecord.Past own = record.past(way);
            Optional<Neighbours.Beside> theirs = record.neighbours().beside(way);
            if (own.pieces() > 0 && theirs.isPresent()) {
                Neighbours.Beside t = theirs.get();
                both.add(new Both(
                        way,
                        own.pieces(),
                        (double) own.kept() / own.pieces(),
                        Math.round(t.pieces()),
                        t.kept() / t.pieces()));
            }
        });
        both.sort(Comparator.comparingLong((Both b) -> -b.ownPieces())
                .thenComparing(b -> b.way().plant()));
        return both;
    }

    private static List<Mine> mine(NurseryRecord record) {
        List<Mine> mine = new ArrayList<>();
        record.ways().forEach((way, batches) -> {
            List<WayBatch> over = batches.stream().filter(WayBatch::isFinished).toList();
            if (!over.isEmpty() && !way.isOfTrial()) {
                mine.add(new Mine(
                        WayKey.of(way).text(),
                        way,
                        over.size(),
                        over.stream().mapToLong(WayBatch::judgeable).sum()));
            }
        });
        mine.sort(Comparator.comparingLong((Mine m) -> -m.pieces())
                .thenComparing(m -> m.way().plant()));
        return mine;
    }

    /** The ways that are chosen, or all; ways of several plants of a kind are one, since plants are not named. */
    @GetMapping("/technique.json")
    ResponseEntity<byte[]> give(
            @RequestParam(required = false) List<String> way, @RequestParam(required = false) String from) {
        Map<List<String>, List<TechniqueFile.Counted>> counts = new LinkedHashMap<>();
        Map<List<String>, List<String>> steps = new LinkedHashMap<>();
        technique.record().ways().forEach((w, batches) -> {
            if (!w.isOfTrial() && (way == null || way.contains(WayKey.of(w).text()))) {
                List<String> of = List.of(
                        w.kind(),
                        w.group(),
                        w.method(),
                        w.medium(),
                        w.treatment().written());
                batches.stream()
                        .filter(WayBatch::isFinished)
                        .filter(b -> b.season().isInSeason())
                        .forEach(b -> counts.computeIfAbsent(of, k -> new ArrayList<>())
                                .add(new TechniqueFile.Counted(b.kept(), b.judgeable())));
                steps(w).ifPresent(s -> steps.putIfAbsent(of, s));
            }
        });
        List<TechniqueFile.GivenAway> given = new ArrayList<>();
        counts.forEach((of, batches) -> given.add(new TechniqueFile.GivenAway(
                of.get(0), of.get(1), of.get(2), of.get(3), of.get(4), steps.getOrDefault(of, List.of()), batches)));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"technique.json\"")
                .body(TechniqueFile.of(from == null ? "" : from.strip(), given).written());
    }

    private Optional<List<String>> steps(Way way) {
        return way.own()
                .flatMap(o -> guide.protocol(o.protocol(), o.version(), way))
                .map(Protocol::wound)
                .map(w -> w.prepare().stream().map(Prose::metric).toList());
    }

    @PostMapping
    String read(@RequestParam(required = false) MultipartFile file, RedirectAttributes next) {
        return FormActions.run(next, "/technique/neighbours", () -> {
            if (file == null || file.isEmpty() || file.getSize() > LARGEST) {
                throw new InvalidField("file", Messages.text("Neighbours.choose"));
            }
            try {
                TechniqueFile read = TechniqueFile.read(file.getBytes());
                book.keep(read.source(), read.given());
                return Messages.text("Neighbours.kept", "ways", read.ways().size(), "source", read.source());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    @PostMapping("/{file}/out")
    String takeOut(@PathVariable UUID file, RedirectAttributes next) {
        return FormActions.run(next, "/technique/neighbours", () -> {
            book.takeOut(file);
            return Messages.text("Neighbours.out");
        });
    }
}
