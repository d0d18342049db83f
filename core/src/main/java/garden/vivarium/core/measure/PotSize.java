package garden.vivarium.core.measure;

import java.util.Optional;

/**
 * What a rooted piece is moved into: a pot by its width, a pot by what it holds, or another place.
 *
 * @param acrossMm width of its mouth in mm, above 0; empty where it goes by litres or is no pot
 * @param litres what it holds, above 0; empty where it goes by width or is no pot
 * @param otherwise the place where there is no pot, or what else would do, as "open ground"; may be empty beside a pot
 */
public record PotSize(Optional<Integer> acrossMm, Optional<Double> litres, String otherwise) {

    /**
     * What a piece is moved into.
     *
     * @throws IllegalArgumentException if it says nothing, or goes both by width and by litres, or is of no size
     */
    public PotSize {
        if (acrossMm.isPresent() && litres.isPresent()) {
            throw new IllegalArgumentException("a pot goes by its width or by its litres, not both");
        }
        if (acrossMm.isEmpty() && litres.isEmpty() && otherwise.isBlank()) {
            throw new IllegalArgumentException("say what pot, or where they go instead");
        }
        if (acrossMm.filter(mm -> mm < 1).isPresent()
                || litres.filter(l -> !(l > 0)).isPresent()) {
            throw new IllegalArgumentException("a pot has a size above 0");
        }
    }

    /** Its usual shape, where it goes by its width. */
    public Optional<Pot> shape() {
        return acrossMm.map(mm -> Pot.across(mm / 10.0));
    }
}
