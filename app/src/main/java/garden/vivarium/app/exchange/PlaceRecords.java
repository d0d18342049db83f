package garden.vivarium.app.exchange;

import static garden.vivarium.app.exchange.Column.Sort.CLIMATE;
import static garden.vivarium.app.exchange.Column.Sort.COUNT;
import static garden.vivarium.app.exchange.Column.Sort.TEXT;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.timing.Climate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Keeps {@code places.csv}: where things stand, in walking order. */
@Component
@Order(4)
class PlaceRecords implements RecordKind {

    private static final int MOST_TRAYS = 10_000;

    private final Stock stock;

    PlaceRecords(Stock stock) {
        this.stock = stock;
    }

    private record Line(long number, String name, Climate climate, Integer trays, Integer walkOrder) {}

    @Override
    public String name() {
        return "places";
    }

    @Override
    public Lines of() {
        return Lines.PLACES;
    }

    @Override
    public String tellsAt() {
        return "/space";
    }

    @Override
    public String words() {
        return Messages.text("PlaceRecords.places.benches.shelves.and.sills");
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.needed("name", "Place", TEXT, "bench", "shelf", "where", "house", "location"),
                Column.needed("climate", "Climate", CLIMATE, "kind", "type", "house kind"),
                Column.optional("trays", "Trays that it holds", COUNT, "room", "space", "capacity", "tray spaces"),
                Column.optional("walk_order", "Walking order", COUNT, "order", "no", "number"));
    }

    /** The climate of a word: its name, or as growers say. */
    static Optional<Climate> climate(String word) {
        String said = word.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(Climate.values())
                .filter(c -> c.name().equalsIgnoreCase(said) || c.code().equals(said))
                .findFirst();
    }

    @Override
    public Preview preview(Csv csv) {
        List<Preview.PreviewRow> makes = new ArrayList<>();
        List<Preview.PreviewRow> held = new ArrayList<>();
        for (Line line : read(csv)) {
            boolean known = known(line.name());
            (known ? held : makes)
                    .add(new Preview.PreviewRow(
                            line.name(),
                            "",
                            Messages.name(line.climate()),
                            "",
                            line.trays() == null ? 0 : line.trays(),
                            0,
                            "",
                            false));
        }
        return Preview.of(makes, List.of(), held);
    }

    @Override
    public int keep(Csv csv, Keeping keeping) {
        int kept = 0;
        for (Line line : read(csv)) {
            if (!known(line.name())) {
                PlaceView made = stock.makePlace(
                        line.name(),
                        line.climate(),
                        line.trays() == null ? null : line.trays().doubleValue(),
                        line.walkOrder());
                keeping.made(Made.PLACE, made.id());
                kept++;
            }
        }
        return kept;
    }

    private boolean known(String name) {
        return stock.places().stream().anyMatch(p -> stock.isSamePlant(p.name(), name));
    }

    private static List<Line> read(Csv csv) {
        Map<String, Line> lines = new LinkedHashMap<>();
        for (Csv.CsvLine line : csv.lines()) {
            Optional<String> name = line.needed("name", 80);
            line.needed("climate", 40);
            Optional<Integer> trays = line.number("trays", 1, MOST_TRAYS);
            Optional<Integer> order = line.number("walk_order", 1, MOST_TRAYS);
            Optional<Climate> climate = climate(line.raw("climate"));
            if (name.isPresent() && climate.isPresent()) {
                Line read = new Line(line.number(), name.get(), climate.get(), trays.orElse(null), order.orElse(null));
                if (lines.putIfAbsent(name.get().toLowerCase(Locale.ROOT), read) != null) {
                    line.bad("name", "This place has two lines.", "Keep one of them.");
                }
            }
        }
        return List.copyOf(lines.values());
    }
}
