package garden.vivarium.core.stock;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.guide.PlantGroup;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.function.IntUnaryOperator;

/**
 * How many pieces a stock plant bears, may give and when it can be cut again. What was left after the last harvest stands, and
 * what was cut grows back evenly over the group's days of regrowth: pieces(t) = left + cut · min(1, t ÷ regrow). Plants differ,
 * so that the estimate is given from a half to one and a half of what has regrown. A count made after the harvest replaces it.
 * The straight line is this project's own simplification; the nursery's counts say better.
 */
public final class Regrowth {

    private static final double LEAST = 0.5;
    private static final double FULLEST = 1.5;

    private final PlantGroup.Rhythm rhythm;
    private final Optional<Count> counted;
    private final Optional<Harvest> last;
    private final boolean cutSince;
    private final boolean regrows;

    private Regrowth(
            PlantGroup.Rhythm rhythm,
            Optional<Count> counted,
            Optional<Harvest> last,
            boolean cutSince,
            boolean regrows) {
        this.rhythm = rhythm;
        this.counted = counted;
        this.last = last;
        this.cutSince = cutSince && last.isPresent();
        this.regrows = regrows;
    }

    /** Pieces counted on the plant on a day, 0 and up. */
    public record Count(LocalDate on, int pieces) {}

    /**
     * A harvest.
     *
     * @param on the day
     * @param cut pieces taken, 1 and up
     * @param hard whether it was cut to the lowest live node, so that it regrows from nothing
     */
    public record Harvest(LocalDate on, int cut, boolean hard) {}

    /**
     * An estimate.
     *
     * @param pieces what the plant bears
     * @param least lower bound
     * @param most upper bound
     * @param estimated whether it is estimated rather than counted
     */
    public record Bearing(int pieces, int least, int most, boolean estimated) {}

    /**
     * The regrowth of one plant.
     *
     * @param rhythm its group's
     * @param counted the last count, where there is one
     * @param last the last harvest, where there is one
     * @param cutSinceCounted whether that harvest came after the count rather than being in it
     * @param regrows false for a lot of bought material, which neither regrows nor rests
     */
    public static Regrowth of(
            PlantGroup.Rhythm rhythm,
            Optional<Count> counted,
            Optional<Harvest> last,
            boolean cutSinceCounted,
            boolean regrows) {
        return new Regrowth(rhythm, counted, last, cutSinceCounted, regrows);
    }

    /** The same of a sort of piece that nobody has counted or cut. */
    public Regrowth uncounted() {
        return new Regrowth(rhythm, Optional.empty(), Optional.empty(), false, regrows);
    }

    /**
     * What it implies of another sort of the same shoots: as much of it as goes with these counts and cuts.
     *
     * @param other rhythm of that sort
     * @param pieces how many of it go with so many of this one
     */
    public Regrowth implying(PlantGroup.Rhythm other, IntUnaryOperator pieces) {
        return new Regrowth(
                other,
                counted.map(c -> new Count(c.on(), pieces.applyAsInt(c.pieces()))),
                last.map(h -> new Harvest(h.on(), pieces.applyAsInt(h.cut()), h.hard())),
                cutSince,
                regrows);
    }

    /** How it bears being taken. */
    public PlantGroup.Rhythm rhythm() {
        return rhythm;
    }

    /** The pieces it bears on a day; empty where nobody has ever counted. */
    public Optional<Bearing> bears(LocalDate day) {
        if (counted.isEmpty()) {
            return Optional.empty();
        }
        Count count = counted.get();
        if (!cutSince) {
            // Counted since the last harvest: that stands, and what may have grown beyond it is not guessed.
            return Optional.of(new Bearing(count.pieces(), count.pieces(), count.pieces(), false));
        }
        Harvest harvest = last.get();
        int left = Math.max(0, count.pieces() - harvest.cut());
        double grown = regrows ? harvest.cut() * regrown(day) : 0;
        if (grown == 0) {
            return Optional.of(new Bearing(left, left, left, false));
        }
        return Optional.of(new Bearing(
                left + (int) Math.round(grown),
                left + (int) Math.round(LEAST * grown),
                left + (int) Math.round(FULLEST * grown),
                true));
    }

    /** The pieces that should be taken at most on a day: a share of what it bears, or all of it in a hard cut or from a lot. */
    public Optional<Integer> mayTake(LocalDate day, boolean hard) {
        return bears(day).map(b -> hard || !regrows ? b.pieces() : (int) Math.floor(b.pieces() * rhythm.share()));
    }

    /** The first day on which it may be cut again; empty where it was never cut. */
    public Optional<LocalDate> restsUntil() {
        return last.filter(h -> regrows)
                .map(h -> h.on().plusDays(h.hard() ? 2L * rhythm.restDays() : rhythm.restDays()));
    }

    /** Whether it rests on the day. */
    public boolean isResting(LocalDate day) {
        return restsUntil().map(day::isBefore).orElse(false);
    }

    /** Whether so many cut on a day are more than it bears well; false of a lot, and where nobody has counted. */
    public boolean isHard(int pieces, LocalDate day) {
        return regrows && mayTake(day, false).map(may -> pieces > may).orElse(false);
    }

    private double regrown(LocalDate day) {
        long days = last.map(h -> ChronoUnit.DAYS.between(h.on(), day)).orElse(0L);
        return Math.max(0, Math.min(1, (double) days / rhythm.regrowDays()));
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** What it can give. */
        WHAT,
        /** Nobody has counted. */
        NOT_COUNTED,
        /** {@code pieces} counted on {@code day}, not cut since. */
        COUNTED_NOT_CUT,
        /** {@code pieces} counted on {@code day}. */
        COUNTED,
        /** {@code cut} taken since: {@code left}. */
        TAKEN,
        /** {@code pieces} cut on {@code day}. */
        CUT,
        /** Over {@code over} days: {@code left} + {@code cut} × {@code share} = {@code pieces}, from {@code least} to {@code most}. */
        REGROWN,
        /** The share that may be taken: {@code share}; whether a {@code hard} cut is usual. */
        SHARE
    }

    /** How the numbers came about. */
    public Working working(LocalDate day) {
        Statement what = Statement.of(Step.WHAT);
        Statement share = Statement.of(Step.SHARE, "hard", rhythm.hardCut(), "share", rhythm.share());
        if (counted.isEmpty()) {
            return Working.of(what, Statement.of(Step.NOT_COUNTED), share);
        }
        Count count = counted.get();
        if (!cutSince) {
            return Working.of(
                    what, Statement.of(Step.COUNTED_NOT_CUT, "day", count.on(), "pieces", count.pieces()), share);
        }
        Harvest harvest = last.get();
        Bearing bearing = bears(day).orElseThrow();
        Statement counts = Statement.of(Step.COUNTED, "day", count.on(), "pieces", count.pieces());
        if (!regrows) {
            return Working.of(what, counts, Statement.of(Step.TAKEN, "cut", harvest.cut(), "left", bearing.pieces()));
        }
        return Working.of(
                what,
                counts,
                Statement.of(Step.CUT, "day", harvest.on(), "pieces", harvest.cut()),
                Statement.of(
                        Step.REGROWN,
                        "over",
                        rhythm.regrowDays(),
                        "left",
                        Math.max(0, count.pieces() - harvest.cut()),
                        "cut",
                        harvest.cut(),
                        "share",
                        regrown(day),
                        "pieces",
                        bearing.pieces(),
                        "least",
                        bearing.least(),
                        "most",
                        bearing.most()),
                share);
    }
}
