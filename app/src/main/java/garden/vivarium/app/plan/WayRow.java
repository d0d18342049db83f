package garden.vivarium.app.plan;

import garden.vivarium.app.bench.Ribbon;
import garden.vivarium.core.Working;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.AdvisedWay;
import garden.vivarium.core.plan.TraySpace;
import garden.vivarium.core.plan.WayPlan;
import garden.vivarium.core.plan.WayWorking;
import garden.vivarium.core.plan.YoungPlants;
import java.util.Optional;

/**
 * One way in answer to an aim, as the page lists it.
 *
 * @param advised the way, what the guide says of it, and what it asks and promises
 * @param ribbon its life, on the axis that all ways share
 * @param rests pieces of this nursery that the rate rests on
 * @param youngPlants young plants in time, if the number to take is taken; empty where none would do
 * @param obstacle why it cannot be done as asked and what could, in words; empty where it can
 * @param better a start in season that needs fewer pieces, where this one is out of season and there is one
 * @param work how long the number to take would take to cut and stick
 * @param cautions what to mind, in a word each
 * @param chosen whether it is the one looked at
 */
public record WayRow(
        AdvisedWay advised,
        Ribbon ribbon,
        Rests rests,
        Optional<YoungPlants> youngPlants,
        Optional<String> obstacle,
        Optional<WayPlan.Better> better,
        Work work,
        String cautions,
        boolean chosen) {

    /**
     * Pieces of this nursery that a rate rests on, as they count.
     *
     * @param own of this plant by this way
     * @param near of other plants and ways
     */
    public record Rests(int own, int near) {}

    /**
     * Minutes of work.
     *
     * @param minutes for the number to take, 0 where none would do
     * @param batches of this nursery that were timed; 0 where the protocol says it
     */
    public record Work(int minutes, int batches) {}

    /** As it is done with the plant's kind. */
    public Protocol protocol() {
        return advised.offered().protocol();
    }

    public WayPlan plan() {
        return advised.plan();
    }

    /** Whether it can be done with this stock, started on the day asked. */
    public boolean isFeasible() {
        return plan().inTurn().isPresent();
    }

    /** Trays times days that it takes. */
    public int trayDays() {
        return plan().inTurn()
                .map(t -> TraySpace.trayDays(
                        plan().expected(),
                        t.pieces(),
                        youngPlants.map(YoungPlants::middle).orElse(0)))
                .orElse(0);
    }

    /** How the number to take came about. */
    public Working takeWorking() {
        return WayWorking.take(plan());
    }

    /** What would change the number to take most: a few changes, the greatest first. */
    public Working changesWorking() {
        return WayWorking.changes(plan());
    }

    /** How the last safe start came about. */
    public Working lastSafeStartWorking() {
        return WayWorking.lastSafeStart(plan());
    }

    int pieces() {
        return plan().inTurn().map(t -> t.pieces()).orElse(Integer.MAX_VALUE);
    }

    WayRow asChosen(boolean yes) {
        return new WayRow(advised, ribbon, rests, youngPlants, obstacle, better, work, cautions, yes);
    }
}
