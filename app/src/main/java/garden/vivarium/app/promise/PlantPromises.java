package garden.vivarium.app.promise;

import garden.vivarium.app.plan.TopUps;
import garden.vivarium.core.Working;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * All that is owed of one plant, in the order in which it is served, and what there is to serve it.
 *
 * @param plant its id
 * @param name its name
 * @param promises the first served first
 * @param sources what gives, or will give, young plants of it
 */
public record PlantPromises(UUID plant, String name, List<Judged> promises, List<Source> sources) {

    /**
     * A promise as it stands.
     *
     * @param promise the promise
     * @param draws what it draws on
     * @param chance of being met, 0 to 1
     * @param tenth that many or more come nine times in ten
     * @param ninetieth that many or more come once in ten
     * @param uncovered plants owed that draw on nothing
     * @param advice what would make it up, where it is short and something would
     * @param working how the chance came about
     */
    public record Judged(
            PromiseView promise,
            List<Drawn> draws,
            double chance,
            int tenth,
            int ninetieth,
            int uncovered,
            Optional<TopUps.Advice> advice,
            Working working) {

        /** Whether plants can be handed over: some of what it draws on is stuck. */
        public boolean canGive() {
            return draws.stream().anyMatch(Drawn::isBatch);
        }

        /** How many plants the drawing of it must hold. */
        public int axis() {
            return Math.max(promise.owed(), ninetieth) + 1;
        }

        /** Whether all that is wanted is drawn on something, as surely as was asked. */
        public boolean isCovered() {
            return uncovered == 0 && !isShort();
        }

        /** Whether the chance is below what was asked. A name that waits without a day is never short. */
        public boolean isShort() {
            return promise.isShortAt(chance);
        }
    }

    /**
     * A share of a batch or plan.
     *
     * @param id of the claim
     * @param from what the share is of, in words
     * @param address its page
     * @param plants of it, in all
     * @param given of those, handed over
     * @param granted what is taken for granted of pieces that wait there, in words; empty where none does
     * @param isBatch whether plants can be given from it
     */
    public record Drawn(
            UUID id, String from, String address, int plants, int given, Optional<String> granted, boolean isBatch) {

        /** So many of those wanted as are left of the share. */
        public int atMost(int wanted) {
            return Math.min(wanted, plants - given);
        }
    }

    /**
     * What gives young plants.
     *
     * @param id of the batch or plan
     * @param isBatch whether it is stuck
     * @param words what it is
     * @param address its page
     * @param promised plants of it that are promised or given
     * @param free plants beyond those, nine times in ten
     */
    public record Source(UUID id, boolean isBatch, String words, String address, int promised, int free) {}

    /** Whether a promise is due on the same day as the one before it, so that they can change places. */
    public boolean isSameDayAsBefore(int index) {
        return index > 0
                && Objects.equals(
                        promises.get(index - 1).promise().due(),
                        promises.get(index).promise().due());
    }

    public int free() {
        return sources.stream().mapToInt(Source::free).sum();
    }
}
