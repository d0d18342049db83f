package garden.vivarium.app.find;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.stock.KindsCalled;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCalled;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.naming.NameReading;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds by what is typed, even half: each word typed must stand somewhere in the name; or, read as a plant's name is, mean it though it be misspelt. */
@Service
class Finder {

    static final int MOST_FOUND = 20;

    private static final int MOST_KINDS = 5;

    private final BatchBook batches;
    private final Stock stock;
    private final StockCalled called;
    private final KindsCalled kindsCalled;

    Finder(BatchBook batches, Stock stock, StockCalled called, KindsCalled kindsCalled) {
        this.batches = batches;
        this.stock = stock;
        this.called = called;
        this.kindsCalled = kindsCalled;
    }

    /** What matches, stock plants and batches whose name begins so first; nothing for blank words. */
    @Transactional(readOnly = true)
    List<Found> find(String typed) {
        String words = plain(typed == null ? "" : typed.strip());
        if (words.isEmpty()) {
            return List.of();
        }
        // "26w43-A/14" is a piece: its batch is found.
        int slash = words.indexOf('/');
        String asked = slash > 0 ? words.substring(0, slash) : words;
        String piece = slash > 0 ? words.substring(slash + 1) : "";
        List<Found> found = new ArrayList<>();
        List<StockPlantView> standing = stock.all();
        Set<UUID> meant = Set.copyOf(called.read(asked, standing).plants());
        for (StockPlantView s : standing) {
            String name = s.code() + " " + s.plant().name() + " " + s.place().name();
            if (matches(name, asked) || meant.contains(s.id())) {
                found.add(new Found(
                        "/stock/" + s.id(),
                        s.code() + " " + s.plant().name(),
                        "%s, %s"
                                .formatted(
                                        s.isLot() ? "lot" : "stock plant",
                                        s.place().name())));
            }
        }
        String longest = List.of(asked.split(" ")).stream()
                .max(Comparator.comparing(String::length))
                .orElse(asked);
        // One word is looked for as it is; of several the database finds those with the longest, and more than are
        // shown.
        batches.like(longest, longest.equals(asked) ? 2 * MOST_FOUND : 200).stream()
                .filter(b -> matches(
                        b.code() + " " + b.plant() + " "
                                + (b.origin().oldCode() == null
                                        ? ""
                                        : b.origin().oldCode()),
                        asked))
                .map(b -> new Found(
                        "/batches/" + b.code(),
                        b.code() + (piece.matches("\\d+") ? "/" + piece : "") + " " + b.plant(),
                        what(b)))
                .forEach(found::add);
        for (PlaceView p : stock.places()) {
            if (matches(p.name(), asked)) {
                found.add(new Found("/benches#place-" + p.id(), p.name(), "place, " + Messages.name(p.climate())));
            }
        }
        found.sort(Comparator.comparing((Found f) -> !plain(f.name()).startsWith(asked)));
        NameReading<PlantKind> kinds = kindsCalled.read(asked);
        kinds.meanings().stream()
                .filter(k -> found.isEmpty() || !(kinds instanceof NameReading.Unknown))
                .limit(MOST_KINDS)
                .map(k -> new Found(
                        "/guide/kinds/" + k.key(),
                        k.title(),
                        Messages.text("Finder.kind", "latin", k.names().latin().get(0))))
                .toList()
                .forEach(found::add);
        return found.subList(0, Math.min(MOST_FOUND, found.size()));
    }

    private static String what(BatchView b) {
        String life = b.closedOn() != null ? "FINISHED" : b.isStuck() ? "RUNNING" : "DRYING";
        return Messages.text("Finder.batch", "life", life, "way", WayWords.of(b.way()));
    }

    private static boolean matches(String name, String asked) {
        String plain = plain(name);
        return List.of(asked.split("\\s+")).stream().allMatch(plain::contains);
    }

    /** Small letters without accents and quotes, so that "kelp" finds ‘Kelpbank’. */
    private static String plain(String words) {
        return Normalizer.normalize(words, Normalizer.Form.NFD)
                .replaceAll("[\\p{M}‘’'\"]", "")
                .toLowerCase(Locale.ROOT);
    }
}
