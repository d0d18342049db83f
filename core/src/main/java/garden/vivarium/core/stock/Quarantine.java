package garden.vivarium.core.stock;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Treatments of a plant in quarantine: repeated so that each follows before what hatched since the last can lay again, and once
 * more after the last eggs must have hatched. Clean only when so many days have passed since the last of them with nothing seen.
 *
 * @param pest against what
 * @param start the day of the first treatment
 */
public record Quarantine(Pest pest, LocalDate start) {

    /**
     * Pests, with the interval and number of treatments that outlast their egg stage at 18 to 24 °C. Usual figures of
     * horticulture; a product's label may say otherwise and then decides.
     */
    public enum Pest {
        MEALYBUG(10, 3),
        SCALE(14, 4),
        SPIDER_MITE(5, 3),
        THRIPS(7, 4),
        APHID(5, 3),
        WHITEFLY(5, 5),
        GNATS(7, 4),
        UNKNOWN(14, 2);
        private final int everyDays;
        private final int times;

        Pest(int everyDays, int times) {
            this.everyDays = everyDays;
            this.times = times;
        }

        /** Days between treatments. */
        public int everyDays() {
            return everyDays;
        }

        /** How many treatments. */
        public int times() {
            return times;
        }
    }

    /** The days of all treatments. */
    public List<LocalDate> treatments() {
        return IntStream.range(0, pest.times())
                .mapToObj(i -> start.plusDays((long) i * pest.everyDays()))
                .toList();
    }

    /** The first day out of quarantine: one more interval after the last treatment. */
    public LocalDate ends() {
        return start.plusDays((long) pest.times() * pest.everyDays());
    }

    /** What is said of a course. */
    public enum Step implements Rule {
        /** Against a {@code pest}: {@code times} times, every {@code every} days. */
        COURSE
    }

    /** The reason. */
    public Statement why() {
        return Statement.of(Step.COURSE, "pest", pest, "times", pest.times(), "every", pest.everyDays());
    }
}
