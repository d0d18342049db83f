package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.stock.Regrowth;
import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.Optional;

/** What a stock plant bears of one sort of piece: the last count, and what was cut of it. */
@Entity
class StockCount extends NurseryRow {

    private String sort;
    private Integer pieces;
    private LocalDate countedOn;
    private LocalDate lastCutOn;
    private Integer lastCut;
    private boolean lastCutHard;
    private boolean cutSinceCounted;

    protected StockCount() {}

    StockCount(String sort) {
        this.sort = sort;
    }

    String sort() {
        return sort;
    }

    /** It was of a sort that nobody knew. */
    void is(String found) {
        sort = found;
    }

    boolean isCounted() {
        return pieces != null;
    }

    /** They were counted; null where nobody can say any more. A cut dated after that day is not in the count. */
    void counted(Integer number, LocalDate day) {
        pieces = number;
        countedOn = number == null ? null : day;
        cutSinceCounted = number != null && lastCutOn != null && lastCutOn.isAfter(day);
    }

    /**
     * Pieces were cut. A cut dated before the last count is in that count already.
     *
     * @return whether it was hard: meant so, or more than it bears well
     */
    boolean cut(int number, LocalDate day, boolean meant, PlantGroup.Rhythm rhythm, boolean regrows) {
        boolean sinceCounted = countedOn != null && !day.isBefore(countedOn);
        Regrowth known = regrowth(rhythm, regrows);
        boolean hard = meant || (sinceCounted && known.isHard(number, day));
        if (lastCutOn != null && day.isBefore(lastCutOn)) {
            return hard;
        }
        if (sinceCounted) {
            pieces = known.bears(day).map(Regrowth.Bearing::pieces).orElse(pieces);
            countedOn = day;
            cutSinceCounted = true;
        }
        lastCutOn = day;
        lastCut = number;
        lastCutHard = hard;
        return hard;
    }

    /** How many are left on a day, at the most; empty where it was not counted by then. */
    Optional<Integer> left(LocalDate day, PlantGroup.Rhythm rhythm, boolean regrows) {
        boolean known =
                countedOn != null && !day.isBefore(countedOn) && (lastCutOn == null || !day.isBefore(lastCutOn));
        return known ? regrowth(rhythm, regrows).bears(day).map(Regrowth.Bearing::most) : Optional.empty();
    }

    /** The last cut never was: what it bore before stands again. Other cuts than the last are in the count already. */
    void takeBack(int number, LocalDate day) {
        if (day.equals(lastCutOn) && lastCut != null && lastCut == number) {
            lastCutOn = null;
            lastCut = null;
            lastCutHard = false;
            cutSinceCounted = false;
        }
    }

    /** Whether nothing is left of a lot after its last harvest. */
    boolean isUsedUp() {
        return pieces != null && lastCut != null && cutSinceCounted && pieces <= lastCut;
    }

    Regrowth regrowth(PlantGroup.Rhythm rhythm, boolean regrows) {
        return Regrowth.of(
                rhythm,
                pieces == null || countedOn == null
                        ? Optional.empty()
                        : Optional.of(new Regrowth.Count(countedOn, pieces)),
                lastCutOn == null
                        ? Optional.empty()
                        : Optional.of(new Regrowth.Harvest(lastCutOn, lastCut, lastCutHard)),
                cutSinceCounted,
                regrows);
    }
}
