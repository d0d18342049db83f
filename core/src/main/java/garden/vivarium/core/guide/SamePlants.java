package garden.vivarium.core.guide;

import garden.vivarium.core.naming.NameWords;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Plants of a nursery that seem to be one under two names: the same words in other order, case or number, or a kind's bare name beside the only other
 * plant of that kind.
 */
public final class SamePlants {

    private SamePlants() {}

    /** Two that seem to be one: whose name says less, and whose says more. */
    public record Pair<P>(P less, P more) {}

    /**
     * The pairs among plants, each plant at most once as the one that says less.
     *
     * @param guide by whose names a bare name is known
     * @param plants all plants of a nursery
     */
    public static <P> List<Pair<P>> among(Guide guide, List<StockNames.Standing<P>> plants) {
        List<Pair<P>> pairs = new ArrayList<>();
        Map<String, StockNames.Standing<P>> byWords = new HashMap<>();
        Map<String, List<StockNames.Standing<P>>> byKind = plants.stream()
                .filter(p -> !p.kind().isEmpty())
                .collect(Collectors.groupingBy(StockNames.Standing::kind));
        for (StockNames.Standing<P> plant : plants) {
            String words = words(plant.name());
            StockNames.Standing<P> before = byWords.putIfAbsent(words, plant);
            if (before != null) {
                pairs.add(new Pair<>(plant.plant(), before.plant()));
                continue;
            }
            List<StockNames.Standing<P>> kindred = byKind.getOrDefault(plant.kind(), List.of());
            boolean isBare = guide.kind(plant.kind())
                    .filter(k -> k.names().all().anyMatch(n -> words(n).equals(words)))
                    .isPresent();
            if (isBare && kindred.size() == 2) {
                StockNames.Standing<P> other = kindred.get(kindred.get(0).equals(plant) ? 1 : 0);
                pairs.add(new Pair<>(plant.plant(), other.plant()));
            }
        }
        return List.copyOf(pairs);
    }

    private static String words(String name) {
        return NameWords.of(name).stream().sorted().collect(Collectors.joining(" "));
    }
}
