package garden.vivarium.core.guide;

import garden.vivarium.core.timing.Sign;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Optional;

/**
 * How a piece is made, with what is usual for it over all plants: the last resort where no protocol is nearer.
 *
 * @param name the guide's name, as in files
 * @param family stem, leaf, leaf pull, root, division, offset, plantlet or bulb
 * @param section what of a plant it needs
 * @param pottedOnDay0 whether ready is established: one test, not two, and no first sign
 * @param planted whether pieces are planted and take, rather than being stuck and striking
 * @param firstSign what first sign is told by; absent where there is none
 * @param firstSignWord growers' word for it, as "new root" or "bud"; absent where there is none
 * @param ready what ready is told by
 * @param readyWord growers' word for it, as "rooted" or "plantlet with roots"
 * @param rate usual share that becomes ready, 0 to 1, both excluded
 * @param firstSignDays usual window of first sign; absent where there is none
 * @param readyDays usual window of ready
 * @param cautions keys of what to mind whatever the plant
 */
public record Method(
        String name,
        String family,
        Section section,
        boolean pottedOnDay0,
        boolean planted,
        Optional<Sign> firstSign,
        Optional<String> firstSignWord,
        Sign ready,
        String readyWord,
        double rate,
        Optional<Window> firstSignDays,
        Window readyDays,
        List<String> cautions) {

    public Method {
        cautions = List.copyOf(cautions);
    }

    /** The word for what pieces do: strike, or take. */
    public String doing() {
        return planted ? "take" : "strike";
    }

    /** The word for having been set: stuck, or planted. */
    public String done() {
        return planted ? "planted" : "stuck";
    }
}
