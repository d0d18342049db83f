package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** How many typed names come out as they were meant, and how long one takes among all kinds and 5,000 plants. */
class NamesBench {

    private static final int PLANTS = 5000;

    @Test
    void namesAsPeopleTypeThem() {
        Guide guide = Guide.load();
        List<TypedNamesTest.Answer> answers = TypedNamesTest.answers();
        List<String> wrong = answers.stream()
                .map(a -> a.wrong(guide))
                .flatMap(Optional::stream)
                .toList();
        System.out.printf(Locale.ROOT, "names: %d of %d as expected%n", answers.size() - wrong.size(), answers.size());
        wrong.forEach(w -> System.out.println("  " + w));

        List<StockNames.Standing<Integer>> standing = new ArrayList<>();
        List<PlantKind> kinds =
                guide.kinds().stream().filter(PlantKind::isRaisedByPieces).toList();
        for (int i = 0; i < PLANTS; i++) {
            PlantKind kind = kinds.get(i % kinds.size());
            standing.add(new StockNames.Standing<>(
                    i, "%s ‘Gull %s’".formatted(kind.title(), Integer.toString(i, 26)), kind.key(), kind.group()));
        }
        long before = System.nanoTime();
        StockNames<Integer> names = new StockNames<>(guide, standing, Map.of());
        System.out.printf(
                Locale.ROOT, "names of %d plants made ready in %.0f ms%n", PLANTS, (System.nanoTime() - before) / 1e6);
        long[] times = new long[answers.size()];
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < times.length; i++) {
                long begun = System.nanoTime();
                assertThat(names.read(answers.get(i).typed())).isNotNull();
                times[i] = System.nanoTime() - begun;
            }
        }
        int slowest = IntStream.range(0, times.length)
                .reduce((a, b) -> times[a] >= times[b] ? a : b)
                .orElseThrow();
        double longest = times[slowest] / 1e6;
        Arrays.sort(times);
        System.out.printf(
                Locale.ROOT,
                "a name among them: median %.2f ms, ninety-nine in a hundred within %.1f ms, longest %.1f ms (%s)%n",
                times[times.length / 2] / 1e6,
                times[times.length * 99 / 100] / 1e6,
                longest,
                answers.get(slowest).typed());
    }
}
