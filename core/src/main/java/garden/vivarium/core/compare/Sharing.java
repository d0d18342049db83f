package garden.vivarium.core.compare;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How alike batches are that share a week, a place, a stock plant or a person, where that is told: k of them on one side of a comparison count as
 * k ÷ (1 + (k − 1)·likeness), as pieces of one tray do (Kish, Survey Sampling (1965), ch. 5).
 *
 * @param likeness by what is shared, 0 to 1
 */
public record Sharing(Map<Shared.By, Double> likeness) {

    /** Batches share nothing. */
    public static final Sharing NONE = new Sharing(Map.of());

    public Sharing {
        likeness = Map.copyOf(likeness);
    }

    /** What is told. */
    public static Sharing of(List<Shared> found) {
        return new Sharing(found.stream()
                .filter(s -> s.isEnough() && s.isTold() && s.likeness() > 0)
                .collect(Collectors.toMap(Shared::by, s -> Math.min(1, s.likeness()))));
    }

    /** Batches, each counting as the share of itself that it has beside others of its plant, method and medium. */
    public List<FinishedBatch> allowedFor(List<FinishedBatch> all) {
        if (likeness.isEmpty()) {
            return all;
        }
        IdentityHashMap<FinishedBatch, Double> counts = new IdentityHashMap<>();
        all.stream()
                .collect(Collectors.groupingBy(
                        b -> List.of(b.plant(), b.method(), b.is(Factor.MEDIUM).orElse(""))))
                .values()
                .forEach(way -> {
                    Map<String, Double> shares = shares(way, Factor.MEDIUM);
                    way.forEach(b -> counts.put(b, shares.get(b.code())));
                });
        return all.stream().map(b -> b.counting(counts.get(b))).toList();
    }

    /**
     * As what share of itself each batch of one side counts, by its label.
     *
     * @param asked what is compared: what makes the side itself is not allowed for
     */
    Map<String, Double> shares(List<FinishedBatch> side, Factor asked) {
        Map<String, Double> over = new HashMap<>();
        likeness.forEach((by, alike) -> {
            if (!by.is(asked)) {
                Map<String, Long> groups = side.stream().collect(Collectors.groupingBy(by::of, Collectors.counting()));
                side.forEach(b -> {
                    if (!by.of(b).isEmpty()) {
                        over.merge(b.code(), (groups.get(by.of(b)) - 1) * alike, Double::sum);
                    }
                });
            }
        });
        return side.stream()
                .collect(Collectors.toMap(
                        FinishedBatch::code, b -> 1 / (1 + over.getOrDefault(b.code(), 0.0)), (x, y) -> x));
    }
}
