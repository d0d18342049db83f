package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.SeasonFactors;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Pieces of one plant by one protocol on one day, kept and judged together. Its counts are kept beside the readings they
 * follow from, so that lists need not replay every batch.
 */
@Entity
class Batch extends NurseryRow {

    private String code;
    private int codeYear;
    private int codeWeek;
    private int codeNumber;
    private String oldCode;
    private UUID planId;
    private UUID plantId;
    private String plantName;
    private String plantGroup;
    private UUID stockPlantId;
    private UUID fromBatchId;
    private UUID placeId;
    private String protocol;
    private Integer protocolVersion;
    private String method;
    private String medium;
    private String treatment;
    private String instead;
    private LocalDate takenOn;
    private int taken;
    private LocalDate stuckOn;
    private Integer stuck;

    // The day from which days are counted: the day stuck, or for what was planted asleep the day it woke.
    private LocalDate clockOn;

    private Integer trayRows;
    private Integer trayColumns;
    private String vessel;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private StockState stockState;

    private String pieceKind;
    private Integer lengthMm;
    private Integer nodes;

    @Column(name = "rooted_on_day0")
    private boolean rootedOnDay0;

    private int piecesPerPot;
    private Integer hunch;
    private Integer minutes;

    @Column(columnDefinition = "longtext")
    private String outlook;

    private double slowing;
    private double thinning;
    private int firstSign;
    private int ready;
    private int lost;
    private int sent;
    private int lostReady;
    private int moved;
    private int settled;
    private int youngPlants;
    private LocalDate lastLook;
    private LocalDate lastKnowingLook;
    private LocalDate earliestReady;
    private int firmPending;
    private LocalDate closedOn;
    private int changes;

    @Version
    private long version;

    protected Batch() {}

    Batch(BatchCode code, NewBatch b, String outlook, SeasonFactors season, boolean asleep) {
        this.code = code.toString();
        this.codeYear = code.year();
        this.codeWeek = code.week();
        this.codeNumber = code.number();
        this.oldCode = b.oldCode();
        this.planId = b.planId();
        this.plantId = b.plant().id();
        this.plantName = b.plant().name();
        this.plantGroup = b.plant().group();
        this.stockPlantId = b.stockPlantId();
        this.fromBatchId = b.fromBatchId();
        this.placeId = b.placeId();
        this.protocol = b.protocol();
        this.protocolVersion = b.protocolVersion();
        this.method = b.method();
        this.medium = b.medium();
        this.treatment = Way.treatment(b.treatment());
        this.instead = b.instead();
        this.takenOn = b.takenOn();
        this.taken = b.taken();
        this.stuckOn = b.stuckOn();
        this.stuck = b.stuck();
        this.clockOn = asleep ? null : b.stuckOn();
        this.trayRows = b.rows();
        this.trayColumns = b.columns();
        this.vessel = b.vessel();
        this.stockState = b.stockState();
        this.pieceKind = b.pieceKind();
        this.lengthMm = b.lengthMm();
        this.nodes = b.nodes();
        this.rootedOnDay0 = b.rootedOnDay0();
        this.piecesPerPot = b.piecesPerPot();
        this.hunch = b.hunch();
        this.minutes = b.minutes();
        this.outlook = outlook;
        this.slowing = season.slower();
        this.thinning = season.poorer();
    }

    /** The wounds have dried: day 0 is known, and how many came through. */
    void stick(LocalDate day, int pieces, boolean asleep) {
        stuckOn = day;
        stuck = pieces;
        clockOn = asleep ? null : day;
        changes++;
    }

    /** Takes over what a replay of all looks says. */
    void stands(Counts counts, LocalDate look, LocalDate knowing, LocalDate firstReady, int firm) {
        firstSign = counts.firstSign();
        ready = counts.ready();
        lost = counts.lost();
        sent = counts.sent();
        lostReady = counts.lostReady();
        lastLook = look;
        lastKnowingLook = knowing;
        earliestReady = firstReady;
        firmPending = firm;
        changes++;
    }

    void moved(int pieces, int makingPlants) {
        moved += pieces;
        youngPlants += makingPlants;
        changes++;
    }

    /** It woke: days are counted from here. */
    void woke(LocalDate day) {
        clockOn = day;
        changes++;
    }

    /** The day from which days are counted; while it sleeps, the day it was planted. */
    LocalDate dayNought() {
        return clockOn == null ? stuckOn : clockOn;
    }

    String protocol() {
        return protocol;
    }

    Integer protocolVersion() {
        return protocolVersion;
    }

    UUID stockPlantId() {
        return stockPlantId;
    }

    void settled(int youngPlants) {
        settled += youngPlants;
        changes++;
    }

    /** Closed when nothing more can come of it; opened again when a correction says otherwise. */
    void closed(LocalDate day) {
        closedOn = day;
    }

    Way way() {
        return new Way(plantName, plantGroup, method, medium, treatment);
    }

    LocalDate stuckOn() {
        return stuckOn;
    }

    Integer stuck() {
        return stuck;
    }

    LocalDate takenOn() {
        return takenOn;
    }

    int taken() {
        return taken;
    }

    String code() {
        return code;
    }

    String method() {
        return method;
    }

    String outlookText() {
        return outlook;
    }

    int changes() {
        return changes;
    }

    BatchView view() {
        return new BatchView(
                getId(),
                code,
                oldCode,
                planId,
                plantName,
                plantGroup,
                stockPlantId,
                fromBatchId,
                placeId,
                protocol,
                protocolVersion,
                method,
                medium,
                treatment,
                instead,
                takenOn,
                taken,
                stuckOn,
                clockOn,
                stuck == null ? 0 : stuck,
                trayRows,
                trayColumns,
                vessel,
                stockState,
                pieceKind,
                lengthMm,
                nodes,
                rootedOnDay0,
                piecesPerPot,
                hunch,
                minutes,
                new SeasonFactors(slowing, thinning),
                new Counts(stuck == null ? 0 : stuck, firstSign, ready, lost, sent, lostReady),
                moved,
                settled,
                youngPlants,
                lastLook,
                lastKnowingLook,
                earliestReady,
                firmPending,
                closedOn,
                changes);
    }
}
