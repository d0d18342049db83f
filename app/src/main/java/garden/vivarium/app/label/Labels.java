package garden.vivarium.app.label;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.label.LabelPrint.Item;
import garden.vivarium.app.label.LabelPrint.Kind;
import garden.vivarium.app.label.LabelPrint.Next;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.PublicAddress;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.measure.LabelSheet;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stands on labels, and which were printed. */
@Service
class Labels {

    /** At most so many labels in one go. */
    static final int MOST = 1000;

    /** A label outlives its year. */
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);

    private final LabelPrintRepository prints;
    private final BatchBook batches;
    private final Stock stock;
    private final Guide guide;
    private final Words words;
    private final PublicAddress address;
    private final CurrentNursery nursery;
    private final Today today;

    Labels(
            LabelPrintRepository prints,
            BatchBook batches,
            Stock stock,
            Guide guide,
            Words words,
            PublicAddress address,
            CurrentNursery nursery,
            Today today) {
        this.prints = prints;
        this.batches = batches;
        this.stock = stock;
        this.guide = guide;
        this.words = words;
        this.address = address;
        this.nursery = nursery;
        this.today = today;
    }

    /** The label of a batch. */
    @Transactional(readOnly = true)
    public Label ofBatch(BatchView batch, Next next, LocalDate on) {
        List<String> lines = new ArrayList<>();
        LocalDate day = batch.isStuck() ? batch.stuckOn() : batch.takenOn();
        lines.add(words.say(
                "label.made",
                "day",
                DAY.format(day),
                "pieces",
                batch.isStuck() ? batch.stuck() : batch.taken(),
                "unsure",
                batch.taking().unsureDays() > 0,
                "divided",
                guide.method(batch.method())
                        .filter(m -> m.family().equals("division"))
                        .isPresent()));
        lines.add(batch.method() + ", " + batch.medium());
        later(lines, next, on);
        unsure(lines, batch.plant());
        return new Label(batch.plant(), batch.code(), lines, sign(batch), address.of("/batches/" + batch.code()));
    }

    private Label ofPots(PottingView pots, BatchView batch, Next next, LocalDate on) {
        List<String> lines = new ArrayList<>();
        lines.add(words.say("label.potted", "day", DAY.format(pots.movedOn())));
        lines.add(batch.method() + ", " + batch.medium());
        later(lines, next, on);
        unsure(lines, batch.plant());
        return new Label(batch.plant(), batch.code(), lines, sign(batch), address.of("/batches/" + batch.code()));
    }

    private Label ofStock(StockPlantView plant, Next next, LocalDate on) {
        List<String> lines = new ArrayList<>();
        lines.add(plant.place().name());
        if (plant.came().origin() != null && !plant.came().origin().isBlank()) {
            lines.add(plant.came().origin());
        }
        later(lines, next, on);
        unsure(lines, plant.plant().name());
        return new Label(
                plant.plant().name(), plant.code(), lines, Optional.empty(), address.of("/stock/" + plant.id()));
    }

    private void later(List<String> lines, Next next, LocalDate on) {
        if (next != Next.NOTHING && on != null) {
            lines.add(words.say("label.next." + next.name(), "month", MONTH.format(on)));
        }
    }

    private void unsure(List<String> lines, String plant) {
        if (stock.isNameUnsure(plant)) {
            lines.add(words.say("label.unsure"));
        }
    }

    private Optional<LabelSign> sign(BatchView batch) {
        return guide.method(batch.method()).map(m -> new WaySign(m.family(), Ground.of(batch.medium())));
    }

    /** The label of whatever an item is of. */
    @Transactional(readOnly = true)
    public Label of(Kind kind, UUID of, Next next, LocalDate on) {
        return switch (kind) {
            case BATCH -> ofBatch(batch(of), next, on);
            case STOCK ->
                ofStock(
                        stock.find(of).orElseThrow(() -> new NotFound(Messages.text("Labels.no.stock.plant"))),
                        next,
                        on);
            case POTS -> {
                PottingView pots =
                        batches.potting(of).orElseThrow(() -> new NotFound(Messages.text("Labels.no.such.move")));
                yield ofPots(pots, batch(pots.batchId()), next, on);
            }
        };
    }

    private BatchView batch(UUID id) {
        return Optional.ofNullable(batches.ofIds(List.of(id)).get(id))
                .orElseThrow(() -> new NotFound(Messages.text("Labels.no.batch")));
    }

    /** Where a sheet of this size goes on: the first free label of the one begun last, counted from 0. */
    @Transactional(readOnly = true)
    public int firstFree(LabelSheet sheet) {
        return prints.findFirstBySheetAndPrinterFalseOrderByMadeAtDesc(sheet.key())
                .map(p -> sheet.nextFree(p.first(), p.count()))
                .orElse(0);
    }

    /**
     * Keeps what is to be printed.
     *
     * @param first on which label of the sheet the first goes, counted from 0; null to go on where the last ended
     * @throws InvalidField if there is nothing to print, too much, or the sheet has no such label
     */
    @Transactional
    public LabelPrint keep(
            LabelSheet sheet, Integer first, List<Item> items, boolean onPrinter, Next next, LocalDate on) {
        int all = items.stream().mapToInt(Item::copies).sum();
        if (all < 1) {
            throw new InvalidField("copies", Messages.text("Labels.none"));
        }
        if (all > MOST) {
            throw new InvalidField("copies", Messages.text("Labels.many", "all", all, "most", MOST));
        }
        if (first != null && (first < 0 || first >= sheet.count())) {
            throw new InvalidField("first", Messages.text("Labels.first", "count", sheet.count()));
        }
        if (next != Next.NOTHING && on == null) {
            throw new InvalidField("nextOn", Messages.text("Labels.next"));
        }
        labels(items, next, on);
        LabelPrint print = new LabelPrint(
                sheet.key(),
                first == null ? firstFree(sheet) : first,
                items,
                onPrinter,
                today.now(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"));
        print.says(next, on);
        return prints.save(print);
    }

    @Transactional(readOnly = true)
    public LabelPrint print(UUID id) {
        return prints.findById(id).orElseThrow(() -> new NotFound(Messages.text("Labels.no.such.labels")));
    }

    /** What was printed last, the last first. */
    @Transactional(readOnly = true)
    public List<LabelPrint> last() {
        return prints.findTop8ByOrderByMadeAtDesc();
    }

    /** The labels of a print, one by one. */
    @Transactional(readOnly = true)
    public List<Label> labels(LabelPrint print) {
        return labels(print.items(), print.next(), print.nextOn());
    }

    private List<Label> labels(List<Item> items, Next next, LocalDate on) {
        List<Label> labels = new ArrayList<>();
        Map<UUID, Label> known = new HashMap<>();
        for (Item i : items) {
            Label whole = known.computeIfAbsent(i.of(), of -> of(i.kind(), of, next, on));
            labels.addAll(Collections.nCopies(i.copies(), i.cell() == null ? whole : ofCell(whole, i.cell())));
        }
        return labels;
    }

    private Label ofCell(Label tray, LabelPrint.Cell cell) {
        return new Label(
                cell.way(),
                words.say("label.cell", "row", cell.row(), "column", cell.column()),
                List.of(tray.code()),
                Optional.of(new ArmSign(cell.arm())),
                tray.address());
    }
}
