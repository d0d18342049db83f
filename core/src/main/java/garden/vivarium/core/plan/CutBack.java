package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Length;
import java.util.Map;
import java.util.Optional;

/**
 * When young plants are cut back so that they branch: settled ones of kinds that shoot from below the cut, once they are tall enough to
 * leave two or three pairs of leaves. The heights are this project's own round figures.
 */
public enum CutBack implements Rule {
    /** They stand {@code height} cm high. */
    TALL_ENOUGH;

    private static final Map<String, Integer> FROM_MM = Map.of("soft", 120, "bedding", 100, "woody", 150);

    /**
     * Whether it is time.
     *
     * @param group the guide's key of the group
     * @param heightMm what a usual plant measured last, in mm
     * @return why; empty where it is too low, or the kind is not cut back
     */
    public static Optional<Statement> due(String group, int heightMm) {
        return Optional.ofNullable(FROM_MM.get(group))
                .filter(from -> heightMm >= from)
                .map(from -> Statement.of(TALL_ENOUGH, "height", Length.ofCentimetres(Math.round(heightMm / 10.0))));
    }
}
