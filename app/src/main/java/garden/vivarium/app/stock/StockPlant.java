package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.stock.Regrowth;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** A plant in a place, or a lot, from which material is taken. */
@Entity
class StockPlant extends NurseryRow {

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "plant_id")
    private Plant plant;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "place_id")
    private Place place;

    private String code;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private StockKind kind = StockKind.PLANT;

    private String origin;
    private String supplier;
    private LocalDate arrivedOn;
    private String inspection;
    private Integer piecesNow;
    private LocalDate countedOn;
    private LocalDate lastCutOn;
    private Integer lastCut;
    private boolean lastCutHard;
    private boolean cutSinceCounted;
    private LocalDate restSeenOn;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private StockState state;

    private LocalDate quarantineUntil;
    private UUID fromBatchId;
    private Integer fromPiece;
    private String note;

    @Version
    private long version;

    protected StockPlant() {}

    StockPlant(Plant plant, String code, UUID fromBatchId, Integer fromPiece) {
        this.plant = plant;
        this.code = code;
        this.fromBatchId = fromBatchId;
        this.fromPiece = fromPiece;
    }

    void describe(Place where, StockPlantForm form, LocalDate today, PlantGroup.Rhythm rhythm) {
        place = where;
        kind = form.kind();
        origin = form.came().origin();
        supplier = form.came().supplier();
        arrivedOn = form.came().arrivedOn();
        inspection = form.came().inspection();
        state = form.condition().state();
        quarantineUntil = form.condition().quarantineUntil();
        note = form.note();
        Integer shown =
                regrowth(rhythm).bears(today).map(Regrowth.Bearing::pieces).orElse(null);
        // The form shows the estimate: left as it is, nobody has counted.
        if (form.condition().pieces() == null || !form.condition().pieces().equals(shown)) {
            counted(form.condition().pieces(), today);
        }
    }

    /** Its pieces were counted. */
    void counted(Integer pieces, LocalDate day) {
        piecesNow = pieces;
        countedOn = pieces == null ? null : day;
        cutSinceCounted = false;
    }

    /** Somebody looked: how it is. */
    void looksLike(StockState how) {
        state = how;
    }

    /**
     * Pieces were cut. A cut dated before the last count is in that count already.
     *
     * @return whether it was hard: meant so, or more than it bears well
     */
    boolean cut(int pieces, LocalDate day, boolean meant, PlantGroup.Rhythm rhythm) {
        boolean sinceCounted = countedOn != null && !day.isBefore(countedOn);
        boolean hard = meant || (sinceCounted && regrowth(rhythm).isHard(pieces, day));
        if (lastCutOn != null && day.isBefore(lastCutOn)) {
            return hard;
        }
        if (sinceCounted) {
            piecesNow =
                    regrowth(rhythm).bears(day).map(Regrowth.Bearing::pieces).orElse(piecesNow);
            countedOn = day;
            cutSinceCounted = true;
        }
        lastCutOn = day;
        lastCut = pieces;
        lastCutHard = hard;
        restSeenOn = null;
        if (kind == StockKind.LOT && piecesNow != null && piecesNow <= pieces) {
            state = StockState.RETIRED;
        }
        return hard;
    }

    void restSeen(LocalDate day) {
        restSeenOn = day;
    }

    void quarantine(LocalDate until) {
        quarantineUntil = until;
    }

    Regrowth regrowth(PlantGroup.Rhythm rhythm) {
        return Regrowth.of(
                rhythm,
                piecesNow == null || countedOn == null
                        ? Optional.empty()
                        : Optional.of(new Regrowth.Count(countedOn, piecesNow)),
                lastCutOn == null
                        ? Optional.empty()
                        : Optional.of(new Regrowth.Harvest(lastCutOn, lastCut, lastCutHard)),
                cutSinceCounted,
                kind == StockKind.PLANT);
    }

    Plant plant() {
        return plant;
    }

    StockPlantView view(LocalDate today, PlantGroup.Rhythm rhythm) {
        Regrowth regrowth = regrowth(rhythm);
        Optional<Regrowth.Bearing> bearing = regrowth.bears(today);
        return new StockPlantView(
                getId(),
                code,
                kind,
                plant.view(),
                place.view(),
                new StockPlantView.Provenance(origin, supplier, arrivedOn, inspection, fromBatchId, fromPiece),
                new StockPlantView.Bears(
                        bearing.map(Regrowth.Bearing::pieces).orElse(null),
                        bearing.map(Regrowth.Bearing::estimated).orElse(false),
                        regrowth),
                new StockPlantView.Condition(state, quarantineUntil, restSeenOn),
                note,
                Seen.mark(mark(), version));
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "stock " + code;
    }

    long version() {
        return version;
    }
}
