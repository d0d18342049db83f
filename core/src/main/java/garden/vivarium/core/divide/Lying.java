package garden.vivarium.core.divide;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A plant as it lies on the bench.
 *
 * @param growths in the order of their numbers, 1 to {@value #MOST}
 * @param ties between them; all growths hang together
 */
public record Lying(List<Growth> growths, List<Tie> ties) {

    /** More than this nobody draws. */
    public static final int MOST = 60;

    public Lying {
        growths =
                growths.stream().sorted(Comparator.comparingInt(Growth::number)).toList();
        ties = ties.stream()
                .distinct()
                .sorted(Comparator.comparingInt(Tie::a).thenComparingInt(Tie::b))
                .toList();
        if (growths.isEmpty() || growths.size() > MOST) {
            throw new IllegalArgumentException("a plant has 1 to %d growths".formatted(MOST));
        }
        Map<Integer, Set<Integer>> next = new HashMap<>();
        for (Growth g : growths) {
            if (next.put(g.number(), new HashSet<>()) != null) {
                throw new IllegalArgumentException("growth %d is there twice".formatted(g.number()));
            }
        }
        for (Tie t : ties) {
            if (!next.containsKey(t.a()) || !next.containsKey(t.b())) {
                throw new IllegalArgumentException(
                        "a tie leads to growth %d or %d, which is not there".formatted(t.a(), t.b()));
            }
            next.get(t.a()).add(t.b());
            next.get(t.b()).add(t.a());
        }
        if (!hangsTogether(growths.get(0).number(), next)) {
            throw new IllegalArgumentException(
                    "some growths hang together with none: tie them, or draw them as another plant");
        }
        if (growths.stream().allMatch(Growth::dead)) {
            throw new IllegalArgumentException("none of it lives");
        }
    }

    private static boolean hangsTogether(int first, Map<Integer, Set<Integer>> next) {
        Set<Integer> seen = new HashSet<>(Set.of(first));
        Deque<Integer> to = new ArrayDeque<>(seen);
        while (!to.isEmpty()) {
            for (int other : next.get(to.pop())) {
                if (seen.add(other)) {
                    to.push(other);
                }
            }
        }
        return seen.size() == next.size();
    }

    /** Whether it is a line or a tree: no growth is tied to another by two ways. */
    public boolean isTree() {
        return ties.size() == growths.size() - 1;
    }

    /** The piece that each growth goes to where these ties are cut, by its lowest growth. */
    int[] partedBy(Collection<Tie> cuts) {
        int[] of = new int[growths.size()];
        List<Integer> numbers = growths.stream().map(Growth::number).toList();
        Arrays.setAll(of, i -> i);
        boolean moved = true;
        while (moved) {
            moved = false;
            for (Tie t : ties) {
                int a = numbers.indexOf(t.a());
                int b = numbers.indexOf(t.b());
                if (!cuts.contains(t) && of[a] != of[b]) {
                    of[Math.max(a, b)] = Math.min(of[a], of[b]);
                    of[Math.min(a, b)] = Math.min(of[a], of[b]);
                    moved = true;
                }
            }
        }
        return of;
    }

    /** Growths that live. */
    public int living() {
        return (int) growths.stream().filter(g -> !g.dead()).count();
    }
}
