package garden.vivarium.core.measure;

import java.util.Optional;

/**
 * How far pieces stand apart.
 *
 * @param apartMm from middle to middle, in mm, above 0; empty where words say it, as "one to a cell"
 * @param words what else is to be said of it; may be empty where there is a distance
 */
public record Spacing(Optional<Integer> apartMm, String words) {

    /**
     * How far apart.
     *
     * @throws IllegalArgumentException if it says nothing, or the distance is none
     */
    public Spacing {
        if (apartMm.isEmpty() && words.isBlank()) {
            throw new IllegalArgumentException("spacing is a distance or words");
        }
        if (apartMm.filter(mm -> mm < 1).isPresent()) {
            throw new IllegalArgumentException("pieces stand 1 mm apart or more");
        }
    }
}
