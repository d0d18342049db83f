package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchCorrections;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.batch.SentState;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.evidence.CurveDrawing;
import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.LossCause;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Benches place, and in it the batch sheet. */
@Controller
class SheetController {

    /** Rows that a page comes with: more than any screen holds. */
    private static final int FIRST = 40;

    private final Benches benches;
    private final Sheets sheets;
    private final BatchBook book;
    private final Stock stock;
    private final BatchCorrections corrections;
    private final Whereabouts whereabouts;
    private final Departures departures;
    private final CareBook care;
    private final Photos photos;
    private final Guide guide;

    SheetController(
            Benches benches,
            Sheets sheets,
            BatchBook book,
            Stock stock,
            BatchCorrections corrections,
            Whereabouts whereabouts,
            Departures departures,
            CareBook care,
            Photos photos,
            Guide guide) {
        this.benches = benches;
        this.sheets = sheets;
        this.book = book;
        this.stock = stock;
        this.corrections = corrections;
        this.whereabouts = whereabouts;
        this.departures = departures;
        this.care = care;
        this.photos = photos;
        this.guide = guide;
    }

    @GetMapping("/benches")
    String benches(@RequestParam(defaultValue = "false") boolean all, Model model) {
        List<Benches.Row> rows = benches.open();
        rows(rows, 0, all ? rows.size() : Math.min(FIRST, rows.size()), model);
        model.addAttribute("finished", benches.lastFinished());
        model.addAttribute("example", Ribbon.example(guide.method("tip cutting").orElseThrow()));
        model.addAttribute("finishedCount", benches.countFinished());
        return "bench/benches";
    }

    /** The rows of the same list from there on: a page comes with what a screen holds, and fetches on. */
    @GetMapping("/benches/rows")
    String rows(@RequestParam int from, Model model) {
        List<Benches.Row> rows = benches.open();
        rows(rows, Math.max(0, Math.min(from, rows.size())), rows.size(), model);
        return "bench/batch-rows";
    }

    private static void rows(List<Benches.Row> rows, int from, int to, Model model) {
        model.addAttribute("rows", rows);
        model.addAttribute(
                "firsts",
                IntStream.range(0, rows.size())
                        .filter(i -> i == 0
                                || !rows.get(i - 1)
                                        .place()
                                        .name()
                                        .equals(rows.get(i).place().name()))
                        .boxed()
                        .collect(Collectors.toSet()));
        model.addAttribute("from", from);
        model.addAttribute("to", to);
    }

    @GetMapping("/batches/{code}")
    String sheet(@PathVariable String code, Model model) {
        BatchSheet sheet = sheets.of(code);
        model.addAttribute("sheet", sheet);
        model.addAttribute("batch", sheet.batch());
        model.addAttribute(
                "methodDone",
                Messages.text("method.done", "planted", sheet.way().method().planted()));
        model.addAttribute(
                "curve",
                sheet.curve()
                        .map(c -> CurveDrawing.of(sheet.batch().code(), c, Optional.empty()))
                        .orElse(null));
        model.addAttribute(
                "cautions",
                sheet.way()
                        .protocol()
                        .map(p -> guide.cautions(sheet.batch().way().grown(), p))
                        .orElse(List.of()));
        model.addAttribute("photos", photos.ofBatch(sheet.batch().id()));
        model.addAttribute("care", care.of(sheet.batch().id()));
        model.addAttribute("lastDone", care.lastOf(sheet.batch().id()));
        model.addAttribute("acts", CareAct.values());
        model.addAttribute("from", from(sheet.batch()).orElse(null));
        model.addAttribute("causes", LossCause.values());
        model.addAttribute("stands", whereabouts.of(sheet.batch().id()));
        model.addAttribute("kindsOfPieces", book.kindsOfPieces(sheet.batch().id()));
        List<String> with = whereabouts.with(code);
        model.addAttribute("with", with);
        model.addAttribute("fewTell", Sheets.fewTell(sheet).orElse(null));
        model.addAttribute("apart", sheets.apart(code, with));
        model.addAttribute("sent", departures.of(sheet.batch().id()));
        model.addAttribute("sentStates", SentState.values());
        model.addAttribute("fates", Fate.values());
        model.addAttribute("leaving", Fate.LEAVING);
        model.addAttribute("places", stock.places());
        model.addAttribute("corrected", corrections.of(sheet.batch().id()));
        return "bench/sheet";
    }

    /** What the pieces of a batch were taken from. */
    record From(String code, String address) {}

    private Optional<From> from(BatchView batch) {
        if (batch.origin().fromBatchId() != null) {
            return book.code(batch.origin().fromBatchId()).map(c -> new From(c, "/batches/" + c));
        }
        return Optional.ofNullable(batch.origin().stockPlantId())
                .flatMap(stock::find)
                .map(s -> new From(s.code(), "/stock/" + s.id()));
    }

    /** What waits in the browser; the server knows nothing of it. */
    @GetMapping("/waiting")
    String waiting() {
        return "bench/waiting";
    }
}
