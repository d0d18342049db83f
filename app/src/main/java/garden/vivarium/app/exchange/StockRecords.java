package garden.vivarium.app.exchange;

import static garden.vivarium.app.exchange.Column.Sort.COUNT;
import static garden.vivarium.app.exchange.Column.Sort.DAY;
import static garden.vivarium.app.exchange.Column.Sort.GROUP;
import static garden.vivarium.app.exchange.Column.Sort.PLANT;
import static garden.vivarium.app.exchange.Column.Sort.TEXT;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.KindsCalled;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Keeps {@code stock.csv}: the plants that can be cut, and what they bear. */
@Component
@Order(3)
class StockRecords implements RecordKind {

    private final Stock stock;
    private final Guide guide;
    private final KindsCalled kinds;
    private final Today today;

    StockRecords(Stock stock, Guide guide, KindsCalled kinds, Today today) {
        this.stock = stock;
        this.guide = guide;
        this.kinds = kinds;
        this.today = today;
    }

    private record Line(
            long number,
            String code,
            String plant,
            String group,
            boolean lot,
            String place,
            String origin,
            LocalDate countedOn,
            Map<String, Integer> bears,
            String note) {

        /** What stands where: two of one plant on one bench are two all the same. */
        String what() {
            return (plant + "|" + place).toLowerCase(Locale.ROOT);
        }
    }

    @Override
    public String name() {
        return "stock";
    }

    @Override
    public Lines of() {
        return Lines.PLANTS;
    }

    @Override
    public String tellsAt() {
        return "/stock";
    }

    @Override
    public String words() {
        return Messages.text("StockRecords.stock.plants.what.can.be");
    }

    @Override
    public List<Column> columns() {
        List<Column> columns = new ArrayList<>(List.of(
                Column.optional("code", "Label code", TEXT, "label", "id", "no"),
                Column.needed("plant", "Plant", PLANT, "variety", "cultivar", "species", "name", "plant name"),
                Column.optional("group", "Group of a new plant", GROUP, "plant group"),
                Column.optional("kind", "Stock plant or lot", TEXT, "type"),
                Column.needed("place", "Place", TEXT, "where", "bench", "shelf", "location", "house"),
                Column.optional("origin", "Where it came from", TEXT, "source", "supplier", "from"),
                Column.optional("counted_on", "Day counted", DAY, "counted", "date", "date counted"),
                Column.optional("pieces", "Pieces that it bears", COUNT, "cuttings", "count", "how many")));
        guide.sorts()
                .forEach(s -> columns.add(Column.optional(
                        s.key().replace('-', '_'),
                        Messages.text("StockRecords.bears", "sort", s.words()),
                        COUNT,
                        s.words())));
        columns.add(Column.optional("note", "Note", TEXT, "notes", "remarks", "comment"));
        return List.copyOf(columns);
    }

    @Override
    public Preview preview(Csv csv) {
        List<Preview.PreviewRow> makes = new ArrayList<>();
        List<Preview.PreviewRow> held = new ArrayList<>();
        Known known = new Known(stock.all());
        Set<String> plants = new HashSet<>();
        stock.plants().forEach(p -> plants.add(p.name().toLowerCase(Locale.ROOT)));
        for (Line line : read(csv)) {
            boolean isHeld = known.holds(line);
            refuseUnknownKind(csv, line, isHeld, plants);
            (isHeld ? held : makes)
                    .add(new Preview.PreviewRow(
                            line.code() == null ? "" : line.code(),
                            line.plant(),
                            "",
                            line.countedOn() == null ? "" : line.countedOn().toString(),
                            line.bears().values().stream()
                                    .mapToInt(Integer::intValue)
                                    .sum(),
                            0,
                            line.place(),
                            plants.add(line.plant().toLowerCase(Locale.ROOT))));
        }
        return Preview.of(makes, List.of(), held);
    }

    private void refuseUnknownKind(Csv csv, Line line, boolean isHeld, Set<String> plants) {
        boolean known = isHeld
                || line.group() != null
                || plants.contains(line.plant().toLowerCase(Locale.ROOT))
                || kinds.read(line.plant()).taken().isPresent();
        if (!known) {
            csv.fault(
                    line.number(),
                    "group",
                    Messages.text("StockRecords.unknown.kind", "plant", line.plant()),
                    Messages.text("StockRecords.say.group"));
        }
    }

    @Override
    public int keep(Csv csv, Keeping keeping) {
        Known known = new Known(stock.all());
        List<Line> lines = read(csv);
        int kept = 0;
        int done = 0;
        for (Line line : lines) {
            keeping.at(done++, lines.size());
            if (known.holds(line)) {
                continue;
            }
            try {
                StockPlantView made = stock.addListed(form(line), line.code(), line.countedOn());
                keeping.made(Made.STOCK_PLANT, made.id());
                kept++;
            } catch (InvalidField refused) {
                throw new FileRefused(
                        Messages.text("StockRecords.refused", "line", line.number(), "why", refused.getMessage()));
            }
        }
        return kept;
    }

    /** What the nursery held before: by code, and how many of a plant stand in a place. */
    private static final class Known {

        private final Set<String> codes = new HashSet<>();
        private final Map<String, Integer> standing = new HashMap<>();

        Known(List<StockPlantView> all) {
            all.forEach(s -> {
                codes.add(s.code().toUpperCase(Locale.ROOT));
                standing.merge((s.plant().name() + "|" + s.place().name()).toLowerCase(Locale.ROOT), 1, Integer::sum);
            });
        }

        boolean holds(Line line) {
            if (line.code() != null) {
                return codes.contains(line.code().toUpperCase(Locale.ROOT));
            }
            return standing.merge(line.what(), -1, Integer::sum) >= 0;
        }
    }

    private StockPlantForm form(Line line) {
        Map<String, Integer> bears = new HashMap<>(line.bears());
        Integer any = bears.remove("pieces");
        return new StockPlantForm(
                new StockPlantForm.Name(line.plant(), null, line.group(), false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                line.lot() ? StockKind.LOT : StockKind.PLANT,
                StockPlantForm.Came.from(line.origin()),
                new StockPlantForm.Stands(line.place(), Climate.HEATED),
                new StockPlantForm.Condition(any, StockState.GROWING, null, bears),
                line.note());
    }

    private List<Line> read(Csv csv) {
        List<Line> lines = new ArrayList<>();
        Set<String> codes = new HashSet<>();
        for (Csv.CsvLine line : csv.lines()) {
            int before = csv.faultCount();
            Optional<String> code = line.text("code", 20);
            if (code.isPresent() && !codes.add(code.get().toUpperCase(Locale.ROOT))) {
                line.bad("code", "Two lines have this code.", "Give each its own, or leave one empty.");
            }
            Optional<String> plant = line.needed("plant", 120);
            Optional<String> place = line.needed("place", 80);
            Optional<LocalDate> counted = line.day("counted_on", today.date()).map(AboutDay::middle);
            Optional<String> origin = line.text("origin", 300);
            Optional<String> note = line.text("note", 500);
            Map<String, Integer> bears = bears(line);
            if (csv.faultCount() == before) {
                lines.add(new Line(
                        line.number(),
                        code.orElse(null),
                        plant.orElseThrow(),
                        line.text("group", 40).orElse(null),
                        line.raw("kind").toLowerCase(Locale.ROOT).startsWith("lot"),
                        place.orElseThrow(),
                        origin.orElse(null),
                        counted.orElse(null),
                        bears,
                        note.orElse(null)));
            }
        }
        return lines;
    }

    private Map<String, Integer> bears(Csv.CsvLine line) {
        Map<String, Integer> bears = new LinkedHashMap<>();
        line.number("pieces", 0, Limits.MOST_FROM_ONE_PLANT).ifPresent(n -> bears.put("pieces", n));
        guide.sorts()
                .forEach(s -> line.number(s.key().replace('-', '_'), 0, Limits.MOST_FROM_ONE_PLANT)
                        .ifPresent(n -> bears.put(s.key(), n)));
        return bears;
    }
}
