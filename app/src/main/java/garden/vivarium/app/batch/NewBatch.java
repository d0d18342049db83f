package garden.vivarium.app.batch;

import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.treatment.Treatments;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A batch to be made.
 *
 * @param plant the plant
 * @param origin where it comes from
 * @param placeId where it will stand
 * @param done how it is done
 * @param taking when pieces were cut and set, and how many
 * @param vessel what they stand in
 * @param material what they are like
 * @param guess what is guessed of it
 */
public record NewBatch(
        PlantView plant,
        Origin origin,
        UUID placeId,
        HowDone done,
        Taking taking,
        Vessel vessel,
        Material material,
        Guess guess) {

    /** A batch as a protocol has it; what is not said further is as the protocol says or not known. */
    public static Draft by(Protocol protocol) {
        return new Draft(protocol);
    }

    /** A batch by a protocol, being described. */
    public static final class Draft {

        private final Protocol protocol;
        private PlantView plant;
        private Origin origin = Origin.UNKNOWN;
        private UUID placeId;
        private HowDone done;
        private Taking taking;
        private Vessel vessel;
        private Guess guess = Guess.NONE;
        private boolean measured;

        private Draft(Protocol protocol) {
            this.protocol = protocol;
            this.done = HowDone.as(protocol);
            this.vessel = Vessel.loose(protocol.placing().vessel().words().written());
        }

        /** Of what it is and where it will stand; {@code stockPlant} is null where that is not known. */
        public Draft of(PlantView which, UUID stockPlant, UUID place) {
            plant = which;
            origin = new Origin(origin.planId(), stockPlant, origin.fromBatchId(), null);
            placeId = place;
            return this;
        }

        /** Planned beforehand. */
        public Draft onPlan(UUID plan) {
            origin = new Origin(plan, origin.stockPlantId(), origin.fromBatchId(), null);
            return this;
        }

        /** Pieces are cut from the young plants of a batch. */
        public Draft cutAgainFrom(UUID batch) {
            origin = new Origin(origin.planId(), origin.stockPlantId(), batch, null);
            return this;
        }

        public Draft taken(LocalDate day, int pieces) {
            taking = Taking.drying(day, pieces);
            return this;
        }

        /** Set into the medium, after it was said when they were taken. */
        public Draft stuck(LocalDate day, int pieces) {
            taking = taking.stuck(day, pieces);
            return this;
        }

        public Draft inTray(int trayRows, int trayColumns) {
            vessel = vessel.tray(trayRows, trayColumns);
            return this;
        }

        /** Treated otherwise than the protocol says. */
        public Draft treated(Treatments how, String deviation) {
            done = done.treated(how, deviation);
            return this;
        }

        /** In the trays of a trial. */
        public Draft inTrial(UUID trial, String deviation) {
            done = done.inTrial(trial, deviation);
            return this;
        }

        public Draft perPot(int pieces) {
            vessel = vessel.perPot(pieces);
            return this;
        }

        /** What was guessed of it, and the minutes that it took. */
        public Draft guessed(int makeIt, int worked) {
            guess = new Guess(makeIt, worked);
            return this;
        }

        /** It was seen that the stock plant grew and that the pieces were as the protocol wants them. */
        public Draft measured() {
            measured = true;
            return this;
        }

        public NewBatch made() {
            Material material = new Material(
                    measured ? StockState.GROWING : null,
                    protocol.material().piece().kind(),
                    measured ? protocol.material().piece().lengthMm().orElse(null) : null,
                    measured ? protocol.material().piece().nodes().orElse(null) : null,
                    protocol.firstSign().isEmpty());
            return new NewBatch(plant, origin, placeId, done, taking, vessel, material, guess);
        }
    }
}
