package garden.vivarium.core.measure;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;

/**
 * So much of a concentrate, made up with water.
 *
 * @param stockMl concentrate, in mL, 0 and up
 * @param waterMl water, in mL, 0 and up
 * @param working how they came about
 */
public record Dilution(double stockMl, double waterMl, Working working) {

    /** Steps of the sum. */
    public enum Step implements Rule {
        HOW_MUCH_OF_EACH,
        SAME_AMOUNT_BEFORE_AND_AFTER,
        PARTS_IN_ALL,
        RATE_TIMES_LITRES,
        REST_IS_WATER
    }

    /** What is made up in all, in mL. */
    public double totalMl() {
        return stockMl + waterMl;
    }

    /**
     * From one strength to a weaker one: C₁V₁ = C₂V₂.
     *
     * @param from the concentrate's strength, above 0
     * @param to the strength that is wanted, in the same unit, above 0 and not above {@code from}
     * @param totalMl how much is wanted, in mL, above 0
     * @throws IllegalArgumentException if it would have to be made stronger
     */
    public static Dilution of(double from, double to, double totalMl) {
        require(from > 0 && to > 0 && totalMl > 0, "strengths and amounts are above 0");
        require(to <= from, "water makes nothing stronger: the concentrate is weaker than what is wanted");
        double stock = to * totalMl / from;
        return made(
                stock,
                totalMl,
                Statement.of(
                        Step.SAME_AMOUNT_BEFORE_AND_AFTER, "from", from, "to", to, "total", totalMl, "stock", stock));
    }

    /**
     * By parts: 1 to 6 is one part and six parts of water, seven in all.
     *
     * @param of parts of the concentrate, above 0
     * @param to parts of water, 0 and up
     * @param totalMl how much is wanted, in mL, above 0
     */
    public static Dilution parts(double of, double to, double totalMl) {
        require(of > 0 && to >= 0 && totalMl > 0, "parts and amounts are above 0");
        double stock = totalMl * of / (of + to);
        return made(
                stock,
                totalMl,
                Statement.of(Step.PARTS_IN_ALL, "of", of, "to", to, "all", of + to, "total", totalMl, "stock", stock));
    }

    /**
     * By a label's rate, in mL to a litre of what is made up.
     *
     * @param mlPerLitre above 0 and up to 1000
     * @param totalMl how much is wanted, in mL, above 0
     */
    public static Dilution rate(double mlPerLitre, double totalMl) {
        require(
                mlPerLitre > 0 && mlPerLitre <= 1000 && totalMl > 0,
                "a rate is above 0 and up to 1000 mL to the litre");
        double stock = mlPerLitre * totalMl / 1000;
        return made(
                stock,
                totalMl,
                Statement.of(Step.RATE_TIMES_LITRES, "rate", mlPerLitre, "litres", totalMl / 1000, "stock", stock));
    }

    private static Dilution made(double stock, double total, Statement step) {
        double water = total - stock;
        return new Dilution(
                stock,
                water,
                Working.of(
                        Statement.of(Step.HOW_MUCH_OF_EACH),
                        step,
                        Statement.of(Step.REST_IS_WATER, "total", total, "stock", stock, "water", water)));
    }

    private static void require(boolean so, String otherwise) {
        if (!so) {
            throw new IllegalArgumentException(otherwise);
        }
    }
}
