package garden.vivarium.app.batch;

import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A batch to be made. {@code stuckOn} and {@code stuck} are null while wounds dry; {@code rows} and {@code columns} are null
 * for a loose vessel; what nobody said is null. {@code fromBatchId} is the batch whose
 * pieces were cut again.
 */
public record NewBatch(
        PlantView plant,
        UUID stockPlantId,
        UUID fromBatchId,
        UUID placeId,
        UUID planId,
        String oldCode,
        String protocol,
        Integer protocolVersion,
        String method,
        String medium,
        String treatment,
        String instead,
        LocalDate takenOn,
        int taken,
        LocalDate stuckOn,
        Integer stuck,
        Integer rows,
        Integer columns,
        String vessel,
        StockState stockState,
        String pieceKind,
        Integer lengthMm,
        Integer nodes,
        boolean rootedOnDay0,
        int piecesPerPot,
        Integer hunch,
        Integer minutes) {

    /** A batch as a protocol has it; what is not said further is as the protocol says or not known. */
    public static Draft by(Protocol protocol) {
        return new Draft(protocol);
    }

    /** A batch by a protocol, being described. */
    public static final class Draft {

        private final Protocol protocol;
        private PlantView plant;
        private UUID stockPlantId;
        private UUID fromBatchId;
        private UUID placeId;
        private String treatment;
        private String instead;
        private LocalDate takenOn;
        private int taken;
        private LocalDate stuckOn;
        private Integer stuck;
        private Integer rows;
        private Integer columns;
        private int piecesPerPot = 1;
        private Integer hunch;
        private Integer minutes;
        private boolean measured;
        private UUID planId;

        private Draft(Protocol protocol) {
            this.protocol = protocol;
            this.treatment = String.join(";", protocol.wayTreatment());
        }

        /** Of what it is and where it will stand; {@code stockPlant} is null where that is not known. */
        public Draft of(PlantView which, UUID stockPlant, UUID place) {
            plant = which;
            stockPlantId = stockPlant;
            placeId = place;
            return this;
        }

        /** Planned beforehand. */
        public Draft onPlan(UUID plan) {
            planId = plan;
            return this;
        }

        /** Pieces are cut from the young plants of a batch. */
        public Draft cutAgainFrom(UUID batch) {
            fromBatchId = batch;
            return this;
        }

        public Draft taken(LocalDate day, int pieces) {
            takenOn = day;
            taken = pieces;
            return this;
        }

        public Draft stuck(LocalDate day, int pieces) {
            stuckOn = day;
            stuck = pieces;
            return this;
        }

        public Draft inTray(int trayRows, int trayColumns) {
            rows = trayRows;
            columns = trayColumns;
            return this;
        }

        /** Treated otherwise than the protocol says. */
        public Draft treated(String how, String insteadOf) {
            treatment = how;
            instead = insteadOf;
            return this;
        }

        public Draft perPot(int pieces) {
            piecesPerPot = pieces;
            return this;
        }

        /** What was guessed of it, and the minutes that it took. */
        public Draft guessed(int makeIt, int worked) {
            hunch = makeIt;
            minutes = worked;
            return this;
        }

        /** It was seen that the stock plant grew and that the pieces were as the protocol wants them. */
        public Draft measured() {
            measured = true;
            return this;
        }

        public NewBatch made() {
            return new NewBatch(
                    plant,
                    stockPlantId,
                    fromBatchId,
                    placeId,
                    planId,
                    null,
                    protocol.key(),
                    protocol.version(),
                    protocol.method(),
                    protocol.medium(),
                    treatment,
                    instead,
                    takenOn,
                    taken,
                    stuckOn,
                    stuck,
                    rows,
                    columns,
                    protocol.vessel().words(),
                    measured ? StockState.GROWING : null,
                    protocol.piece().kind(),
                    measured ? protocol.piece().lengthMm().orElse(null) : null,
                    measured ? protocol.piece().nodes().orElse(null) : null,
                    protocol.firstSign().isEmpty(),
                    piecesPerPot,
                    hunch,
                    minutes);
        }
    }
}
