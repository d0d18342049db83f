package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/**
 * Losses that came together: in one place, within ten days, of one cause, in more batches than batches of this nursery lose by that cause in such a time.
 * Batches are counted, not pieces, since pieces of a batch are lost together anyhow. A scan over windows, with the binomial tail of the rate elsewhere and as
 * many tests allowed for as windows were looked at (Bonferroni). After Naus, J. Am. Statist. Assoc. 60 (1965) 532; the figures are this project's own.
 */
public final class Outbreaks {

    private static final int DAYS = 10;
    private static final int FEWEST_BATCHES = 3;
    private static final int FEWEST_PIECES = 2;
    private static final double LEVEL = 0.05;

    private Outbreaks() {}

    /** A look at a batch: it stood in a place on a day, and could have been found to have lost. */
    public record Seen(String batch, String place, LocalDate on) {}

    /** What is said. */
    public enum Said implements Rule {
        /** Losses came together. */
        TOGETHER
    }

    /**
     * Losses that came together.
     *
     * @param from the first of those looks
     * @param to the last
     * @param batches that lost by this cause, by their labels
     * @param seen how many were looked at there in that time
     * @param pieces lost in all
     * @param usual share of batches that lose so many by this cause in such a time
     * @param chance of so many batches, all windows allowed for
     */
    public record Outbreak(
            String place,
            LossCause cause,
            LocalDate from,
            LocalDate to,
            List<String> batches,
            int seen,
            int pieces,
            double usual,
            double chance) {

        /** It with its figures. */
        public Statement says() {
            return Statement.of(
                    Said.TOGETHER,
                    "place",
                    place,
                    "cause",
                    cause,
                    "from",
                    from,
                    "to",
                    to,
                    "batches",
                    batches.size(),
                    "seen",
                    seen,
                    "pieces",
                    pieces,
                    "usual",
                    usual);
        }
    }

    /** Looks through all windows; of those that overlap in one place and cause the least likely is told. The latest first. */
    public static List<Outbreak> of(Collection<LossEvent> losses, Collection<Seen> looks) {
        Map<String, Map<LocalDate, Set<String>>> seen = new TreeMap<>();
        looks.forEach(s -> seen.computeIfAbsent(s.place(), p -> new TreeMap<>())
                .computeIfAbsent(s.on(), d -> new HashSet<>())
                .add(s.batch()));
        Map<Sort, List<LossEvent>> sorts = losses.stream()
                .filter(l -> l.cause() != LossCause.MISLAID)
                .collect(Collectors.groupingBy(l -> new Sort(l.place(), l.cause())));
        List<Outbreak> found = new ArrayList<>();
        int windows = 0;
        for (Map.Entry<Sort, List<LossEvent>> e : sorts.entrySet()) {
            Set<LocalDate> ends = e.getValue().stream().map(LossEvent::on).collect(Collectors.toSet());
            for (LocalDate end : ends) {
                windows++;
                window(e.getKey(), end, e.getValue(), losses, seen).ifPresent(found::add);
            }
        }
        int tests = Math.max(1, windows);
        List<Outbreak> told = new ArrayList<>();
        found.stream()
                .map(o -> new Outbreak(
                        o.place(),
                        o.cause(),
                        o.from(),
                        o.to(),
                        o.batches(),
                        o.seen(),
                        o.pieces(),
                        o.usual(),
                        Math.min(1, o.chance() * tests)))
                .filter(o -> o.chance() < LEVEL)
                .sorted(Comparator.comparingDouble(Outbreak::chance))
                .filter(o -> told.stream().noneMatch(t -> overlaps(t, o)))
                .forEach(told::add);
        told.sort(Comparator.comparing(Outbreak::to).reversed());
        return told;
    }

    private record Sort(String place, LossCause cause) {}

    private static boolean overlaps(Outbreak a, Outbreak b) {
        return a.place().equals(b.place())
                && a.cause() == b.cause()
                && !a.from().isAfter(b.to().plusDays(DAYS))
                && !b.from().isAfter(a.to().plusDays(DAYS));
    }

    private static Optional<Outbreak> window(
            Sort sort,
            LocalDate end,
            List<LossEvent> there,
            Collection<LossEvent> all,
            Map<String, Map<LocalDate, Set<String>>> seen) {
        LocalDate from = end.minusDays(DAYS - 1L);
        Map<String, Integer> lost = there.stream()
                .filter(l -> !l.on().isBefore(from) && !l.on().isAfter(end))
                .collect(Collectors.groupingBy(
                        LossEvent::batch, TreeMap::new, Collectors.summingInt(LossEvent::pieces)));
        lost.values().removeIf(n -> n < FEWEST_PIECES);
        Set<String> looked = seenIn(seen.getOrDefault(sort.place(), Map.of()), from, end);
        looked.addAll(lost.keySet());
        if (lost.size() < FEWEST_BATCHES) {
            return Optional.empty();
        }
        double usual = usual(sort.cause(), all, seen, sort.place(), from, end);
        // The window ends where one of them lost: that one is there by choice, and the others are the evidence.
        double chance = 1 - new BinomialDistribution(looked.size() - 1, usual).cumulativeProbability(lost.size() - 2);
        LocalDate first = there.stream()
                .filter(l -> lost.containsKey(l.batch()))
                .map(LossEvent::on)
                .filter(d -> !d.isBefore(from) && !d.isAfter(end))
                .min(Comparator.naturalOrder())
                .orElse(from);
        return Optional.of(new Outbreak(
                sort.place(),
                sort.cause(),
                first,
                end,
                List.copyOf(lost.keySet()),
                looked.size(),
                lost.values().stream().mapToInt(n -> n).sum(),
                usual,
                chance));
    }

    private static Set<String> seenIn(Map<LocalDate, Set<String>> days, LocalDate from, LocalDate to) {
        Set<String> batches = new HashSet<>();
        days.forEach((day, there) -> {
            if (!day.isBefore(from) && !day.isAfter(to)) {
                batches.addAll(there);
            }
        });
        return batches;
    }

    /** Share of batches that lose by a cause in ten days, everywhere but in the window itself; half a batch in one stands for what was never seen. */
    private static double usual(
            LossCause cause,
            Collection<LossEvent> all,
            Map<String, Map<LocalDate, Set<String>>> seen,
            String place,
            LocalDate from,
            LocalDate to) {
        Map<List<Object>, Integer> lost = new TreeMap<>(Comparator.comparing(Object::toString));
        Set<List<Object>> units = new HashSet<>();
        seen.forEach((where, days) -> days.forEach((day, batches) -> {
            if (!where.equals(place) || day.isBefore(from) || day.isAfter(to)) {
                batches.forEach(b -> units.add(List.of(b, day.toEpochDay() / DAYS)));
            }
        }));
        for (LossEvent l : all) {
            if (l.cause() == cause && (!l.place().equals(place) || l.on().isBefore(from) || l.on().isAfter(to))) {
                lost.merge(List.of(l.batch(), l.on().toEpochDay() / DAYS), l.pieces(), Integer::sum);
            }
        }
        long times = lost.values().stream().filter(n -> n >= FEWEST_PIECES).count();
        return Math.min(0.99, (times + 0.5) / (Math.max(units.size(), times) + 1));
    }
}
