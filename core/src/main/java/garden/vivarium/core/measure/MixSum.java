package garden.vivarium.core.measure;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How much of what goes into a mix.
 *
 * @param litres loose mix in all, above 0
 * @param each litres of each ingredient; together they are {@code litres}
 * @param working how it came about
 */
public record MixSum(double litres, Map<String, Double> each, Working working) {

    /** Steps of the sum. */
    public enum Step implements Rule {
        HOW_MUCH_MIX,
        ONE_HOLDS,
        LESS_THE_ROOT_BALL,
        IT_SINKS,
        SO_MANY,
        BY_PARTS
    }

    /**
     * To fill so many pots, trays or baskets.
     *
     * @param count how many, 1 and up
     * @param headspaceCm room left below the rim, in cm, 0 and up
     * @param rootBall litres that go in with each plant, 0 and up
     * @param settling by how much loose mix sinks, 1 to 2
     * @throws IllegalArgumentException if nothing is left to fill
     */
    public static MixSum of(
            Mix mix, Container container, int count, double headspaceCm, double rootBall, double settling) {
        if (count < 1 || !(headspaceCm >= 0) || !(rootBall >= 0) || !(settling >= 1 && settling <= 2)) {
            throw new IllegalArgumentException(
                    "one is filled or more, with 0 cm or more left free, and mix sinks by a factor from 1 to 2");
        }
        double filled = container.upTo(headspaceCm);
        double loose = container.loose(headspaceCm, rootBall, settling);
        if (!(loose > 0)) {
            throw new IllegalArgumentException(
                    "nothing is left to fill: the root ball and the free rim take all of it");
        }
        List<Statement> steps = new ArrayList<>();
        steps.add(Statement.of(
                Step.ONE_HOLDS, "volume", Volume.ofLitres(filled), "free", Length.ofCentimetres(headspaceCm)));
        if (rootBall > 0) {
            steps.add(Statement.of(
                    Step.LESS_THE_ROOT_BALL,
                    "ball",
                    Volume.ofLitres(rootBall),
                    "volume",
                    Volume.ofLitres(filled - rootBall)));
        }
        steps.add(Statement.of(Step.IT_SINKS, "factor", settling, "volume", Volume.ofLitres(loose)));
        steps.add(Statement.of(Step.SO_MANY, "count", count, "volume", Volume.ofLitres(count * loose)));
        return byParts(mix, count * loose, steps);
    }

    /** The mix in all. */
    public Volume volume() {
        return Volume.ofLitres(litres);
    }

    /**
     * So many litres.
     *
     * @param litres above 0
     */
    public static MixSum of(Mix mix, double litres) {
        if (!(litres > 0)) {
            throw new IllegalArgumentException("a mix is more than 0 litres");
        }
        return byParts(mix, litres, new ArrayList<>());
    }

    private static MixSum byParts(Mix mix, double litres, List<Statement> steps) {
        Map<String, Double> each = new LinkedHashMap<>();
        double all = mix.parts().values().stream().mapToDouble(p -> p).sum();
        mix.parts().entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(e -> {
                    double of = litres * e.getValue() / all;
                    each.put(e.getKey(), of);
                    steps.add(Statement.of(
                            Step.BY_PARTS,
                            "part",
                            e.getValue(),
                            "all",
                            all,
                            "what",
                            e.getKey(),
                            "volume",
                            Volume.ofLitres(of)));
                });
        return new MixSum(litres, each, new Working(Statement.of(Step.HOW_MUCH_MIX), steps));
    }
}
