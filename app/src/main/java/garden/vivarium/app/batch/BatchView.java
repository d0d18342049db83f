package garden.vivarium.app.batch;

import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.UUID;

/** A batch as other modules and pages see it. */
public record BatchView(
        UUID id,
        String code,
        String oldCode,
        UUID planId,
        String plant,
        String group,
        UUID stockPlantId,
        UUID fromBatchId,
        UUID placeId,
        String protocol,
        Integer protocolVersion,
        String method,
        String medium,
        String treatment,
        String instead,
        LocalDate takenOn,
        int taken,
        LocalDate stuckOn,
        LocalDate clockOn,
        int stuck,
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
        Integer minutes,
        SeasonFactors season,
        Counts counts,
        int moved,
        int settled,
        int youngPlants,
        LocalDate lastLook,
        LocalDate lastKnowingLook,
        LocalDate earliestReady,
        int firmPending,
        LocalDate closedOn,
        int changes) {

    public Way way() {
        return new Way(plant, group, method, medium, treatment);
    }

    public boolean isStuck() {
        return stuckOn != null;
    }

    public boolean isTray() {
        return rows != null && columns != null;
    }

    /** Pieces that stand ready and have not been moved. */
    public int readyToMove() {
        return Math.max(0, counts.ready() - counts.lostReady() - moved);
    }

    /** Whether it was planted asleep and has not woken, so that no day is counted yet. */
    public boolean isAsleep() {
        return stuckOn != null && clockOn == null;
    }

    /** Day 0: the day stuck, or for what was planted asleep the day it woke; null while wounds dry. */
    public LocalDate dayNought() {
        return clockOn == null ? stuckOn : clockOn;
    }

    /** Days since day 0. */
    public int age(LocalDate today) {
        return stuckOn == null ? 0 : (int) ChronoUnit.DAYS.between(dayNought(), today);
    }

    /** The days on which its stages are expected; of what sleeps, as if it woke today. */
    Expected expected(Outlook outlook, LocalDate today) {
        LocalDate stuck = !isStuck()
                ? takenOn.plusDays(outlook.callusDays())
                : isAsleep() && today.isAfter(stuckOn) ? today : dayNought();
        return Expected.of(outlook, outlook.in(season), takenOn, stuck);
    }

    /** What goes on the label: plant, date, code. */
    public String label() {
        return "%s · %s · %s".formatted(plant, stuckOn == null ? takenOn : stuckOn, code);
    }
}
