package garden.vivarium.core.divide;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The divisions that somebody may choose between, beside leaving the plant whole; and what speaks against dividing it now. */
public final class Choices {

    private Choices() {}

    /** What a division is for. */
    public enum Purpose {
        /** As many plants as can be: many small pieces. */
        MOST_PLANTS,
        /** As many pieces as are each sure: the middle. */
        SURE_PIECES,
        /** All in flower soon: few large pieces. */
        SOON_IN_FLOWER,
        /** So many for others and the best for oneself. */
        BEST_KEPT,
        /** Two halves as even as can be. */
        HALVES,
        /** As somebody would cut it themselves. */
        OWN_CUTS,
        /** Left whole. */
        WHOLE
    }

    /** Why it is better left alone for now. */
    public enum Against implements Rule {
        /** It has fewer growths than two of the least pieces need. */
        TOO_SMALL,
        /** It is in flower. */
        IN_FLOWER,
        /** It is weak. */
        WEAK,
        /** It is asleep, and is divided growing. */
        ASLEEP,
        /** It grows, and is divided asleep. */
        GROWING
    }

    /**
     * A division, and what it is the best for.
     *
     * @param purposes one or more
     * @param division how
     */
    public record Choice(List<Purpose> purposes, Division division) {

        public Choice {
            purposes = List.copyOf(purposes);
        }
    }

    /**
     * All of them; where two come to the same cuts, once for both.
     *
     * @param sure the least chance of a piece that is sure, 0 to 1
     * @param away how many are for others where the best is kept, 1 and up
     */
    public static List<Choice> of(Lying plant, Worth worth, double sure, int away) {
        Map<Division, List<Purpose>> found = new LinkedHashMap<>();
        add(found, Purpose.BEST_KEPT, Divider.best(plant, worth, Ask.away(away)));
        add(found, Purpose.SURE_PIECES, Divider.best(plant, worth, Ask.sure(sure)));
        add(found, Purpose.SOON_IN_FLOWER, Divider.best(plant, worth, Ask.of(Ask.Aim.SOON_IN_FLOWER)));
        add(found, Purpose.MOST_PLANTS, Divider.best(plant, worth, Ask.of(Ask.Aim.MOST_PLANTS)));
        add(found, Purpose.HALVES, halves(plant, worth));
        add(found, Purpose.WHOLE, Optional.of(whole(plant, worth)));
        return found.entrySet().stream()
                .map(e -> new Choice(e.getValue(), e.getKey()))
                .sorted(Comparator.comparing((Choice c) -> c.division().isUndivided()))
                .toList();
    }

    /**
     * A plant as somebody would cut it themselves, judged.
     *
     * @param cuts ties that they would cut
     * @return empty where nothing comes apart by that
     */
    public static Optional<Choice> own(Lying plant, Worth worth, List<Tie> cuts) {
        int[] of = plant.partedBy(cuts);
        Division division = new Cutting(plant, worth).division(of);
        return division.pieces().size() < 2
                ? Optional.empty()
                : Optional.of(new Choice(List.of(Purpose.OWN_CUTS), division));
    }

    /** Two living pieces as even as can be, by one tie or by two; of those the one whose weaker piece is the surer. */
    private static Optional<Division> halves(Lying plant, Worth worth) {
        Cutting cutting = new Cutting(plant, worth);
        List<Tie> ties = plant.ties();
        List<Division> halves = new ArrayList<>();
        for (int i = 0; i < ties.size(); i++) {
            for (int j = i; j < ties.size(); j++) {
                Division two = cutting.division(plant.partedBy(List.of(ties.get(i), ties.get(j))));
                if (two.pieces().size() == 2) {
                    halves.add(two);
                }
            }
        }
        return halves.stream()
                .min(Comparator.comparingInt(Choices::uneven)
                        .thenComparing(d -> -d.leastSure())
                        .thenComparing(d -> d.cuts().size()));
    }

    private static int uneven(Division two) {
        return Math.abs(two.pieces().get(0).living() - two.pieces().get(1).living());
    }

    private static void add(Map<Division, List<Purpose>> found, Purpose purpose, Optional<Division> division) {
        // What is left whole is not disturbed at all.
        division.map(d -> d.isUndivided() ? d.undisturbed() : d)
                .ifPresent(d -> found.computeIfAbsent(d, k -> new ArrayList<>()).add(purpose));
    }

    private static Division whole(Lying plant, Worth worth) {
        return new Cutting(plant, worth).division(new int[plant.growths().size()]);
    }

    /** How a plant is, where that speaks for or against dividing it. */
    public enum State {
        GROWING,
        ASLEEP,
        IN_FLOWER,
        WEAK
    }

    /** When a kind is divided. */
    public enum When {
        EITHER,
        ASLEEP,
        GROWING
    }

    /** What speaks against dividing it now; empty where nothing does. */
    public static List<Statement> against(Lying plant, Worth worth, State state, When when) {
        List<Statement> against = new ArrayList<>();
        if (plant.living() < 2 * worth.least()) {
            against.add(Statement.of(Against.TOO_SMALL, "growths", plant.living(), "least", worth.least()));
        }
        switch (state) {
            case IN_FLOWER -> against.add(Statement.of(Against.IN_FLOWER));
            case WEAK -> against.add(Statement.of(Against.WEAK));
            case ASLEEP -> {
                if (when == When.GROWING) {
                    against.add(Statement.of(Against.ASLEEP));
                }
            }
            case GROWING -> {
                if (when == When.ASLEEP) {
                    against.add(Statement.of(Against.GROWING));
                }
            }
        }
        return against;
    }
}
