package garden.vivarium.core.measure;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A feed by its nitrogen: how much of a product goes into a can, a tank, or the concentrate of an injector. 1 per cent of 1 g in a litre is
 * 10 mg, so g/L = ppm × ratio ÷ (10 × N%).
 *
 * @param gramsPerLitre product to a litre of can, or of concentrate
 * @param grams product in all
 * @param phosphorus ppm of P that come with it
 * @param potassium ppm of K that come with it
 * @param conductivity mS/cm of what the plants get; empty where the label's figure is not given
 * @param warnings what does not fit
 * @param working how it came about
 */
public record Feed(
        double gramsPerLitre,
        double grams,
        double phosphorus,
        double potassium,
        Optional<Double> conductivity,
        List<Statement> warnings,
        Working working) {

    /** P in P₂O₅, and K in K₂O, by weight. */
    private static final double P_OF_OXIDE = 0.4364;

    private static final double K_OF_OXIDE = 0.8302;

    /** More than this of a mixed powder rarely dissolves in a litre of cold water; a round figure of this project's own. */
    private static final double RARELY_DISSOLVES = 250;

    /** Above this rooted cuttings and young plants burn; a round figure of this project's own. */
    private static final double STRONG = 250;

    /** Steps of the sum. */
    public enum Step implements Rule {
        HOW_MUCH_FEED,
        GRAMS_A_LITRE_OF_CAN,
        GRAMS_A_LITRE_OF_CONCENTRATE,
        GRAMS_IN_ALL,
        ALSO_COMES
    }

    /** What does not fit. */
    public enum Warning implements Rule {
        /** More than the {@code solubility} in g/L. */
        WILL_NOT_DISSOLVE,
        /** More than mixed powders mostly dissolve. */
        MAY_NOT_DISSOLVE,
        /** So many {@code ppm} burn young roots. */
        STRONG_FOR_YOUNG_ROOTS
    }

    /**
     * A product as its label has it.
     *
     * @param nitrogen per cent N, above 0 and up to 100
     * @param phosphate per cent P₂O₅, 0 to 100
     * @param potash per cent K₂O, 0 to 100
     * @param solubility g that dissolve in a litre of cold water; empty where the label is silent
     * @param conductivity mS/cm that 1 g/L makes; empty where the label is silent
     */
    public record Product(
            double nitrogen,
            double phosphate,
            double potash,
            Optional<Double> solubility,
            Optional<Double> conductivity) {

        public Product {
            if (!(nitrogen > 0 && nitrogen <= 100)
                    || !(phosphate >= 0 && phosphate <= 100)
                    || !(potash >= 0 && potash <= 100)) {
                throw new IllegalArgumentException(
                        "a feed has above 0 to 100 per cent of N, and 0 to 100 of the others");
            }
        }

        /** Nitrogen alone. */
        public static Product nitrogen(double percent) {
            return new Product(percent, 0, 0, Optional.empty(), Optional.empty());
        }
    }

    /**
     * How much to weigh.
     *
     * @param ppm of N that the plants shall get, above 0
     * @param product what is fed
     * @param ratio of the injector, 128 for 1:128; 1 where it goes straight into the can
     * @param litres of can, or of concentrate, above 0
     */
    public static Feed of(double ppm, Product product, double ratio, double litres) {
        if (!(ppm > 0) || !(ratio >= 1) || !(litres > 0)) {
            throw new IllegalArgumentException("ppm and litres are above 0, a ratio is 1 or more");
        }
        double each = gramsPerLitre(ppm, product.nitrogen(), ratio);
        double atPlants = each / ratio;
        double p = 10 * product.phosphate() * P_OF_OXIDE * atPlants;
        double k = 10 * product.potash() * K_OF_OXIDE * atPlants;
        List<Statement> steps = new ArrayList<>();
        steps.add(
                ratio > 1
                        ? Statement.of(
                                Step.GRAMS_A_LITRE_OF_CONCENTRATE,
                                "ppm",
                                ppm,
                                "ratio",
                                ratio,
                                "percent",
                                product.nitrogen(),
                                "grams",
                                each)
                        : Statement.of(
                                Step.GRAMS_A_LITRE_OF_CAN, "ppm", ppm, "percent", product.nitrogen(), "grams", each));
        steps.add(Statement.of(Step.GRAMS_IN_ALL, "each", each, "litres", litres, "grams", each * litres));
        if (p + k > 0) {
            steps.add(Statement.of(Step.ALSO_COMES, "p", p, "k", k));
        }
        return new Feed(
                each,
                each * litres,
                p,
                k,
                product.conductivity().map(c -> c * atPlants),
                warnings(ppm, product, each),
                new Working(Statement.of(Step.HOW_MUCH_FEED, "ppm", ppm), steps));
    }

    private static List<Statement> warnings(double ppm, Product product, double each) {
        List<Statement> warnings = new ArrayList<>();
        product.solubility()
                .ifPresentOrElse(
                        most -> {
                            if (each > most) {
                                warnings.add(
                                        Statement.of(Warning.WILL_NOT_DISSOLVE, "grams", each, "solubility", most));
                            }
                        },
                        () -> {
                            if (each > RARELY_DISSOLVES) {
                                warnings.add(Statement.of(Warning.MAY_NOT_DISSOLVE, "grams", each));
                            }
                        });
        if (ppm > STRONG) {
            warnings.add(Statement.of(Warning.STRONG_FOR_YOUNG_ROOTS, "ppm", ppm));
        }
        return warnings;
    }

    /**
     * Grams of a product to a litre of can (ratio 1) or concentrate.
     *
     * @param percent of N in it, above 0
     */
    public static double gramsPerLitre(double ppm, double percent, double ratio) {
        return ppm * ratio / (10 * percent);
    }

    /** The ppm of N that so many g/L make: the same sum the other way round. */
    public static double ppm(double gramsPerLitre, double percent, double ratio) {
        return gramsPerLitre * 10 * percent / ratio;
    }
}
