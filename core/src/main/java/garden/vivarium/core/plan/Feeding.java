package garden.vivarium.core.plan;

import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.time.Month;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How young plants are fed once their mix has nothing more to give: how often and how strong by kind of plant, and not while days are
 * short. Customs of the bench in this project's own round figures; a label rules what full strength is.
 *
 * @param everyDays days between two feeds, 1 and up
 * @param share of the strength that the label gives, above 0 and up to 1
 */
public record Feeding(int everyDays, double share) {

    private static final Set<Month> DARK =
            EnumSet.of(Month.OCTOBER, Month.NOVEMBER, Month.DECEMBER, Month.JANUARY, Month.FEBRUARY);

    private static final Feeding USUAL = new Feeding(14, 0.5);
    private static final Feeding WEAK = new Feeding(28, 0.25);
    private static final Feeding WEAK_OFTEN = new Feeding(14, 0.25);

    private static final Map<String, Feeding> BY_GROUP = Map.of(
            "cactus", WEAK,
            "succulent", WEAK,
            "latex", WEAK,
            "tank-rosette", WEAK,
            "forest-cactus", WEAK_OFTEN,
            "clumping-orchid", WEAK_OFTEN,
            "single-orchid", WEAK_OFTEN,
            "bedding", new Feeding(10, 0.5));

    /**
     * By the group of a plant on a day.
     *
     * @param group the guide's key of the group
     * @return empty where it is not fed: kinds that feed harms, and all while days are short
     */
    public static Optional<Feeding> of(String group, LocalDate day, Hemisphere hemisphere) {
        if (group.equals("insect-eater")
                || DARK.contains(
                        hemisphere == Hemisphere.NORTH
                                ? day.getMonth()
                                : day.getMonth().plus(6))) {
            return Optional.empty();
        }
        return Optional.of(BY_GROUP.getOrDefault(group, USUAL));
    }

    /** Litres that so many plants take at a watering: 15 in 100 of what their pots hold. */
    public static double litres(int plants, double potLitres) {
        return 0.15 * plants * potLitres;
    }
}
