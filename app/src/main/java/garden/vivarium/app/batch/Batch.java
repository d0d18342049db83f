package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.SeasonFactors;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;

/**
 * Pieces of one plant by one protocol on one day, kept and judged together. Its counts are kept beside the readings they
 * follow from, so that lists need not replay every batch.
 */
@Entity
@SQLRestriction("withdrawn_at is null")
class Batch extends NurseryRow {

    private String code;
    private int codeYear;
    private int codeWeek;
    private int codeNumber;

    @Embedded
    private Origin origin;

    private UUID plantId;
    private String plantName;
    private String plantKind;
    private String plantGroup;
    private UUID placeId;

    @Embedded
    private HowDone done;

    @Embedded
    private Taking taking;

    // The day from which days are counted: the day stuck, or for what was planted asleep the day it woke.
    private LocalDate clockOn;

    @Embedded
    private Vessel vessel;

    @Embedded
    private Material material;

    @Embedded
    private Guess guess;

    @Column(columnDefinition = "longtext")
    private String outlook;

    private double slowing;
    private double thinning;
    private double seasonOut;
    private int firstSign;
    private int ready;
    private int lost;
    private int sent;
    private int lostReady;
    private int moved;
    private int settled;
    private int sentReady;
    private int youngPlants;
    private LocalDate lastLook;
    private LocalDate lastKnowingLook;
    private LocalDate earliestReady;
    private int firmPending;
    private LocalDate closedOn;
    private UUID together;

    @Column(length = 65535)
    private String drawn;

    private String madeBy;
    private int changes;
    private Instant withdrawnAt;
    private String withdrawnBy;
    private String withdrawnWhy;
    private Integer withdrawnCut;
    private String withdrawnOldCode;

    @Version
    private long version;

    protected Batch() {}

    Batch(BatchCode code, NewBatch b, String outlook, SeasonFactors season, boolean asleep) {
        this.code = code.toString();
        this.codeYear = code.year();
        this.codeWeek = code.week();
        this.codeNumber = code.number();
        this.origin = b.origin();
        this.plantId = b.plant().id();
        this.plantName = b.plant().name();
        this.plantKind = b.plant().kind();
        this.plantGroup = b.plant().group();
        this.placeId = b.placeId();
        this.done = b.done();
        this.taking = b.taking();
        this.clockOn = asleep ? null : b.taking().stuckOn();
        this.vessel = b.vessel();
        this.material = b.material();
        this.guess = b.guess();
        this.outlook = outlook;
        this.slowing = season.slower();
        this.thinning = season.poorer();
        this.seasonOut = season.out();
    }

    /** Who stuck it, as far as Vivarium knows; none in old records. */
    Batch by(String person) {
        madeBy = person;
        return this;
    }

    /** It was otherwise than was written down. Its code stays: the label has it. */
    void correct(NewBatch b, String expected, SeasonFactors season, LocalDate clock) {
        origin = b.origin();
        plantId = b.plant().id();
        plantName = b.plant().name();
        plantKind = b.plant().kind();
        plantGroup = b.plant().group();
        placeId = b.placeId();
        done = b.done();
        taking = b.taking();
        vessel = b.vessel();
        outlook = expected;
        slowing = season.slower();
        thinning = season.poorer();
        seasonOut = season.out();
        clockOn = clock;
        changes++;
    }

    /** So many more or fewer were moved, made and settled than was written down. */
    void correctMoves(int pieces, int plants, int settledOnes) {
        moved += pieces;
        youngPlants += plants;
        settled += settledOnes;
        changes++;
    }

    /** The wounds have dried: day 0 is known, and how many came through. */
    void stick(LocalDate day, int pieces, boolean asleep) {
        taking = taking.stuck(day, pieces);
        clockOn = asleep ? null : day;
        changes++;
    }

    /** They were not stuck: they dry still. */
    void unstick() {
        taking = Taking.drying(taking.takenOn(), taking.taken());
        clockOn = null;
        closedOn = null;
        changes++;
    }

    /** A letter for each piece, as looks and moves left it. */
    void draws(String letters) {
        drawn = letters;
    }

    String drawn() {
        return drawn;
    }

    /** Takes over what a replay of all looks says. */
    void stands(Counts counts, Progress.Seen seen) {
        firstSign = counts.firstSign();
        ready = counts.ready();
        lost = counts.lost();
        sent = counts.sent();
        lostReady = counts.lostReady();
        lastLook = seen.last();
        lastKnowingLook = seen.lastKnowing();
        earliestReady = seen.earliestReady();
        firmPending = seen.firmPending();
        changes++;
    }

    void moved(int pieces, int makingPlants) {
        moved += pieces;
        youngPlants += makingPlants;
        changes++;
    }

    /** Ready pieces left for elsewhere. */
    void sentReady(int pieces) {
        sentReady += pieces;
        moved(pieces, 0);
    }

    UUID placeId() {
        return placeId;
    }

    /** It stands in another place. */
    void carried(UUID place) {
        placeId = place;
        changes++;
    }

    /** Something beside its counts has changed. */
    void touched() {
        changes++;
    }

    /** It shares a vessel with another, and with all that share that. */
    void standsWith(Batch other) {
        UUID one = other.together != null ? other.together : together != null ? together : getId();
        together = one;
        other.together = one;
        changes++;
        other.changes++;
    }

    void standsAlone() {
        together = null;
        changes++;
    }

    UUID together() {
        return together;
    }

    /** It never was; {@code cut} is null where nothing that was cut for it was taken back. */
    void withdraw(String who, Instant when, String why, Integer cut) {
        withdrawnOldCode = origin == null ? null : origin.oldCode();
        origin = origin == null ? null : origin.withoutOldCode();
        withdrawnCut = cut;
        withdrawnBy = who;
        withdrawnAt = when;
        withdrawnWhy = why;
        changes++;
    }

    /** What stands ready has left, nobody says when. */
    void leave() {
        int standing = view().readyToMove();
        if (standing > 0) {
            moved(standing, 0);
        }
    }

    /** It woke: days are counted from here. */
    void woke(LocalDate day) {
        clockOn = day;
        changes++;
    }

    /** It had not woken after all. */
    void sleepsAgain() {
        clockOn = null;
        changes++;
    }

    /** The day from which days are counted; while it sleeps, the day it was planted. */
    LocalDate dayZero() {
        return clockOn == null ? stuckOn() : clockOn;
    }

    HowDone done() {
        return done;
    }

    void settled(int howMany) {
        settled += howMany;
        changes++;
    }

    /** Closed when nothing more can come of it; opened again when a correction says otherwise. */
    void closed(LocalDate day) {
        closedOn = day;
    }

    Way way() {
        return done.way(new Grown(plantName, plantKind, plantGroup));
    }

    LocalDate stuckOn() {
        return taking.stuckOn();
    }

    Integer stuck() {
        return taking.stuck();
    }

    /** How many days before or after day 0 it may have been; of what woke, its waking was seen. */
    int unsureDays() {
        return clockOn != null && clockOn.equals(taking.stuckOn()) ? taking.unsureDays() : 0;
    }

    LocalDate takenOn() {
        return taking.takenOn();
    }

    int taken() {
        return taking.taken();
    }

    String code() {
        return code;
    }

    String outlookText() {
        return outlook;
    }

    int changes() {
        return changes;
    }

    /** Its name in the marks of forms. */
    String mark() {
        return BatchView.mark(code);
    }

    BatchView view() {
        int pieces = taking.stuck() == null ? 0 : taking.stuck();
        // A part of which nothing is known is read back as null.
        return new BatchView(
                new BatchView.Identity(getId(), code, Objects.requireNonNullElse(origin, Origin.UNKNOWN), placeId),
                way(),
                done,
                taking,
                new BatchView.Clock(clockOn, new SeasonFactors(slowing, thinning, seasonOut)),
                vessel,
                material,
                Objects.requireNonNullElse(guess, Guess.NONE),
                new Progress(
                        new Counts(pieces, firstSign, ready, lost, sent, lostReady),
                        moved,
                        sentReady,
                        youngPlants,
                        settled,
                        new Progress.Seen(lastLook, lastKnowingLook, earliestReady, firmPending),
                        closedOn),
                changes);
    }
}
