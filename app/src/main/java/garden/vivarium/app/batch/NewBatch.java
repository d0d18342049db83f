package garden.vivarium.app.batch;

import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.StockState;
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
        Integer minutes) {}
