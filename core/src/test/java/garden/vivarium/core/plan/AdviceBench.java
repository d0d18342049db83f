package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** How often the guide alone advises what a propagator would, and how fast: run by {@code ./vivarium bench advice}. */
class AdviceBench {

    private static final class Row {
        private int asked;
        private int right;
        private int laughable;
    }

    @Test
    void adviceAgainstWhatAPropagatorWouldSay() {
        Guide guide = Guide.load();
        Map<String, Row> groups = new TreeMap<>();
        List<AdviceAnswers.Answer> answers = AdviceAnswers.load();
        for (AdviceAnswers.Answer a : answers) {
            List<String> open = AdviceAnswers.advice(guide, a.name(), a.group()).open().stream()
                    .map(w -> w.offered().protocol().method())
                    .toList();
            Row row = groups.computeIfAbsent(a.group(), g -> new Row());
            row.asked++;
            row.right += !open.isEmpty() && a.first().contains(open.get(0)) ? 1 : 0;
            if (open.isEmpty() || !a.first().contains(open.get(0))) {
                System.out.println("  " + a.name() + ": " + (open.isEmpty() ? "nothing" : open.get(0)) + ", not "
                        + String.join(" or ", a.first()));
            }
            row.laughable += open.stream().anyMatch(a.laughedAt()::contains) ? 1 : 0;
        }
        assertThat(groups).isNotEmpty();
        System.out.printf(Locale.ROOT, "%-18s %6s %6s %10s%n", "group", "asked", "right", "laughable");
        groups.forEach(
                (g, r) -> System.out.printf(Locale.ROOT, "%-18s %6d %6d %10d%n", g, r.asked, r.right, r.laughable));
        System.out.printf(
                Locale.ROOT,
                "%-18s %6d %6d %10d%n",
                "all",
                groups.values().stream().mapToInt(r -> r.asked).sum(),
                groups.values().stream().mapToInt(r -> r.right).sum(),
                groups.values().stream().mapToInt(r -> r.laughable).sum());

        long[] times = new long[answers.size()];
        for (int i = 0; i < times.length; i++) {
            AdviceAnswers.Answer a = answers.get(i);
            long before = System.nanoTime();
            AdviceAnswers.advice(guide, a.name(), a.group());
            times[i] = System.nanoTime() - before;
        }
        Arrays.sort(times);
        System.out.printf(
                Locale.ROOT,
                "all ways of a plant: median %.1f ms, 95th percentile %.1f ms%n",
                times[times.length / 2] / 1e6,
                times[times.length * 95 / 100] / 1e6);
        long before = System.nanoTime();
        for (AdviceAnswers.Answer a : answers) {
            assertThat(guide.names().read(a.name() + "x", a.group())).isNotNull();
        }
        System.out.printf(
                Locale.ROOT, "a misspelt name: %.2f ms%n", (System.nanoTime() - before) / 1e6 / answers.size());
    }
}
