package garden.vivarium.app.batch;

import garden.vivarium.app.stock.StockState;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/**
 * What pieces were like; what nobody said is null.
 *
 * @param stockState how the stock plant was
 * @param pieceKind kind of piece, in words
 * @param lengthMm length in mm
 * @param nodes number of nodes
 * @param rootedOnDay0 whether they had roots when they were set
 */
@Embeddable
public record Material(
        @Enumerated(EnumType.STRING) @Column(columnDefinition = "varchar(20)")
        StockState stockState,

        String pieceKind,
        Integer lengthMm,
        Integer nodes,
        @Column(name = "rooted_on_day0") boolean rootedOnDay0) {

    /** Nobody said what they were like. */
    public static final Material UNKNOWN = new Material(null, null, null, null, false);
}
