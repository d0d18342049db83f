package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.LocalDate;

/** A plant in a place, from which material is taken. */
@Entity
class StockPlant extends NurseryRow {

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "plant_id")
    private Plant plant;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "place_id")
    private Place place;

    private String code;
    private String origin;
    private Integer piecesNow;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private StockState state;

    private LocalDate quarantineUntil;
    private String note;

    @Version
    private long version;

    protected StockPlant() {}

    StockPlant(Plant plant, String code) {
        this.plant = plant;
        this.code = code;
    }

    void describe(Place where, String from, Integer pieces, StockState how, LocalDate quarantine, String remark) {
        place = where;
        origin = from;
        piecesNow = pieces;
        state = how;
        quarantineUntil = quarantine;
        note = remark;
    }

    /** Pieces were cut: as many fewer can be given now. */
    void cut(int pieces) {
        if (piecesNow != null) {
            piecesNow = Math.max(0, piecesNow - pieces);
        }
    }

    StockPlantView view() {
        return new StockPlantView(
                getId(), code, plant.view(), place.view(), origin, piecesNow, state, quarantineUntil, note);
    }
}
