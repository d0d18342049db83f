package garden.vivarium.app.stock;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.naming.NameReading;
import garden.vivarium.core.naming.NameWords;
import garden.vivarium.core.timing.Climate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** Stock plants written down one a line: "3 hostas", "2 fuchsia ‘Slack Tide’". What is not clear stays as it was typed, with what is asked. */
@Service
class StockList {

    private static final int MOST_LINES = 60;
    private static final int MOST_OF_ONE = 12;
    private static final int LONGEST_NAME = 120;
    private static final Pattern LINE = Pattern.compile("(?:(\\d{1,4})\\s*[x×]?\\s+)?(.+)");
    /** Lines, and plants of one line; not what stands between quotes. */
    private static final Pattern BETWEEN =
            Pattern.compile("[\\r\\n;]+|,(?=(?:[^‘’'\"]*[‘’'\"][^‘’'\"]*[‘’'\"])*[^‘’'\"]*$)");

    private final Stock stock;
    private final KindsCalled kinds;

    StockList(Stock stock, KindsCalled kinds) {
        this.stock = stock;
        this.kinds = kinds;
    }

    /** A line that was not clear, and what is asked of it. */
    record Asked(String line, String asks) {}

    /**
     * What became of a list.
     *
     * @param added stock plants that were added, in its order
     * @param left lines that were not clear
     */
    record Outcome(List<StockPlantView> added, List<Asked> left) {}

    /**
     * Adds what is clear.
     *
     * @param place where they stand; made where it is new
     * @throws InvalidField of "list" or "place", if there is nothing, too much, or no place
     */
    @Transactional
    public Outcome add(String list, String place, Climate climate) {
        List<String> lines = BETWEEN.splitAsStream(list == null ? "" : list)
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .toList();
        if (lines.isEmpty()) {
            throw new InvalidField("list", Messages.text("StockList.nothing"));
        }
        if (lines.size() > MOST_LINES) {
            throw new InvalidField("list", Messages.text("StockList.many", "most", MOST_LINES));
        }
        if (place == null || place.isBlank()) {
            throw new InvalidField("place", Messages.text("StockList.place"));
        }
        List<StockPlantView> added = new ArrayList<>();
        List<Asked> left = new ArrayList<>();
        for (String line : lines) {
            Matcher parts = LINE.matcher(line);
            int plants = parts.matches() && parts.group(1) != null ? Integer.parseInt(parts.group(1)) : 1;
            String name = parts.matches() ? parts.group(2).strip() : line;
            Optional<String> asks = asks(plants, name);
            if (asks.isPresent()) {
                left.add(new Asked(line, asks.get()));
            } else {
                PlantKind kind = kinds.read(name).taken().orElseThrow();
                for (int i = 0; i < plants; i++) {
                    added.add(stock.add(one(called(name, kind), kind, place.strip(), climate)));
                }
            }
        }
        return new Outcome(List.copyOf(added), List.copyOf(left));
    }

    private Optional<String> asks(int plants, String name) {
        if (plants < 1 || plants > MOST_OF_ONE) {
            return Optional.of(Messages.text("StockList.of.one", "most", MOST_OF_ONE));
        }
        if (name.length() > LONGEST_NAME) {
            return Optional.of(Messages.text("StockList.long"));
        }
        NameReading<PlantKind> read = kinds.read(name);
        if (read.taken().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(
                read.meanings().isEmpty()
                        ? Messages.text("StockList.unknown")
                        : Messages.text("StockList.which", "kinds", Plants.offered(read)));
    }

    /** "hostas" stand on a label as "Hosta"; whatever says more stands as it was typed. */
    private static String called(String name, PlantKind kind) {
        boolean isKindAlone =
                NameWords.of(name).equals(NameWords.of(kind.names().name()));
        return isKindAlone ? kind.title() : StringUtils.capitalize(name);
    }

    private static StockPlantForm one(String name, PlantKind kind, String place, Climate climate) {
        return new StockPlantForm(
                new StockPlantForm.Name(name, kind.key(), null, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                StockKind.PLANT,
                null,
                new StockPlantForm.Stands(place, climate),
                new StockPlantForm.Condition(null, StockState.GROWING, null),
                null);
    }
}
