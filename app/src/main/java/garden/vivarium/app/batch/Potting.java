package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.looks.LossCause;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.UUID;

/** Ready pieces moved on to pots on one day, and how many of those young plants settled. */
@Entity
class Potting extends NurseryRow {

    private UUID batchId;
    private LocalDate movedOn;
    private int pieces;
    private int youngPlants;
    private Integer settled;
    private LocalDate settledOn;
    private int lostUnsettled;
    private int lostSettled;
    private boolean away;
    private int sentUnsettled;
    private int sentSettled;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private LossCause lostCause;

    @Embedded
    private PottedIn stands;

    protected Potting() {}

    Potting(UUID batchId, LocalDate movedOn, int pieces, int youngPlants) {
        this.batchId = batchId;
        this.movedOn = movedOn;
        this.pieces = pieces;
        this.youngPlants = youngPlants;
    }

    /** What they stand in. */
    void standsIn(PottedIn pots) {
        stands = pots;
    }

    /** Ready pieces that left for elsewhere. */
    static Potting away(UUID batchId, LocalDate day, int pieces) {
        Potting leaving = new Potting(batchId, day, pieces, 0);
        leaving.away = true;
        leaving.settle(0, day);
        return leaving;
    }

    /** Whether its pieces left for elsewhere instead of going into pots here. */
    boolean isAway() {
        return away;
    }

    void settle(int howMany, LocalDate day) {
        settled = howMany;
        settledOn = day;
    }

    /** It was otherwise than was written down; {@code howMany} settled is null where nobody has looked. */
    void correct(LocalDate day, int moved, int plants, Integer howMany) {
        if (stands != null) {
            stands = stands.movedBy(ChronoUnit.DAYS.between(movedOn, day));
        }
        movedOn = day;
        pieces = moved;
        youngPlants = plants;
        settledOn = howMany == null ? null : settledOn == null || settledOn.isBefore(day) ? day : settledOn;
        settled = howMany;
    }

    /** Young plants were lost in their pots. What had settled had settled: the record of that stays. */
    void lose(int howMany, LossCause cause) {
        if (settled == null) {
            lostUnsettled += howMany;
        } else {
            lostSettled += howMany;
        }
        lostCause = cause;
    }

    /** They were not lost after all. */
    void found(int howMany, boolean wasSettled) {
        if (wasSettled) {
            lostSettled -= howMany;
        } else {
            lostUnsettled -= howMany;
        }
        if (lostSettled + lostUnsettled == 0) {
            lostCause = null;
        }
    }

    /** Nobody has said yet that they settled; what was lost and sent of the settled ones left unsettled then. */
    void unsettle() {
        settled = null;
        settledOn = null;
        lostUnsettled += lostSettled;
        sentUnsettled += sentSettled;
        lostSettled = 0;
        sentSettled = 0;
    }

    /** Young plants were sent away: those that had not settled are judged by nobody. */
    void send(int howMany) {
        if (settled == null) {
            sentUnsettled += howMany;
        } else {
            sentSettled += howMany;
        }
    }

    /** Those had not left after all. */
    void unsend(int howMany, boolean hadSettled, boolean closed) {
        if (hadSettled) {
            sentSettled -= howMany;
        } else {
            sentUnsettled -= howMany;
        }
        if (closed) {
            settled = null;
            settledOn = null;
        }
    }

    /** Young plants of it that stand, settled or not. */
    int standing() {
        return settled == null ? youngPlants - lostUnsettled - sentUnsettled : settled - lostSettled - sentSettled;
    }

    PottingView view() {
        return new PottingView(
                getId(),
                batchId,
                movedOn,
                pieces,
                youngPlants,
                settled,
                settledOn,
                new PottingView.Left(lostUnsettled, lostSettled, lostCause, sentUnsettled, sentSettled),
                stands == null ? PottedIn.UNSAID : stands);
    }
}
