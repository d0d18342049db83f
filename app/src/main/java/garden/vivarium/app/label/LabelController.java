package garden.vivarium.app.label;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.label.LabelPrint.Item;
import garden.vivarium.app.label.LabelPrint.Kind;
import garden.vivarium.app.label.LabelPrint.Next;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.PublicAddress;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.measure.LabelSheet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Labels to print: of a batch that was just stuck, of pots, of stock plants; on sheets or by a label printer. */
@Controller
class LabelController {

    /** What was made in so many days may still want its label. */
    private static final int RECENT_DAYS = 21;

    private static final LabelSheet USUAL = BatchLabels.USUAL;

    private final Labels labels;
    private final LabelPictures pictures;
    private final LabelPrinter printer;
    private final BatchBook batches;
    private final Stock stock;
    private final PublicAddress address;
    private final Today today;

    LabelController(
            Labels labels,
            LabelPictures pictures,
            LabelPrinter printer,
            BatchBook batches,
            Stock stock,
            PublicAddress address,
            Today today) {
        this.labels = labels;
        this.pictures = pictures;
        this.printer = printer;
        this.batches = batches;
        this.stock = stock;
        this.address = address;
        this.today = today;
    }

    /** The label of one batch, as after sticking: to be read off, printed, or put on a sheet. */
    @GetMapping("/batches/{code}/label")
    String ofBatch(@PathVariable String code, Model model) {
        BatchView batch = batches.entry(code).batch();
        return one(new Row(Kind.BATCH, batch.id(), batch.code(), batch.plant(), "", 1), "/batches/" + code, model);
    }

    @GetMapping("/stock/{id}/label")
    String ofStock(@PathVariable UUID id, Model model) {
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("LabelController.no.stock.plant")));
        return one(new Row(Kind.STOCK, id, plant.code(), plant.plant().name(), "", 1), "/stock/" + id, model);
    }

    private String one(Row row, String back, Model model) {
        fill(model, List.of(row));
        model.addAttribute("label", labels.of(row.kind(), row.of(), Next.NOTHING, null));
        model.addAttribute("back", back);
        return "label/label";
    }

    /** One line to choose from. */
    record Row(Kind kind, UUID of, String code, String plant, String what, int copies) {}

    /** A sheet as it is offered: how it goes on. */
    record Offered(LabelSheet sheet, int firstFree) {

        /** What kind of paper it is, for its words. */
        public String paper() {
            return sheet.key().startsWith("letter") ? "letter" : sheet.key().endsWith("strips") ? "strips" : "a4";
        }
    }

    @GetMapping("/labels")
    String page(Model model) {
        fill(model, rows());
        return "label/labels";
    }

    private void fill(Model model, List<Row> rows) {
        model.addAttribute("rows", rows);
        model.addAttribute(
                "sheets",
                LabelSheet.COMMON.stream()
                        .map(s -> new Offered(s, labels.firstFree(s)))
                        .toList());
        model.addAttribute("usual", USUAL.key());
        model.addAttribute("nexts", Next.values());
        model.addAttribute("hereOnly", address.isHereOnly());
        model.addAttribute("root", address.root());
        model.addAttribute("printerName", printer.name());
        model.addAttribute("last", labels.last().stream().map(this::made).toList());
    }

    /** Labels printed before. */
    record Made(UUID id, LocalDate on, int count, String sheet, int first, boolean onPrinter, String person) {}

    private Made made(LabelPrint p) {
        return new Made(
                p.getId(), today.of(p.madeAt()), p.count(), p.sheet(), p.first() + 1, p.onPrinter(), p.personName());
    }

    private List<Row> rows() {
        LocalDate since = today.date().minusDays(RECENT_DAYS);
        Map<UUID, BatchView> open = new LinkedHashMap<>();
        batches.open().forEach(e -> open.put(e.batch().id(), e.batch()));
        Stream<Row> made = open.values().stream()
                .filter(b -> !(b.isStuck() ? b.stuckOn() : b.takenOn()).isBefore(since))
                .map(b -> new Row(Kind.BATCH, b.id(), b.code(), b.plant(), words(b), 0));
        Stream<Row> potted = batches.moves(open.values()).values().stream()
                .flatMap(List::stream)
                .filter(p -> p.youngPlants() > 0 && !p.movedOn().isBefore(since))
                .sorted(Comparator.comparing(PottingView::movedOn).reversed())
                .map(p -> new Row(
                        Kind.POTS,
                        p.id(),
                        open.get(p.batchId()).code(),
                        open.get(p.batchId()).plant(),
                        Messages.text("LabelController.pots", "pots", p.youngPlants(), "day", p.movedOn()),
                        0));
        return Stream.concat(potted, made).toList();
    }

    private static String words(BatchView batch) {
        return Messages.text(
                "LabelController.stuck",
                "stuck",
                batch.isStuck(),
                "pieces",
                batch.isStuck() ? batch.stuck() : batch.taken(),
                "day",
                batch.isStuck() ? batch.stuckOn() : batch.takenOn());
    }

    @PostMapping("/labels")
    String print(
            @RequestParam(required = false) List<Kind> kind,
            @RequestParam(required = false) List<UUID> of,
            @RequestParam(required = false) List<String> copies,
            @RequestParam(required = false) String code,
            @RequestParam(required = false) String codeCopies,
            @RequestParam String sheet,
            @RequestParam(required = false) Integer first,
            @RequestParam(defaultValue = "NOTHING") Next next,
            @RequestParam(required = false) LocalDate nextOn,
            @RequestParam(defaultValue = "sheet") String to,
            RedirectAttributes redirect) {
        return FormActions.run(redirect, "/labels", () -> {
            LabelSheet wanted = LabelSheet.named(sheet)
                    .orElseThrow(() -> new NotFound(Messages.text("LabelController.no.such.sheet")));
            List<Item> items = new ArrayList<>();
            for (int i = 0; kind != null && i < kind.size(); i++) {
                int number = number("copies", copies == null || i >= copies.size() ? "" : copies.get(i));
                if (number > 0) {
                    items.add(new Item(kind.get(i), of.get(i), number));
                }
            }
            if (code != null && !code.isBlank()) {
                items.add(named(code.strip(), Math.max(1, number("codeCopies", codeCopies))));
            }
            boolean onPrinter = to.equals("printer");
            LabelPrint print = labels.keep(wanted, first == null ? null : first - 1, items, onPrinter, next, nextOn);
            if (onPrinter) {
                labels.labels(print).forEach(l -> printer.print(l.code(), pictures.png(l, wanted.label())));
                return Messages.text("LabelController.printed", "count", print.count());
            }
            redirect.addFlashAttribute("sheetMade", print.getId().toString());
            return Messages.text(
                    "LabelController.made",
                    "count",
                    print.count(),
                    "first",
                    print.first() + 1,
                    "next",
                    wanted.nextFree(print.first(), print.count()) + 1);
        });
    }

    private Item named(String code, int number) {
        Optional<Item> batch = batches.ofCodes(List.of(code)).stream()
                .map(e -> new Item(Kind.BATCH, e.batch().id(), number))
                .findFirst();
        return batch.or(() -> stock.named(code).map(s -> new Item(Kind.STOCK, s.id(), number)))
                .orElseThrow(() -> new InvalidField("code", Messages.text("LabelController.unknown", "code", code)));
    }

    private static int number(String field, String typed) {
        if (typed == null || typed.isBlank()) {
            return 0;
        }
        if (!typed.strip().matches("\\d{1,4}")) {
            throw new InvalidField(field, Messages.text("LabelController.number", "typed", typed));
        }
        return Integer.parseInt(typed.strip());
    }

    @GetMapping("/labels/{id}.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id) {
        LabelPrint print = labels.print(id);
        LabelSheet sheet = LabelSheet.named(print.sheet()).orElse(USUAL);
        return file(
                pictures.pdf(sheet, print.first(), labels.labels(print)),
                MediaType.APPLICATION_PDF,
                "labels-%s.pdf".formatted(today.of(print.madeAt())));
    }

    @GetMapping("/labels/one.png")
    ResponseEntity<byte[]> png(@RequestParam Kind kind, @RequestParam UUID of, @RequestParam String sheet) {
        Label label = labels.of(kind, of, Next.NOTHING, null);
        return file(pictures.png(label, size(sheet)), MediaType.IMAGE_PNG, label.code() + ".png");
    }

    @GetMapping("/labels/one.svg")
    ResponseEntity<String> svg(@RequestParam Kind kind, @RequestParam UUID of, @RequestParam String sheet) {
        Label label = labels.of(kind, of, Next.NOTHING, null);
        return file(pictures.svg(label, size(sheet)), MediaType.valueOf("image/svg+xml"), label.code() + ".svg");
    }

    private static LabelSheet.Size size(String sheet) {
        return LabelSheet.named(sheet).orElse(USUAL).label();
    }

    private static <T> ResponseEntity<T> file(T content, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(content);
    }
}
