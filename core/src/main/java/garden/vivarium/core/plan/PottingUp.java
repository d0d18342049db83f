package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Pot;
import garden.vivarium.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What rooted pieces are potted into: pots of one or several sizes, how many pieces in each, how much mix that takes, and when
 * the young plants get their first water and feed.
 *
 * @param rows pots of one size each; where the pieces do not come out even, the last pot holds the rest
 * @param waterAfter days before the first water, 0 for at once
 * @param feedAfter weeks before the first feed, 0 where none is given
 * @param reasons why just so
 */
public record PottingUp(List<Row> rows, int waterAfter, int feedAfter, List<Statement> reasons) {

    /** Roots of this share of a pot's depth or more want the next size. */
    private static final double DEEP = 0.8;

    /** A step between common pot sizes, in mm. */
    private static final int STEP_MM = 20;

    public PottingUp {
        rows = List.copyOf(rows);
        reasons = List.copyOf(reasons);
    }

    /** How wide the first pots are, in cm; null where pieces go elsewhere. */
    public Double firstAcrossCm() {
        return rows.get(0).acrossMm().map(mm -> mm / 10.0).orElse(null);
    }

    /** One of its rows, counted from 1; empty where there are fewer. */
    public Optional<Row> row(int number) {
        return number <= rows.size() ? Optional.of(rows.get(number - 1)) : Optional.empty();
    }

    /**
     * Pots of one size.
     *
     * @param acrossMm width of their mouth in mm; empty where pieces go elsewhere, as into open ground
     * @param pots how many, 1 and up
     * @param perPot pieces in each, 1 and up
     */
    public record Row(Optional<Integer> acrossMm, int pots, int perPot) {

        public Row {
            if (pots < 1
                    || perPot < 1
                    || acrossMm.filter(mm -> mm < 10 || mm > 1000).isPresent()) {
                throw new IllegalArgumentException(
                        "a row has a pot and a piece or more, and pots are 1 to 100 cm wide");
            }
        }

        /** Pieces that go into them. */
        public int pieces() {
            return pots * perPot;
        }

        /** Litres of loose mix that fill them; 0 where there is no pot. See {@link Pot#fill()}. */
        public Volume volume() {
            return Volume.ofLitres(litres());
        }

        /** The same in litres. */
        public double litres() {
            return acrossMm.map(mm -> pots * Pot.across(mm / 10.0).fill()).orElse(0.0);
        }
    }

    /** Why pots, water and feed are proposed so. */
    public enum Reason implements Rule {
        POT_OF_THE_WAY,
        POT_FOR_LONG_ROOTS,
        NO_POT,
        SEVERAL_TO_A_POT,
        WATER_ROOTS,
        HEAL_DRY,
        WATER_AT_ONCE,
        FEED_LATER,
        NO_FEED
    }

    /** All pieces. */
    public int pieces() {
        return rows.stream().mapToInt(Row::pieces).sum();
    }

    /** All litres of loose mix. */
    public Volume volume() {
        return Volume.ofLitres(litres());
    }

    /** The same in litres. */
    public double litres() {
        return rows.stream().mapToDouble(Row::litres).sum();
    }

    /**
     * Proposes for pieces that stand ready.
     *
     * @param pieces 1 and up
     * @param perPot pieces to a pot, 1 and up
     * @param potting what the protocol says
     * @param grewInWater whether their roots grew in water
     * @param longestRootMm the longest root that was measured; empty where none was
     */
    public static PottingUp of(
            int pieces, int perPot, Protocol.Potting potting, boolean grewInWater, Optional<Integer> longestRootMm) {
        if (pieces < 1 || perPot < 1) {
            throw new IllegalArgumentException("there is nothing to pot up");
        }
        List<Statement> reasons = new ArrayList<>();
        Optional<Integer> across = potting.pot().acrossMm().map(usual -> roomy(usual, longestRootMm));
        if (across.isEmpty()) {
            reasons.add(Statement.of(Reason.NO_POT, "where", potting.pot().otherwise()));
        } else if (across.equals(potting.pot().acrossMm())) {
            reasons.add(Statement.of(Reason.POT_OF_THE_WAY, "across", wide(across.get())));
        } else {
            reasons.add(Statement.of(
                    Reason.POT_FOR_LONG_ROOTS,
                    "across",
                    wide(across.get()),
                    "root",
                    Length.ofMillimetres(longestRootMm.orElseThrow()),
                    "usual",
                    wide(potting.pot().acrossMm().orElseThrow())));
        }
        List<Row> rows = new ArrayList<>();
        if (pieces / perPot > 0) {
            rows.add(new Row(across, pieces / perPot, perPot));
        }
        if (pieces % perPot > 0) {
            rows.add(new Row(across, 1, pieces % perPot));
        }
        if (perPot > 1) {
            reasons.add(Statement.of(Reason.SEVERAL_TO_A_POT, "each", perPot));
        }
        int water = grewInWater ? 0 : potting.waitForWater();
        reasons.add(
                grewInWater
                        ? Statement.of(Reason.WATER_ROOTS)
                        : water > 0
                                ? Statement.of(Reason.HEAL_DRY, "days", water)
                                : Statement.of(Reason.WATER_AT_ONCE));
        reasons.add(
                potting.weeksBeforeFeed() > 0
                        ? Statement.of(Reason.FEED_LATER, "weeks", potting.weeksBeforeFeed())
                        : Statement.of(Reason.NO_FEED));
        return new PottingUp(rows, water, potting.weeksBeforeFeed(), reasons);
    }

    private static Length wide(int mm) {
        return Length.ofMillimetres(mm).inCentimetres();
    }

    private static int roomy(int usualMm, Optional<Integer> longestRootMm) {
        int across = usualMm;
        while (longestRootMm.isPresent()
                && longestRootMm.get() > DEEP * Pot.across(across / 10.0).height() * 10
                && across < usualMm + 3 * STEP_MM) {
            across += STEP_MM;
        }
        return across;
    }
}
