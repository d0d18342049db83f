package garden.vivarium.core.guide;

import garden.vivarium.core.looks.MilestoneSigns;
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
 * @param firstSign how first sign is told; absent where there is none
 * @param ready how ready is told
 * @param rate usual share that becomes ready, 0 to 1, both excluded
 * @param stages how well its protocols' shares that come through callus and settling are known
 * @param cautions keys of what to mind whatever the plant
 * @param draws of what a plant bears, what it uses up
 */
public record Method(
        String name,
        String family,
        Section section,
        boolean pottedOnDay0,
        boolean planted,
        Optional<Told> firstSign,
        Told ready,
        double rate,
        Stages stages,
        List<String> cautions,
        Draws draws) {

    /**
     * How a milestone is told.
     *
     * @param sign by what
     * @param word growers' word for it, as "new root" or "rooted"
     * @param days usual window
     */
    public record Told(Sign sign, String word, Window days) {}

    /** How well it is known what comes through the callus, and what settles after the move. */
    public record Stages(Certainty callus, Certainty settling) {}

    /**
     * What it uses up.
     *
     * @param sort key of the sort of piece
     * @param never why plants by which it is never done do not allow it, where nothing closer is known
     */
    public record Draws(String sort, String never) {}

    public Method {
        cautions = List.copyOf(cautions);
    }

    /** What tells its milestones. */
    public MilestoneSigns signs() {
        return new MilestoneSigns(firstSign.map(Told::sign), ready.sign());
    }
}
