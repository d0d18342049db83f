package garden.vivarium.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How much of a place is taken, in trays, day by day. What holds no tray of its own is counted by its pieces. Each batch stands
 * where it was stuck until nine in ten of its pieces are expected to be ready, then as pots until they have settled.
 *
 * @param capacity trays that the place holds, above 0
 * @param taken what stands there and when
 */
public record TraySpace(double capacity, List<Stay> taken) {

    /** Loose pieces that fill as much room as a tray: this project's own round number. */
    public static final int PIECES_TO_A_TRAY = 60;

    /** Pots of the usual 9 cm that stand in a tray. */
    public static final int POTS_TO_A_TRAY = 20;

    public TraySpace {
        taken = List.copyOf(taken);
        if (!(capacity > 0)) {
            throw new IllegalArgumentException("a place holds more than no tray, not " + capacity);
        }
    }

    /**
     * Something that stands there.
     *
     * @param what in words
     * @param from first day
     * @param until first day on which it is gone
     * @param trays how many, above 0
     */
    public record Stay(String what, LocalDate from, LocalDate until, double trays) {

        boolean isThere(LocalDate day) {
            return !day.isBefore(from) && day.isBefore(until);
        }

        /** Trays times days. */
        public double trayDays() {
            return trays * Math.max(0, until.toEpochDay() - from.toEpochDay());
        }
    }

    /** Days in a row on which more is to stand there than fits. */
    public record Overfull(LocalDate from, LocalDate until, double most) {}

    /** Trays for so many loose pieces, to a quarter. */
    public static double traysFor(int pieces) {
        return Math.ceil(4.0 * pieces / PIECES_TO_A_TRAY) / 4;
    }

    /** Trays for so many pots, to a quarter. */
    public static double traysOfPots(int pots) {
        return Math.ceil(4.0 * pots / POTS_TO_A_TRAY) / 4;
    }

    /**
     * The two stays of a batch: as pieces, then as pots; the second only where the way has a move.
     *
     * @param what in words
     * @param expected its days
     * @param pieceTrays trays as pieces
     * @param pots pots that are expected
     */
    public static List<Stay> stays(String what, Expected expected, double pieceTrays, int pots) {
        List<Stay> stays = new ArrayList<>();
        LocalDate ready = expected.ready().to();
        stays.add(new Stay(what, expected.taken(), ready.plusDays(1), pieceTrays));
        expected.settled()
                .filter(s -> pots > 0)
                .ifPresent(s -> stays.add(
                        new Stay(what + ", potted", ready.plusDays(1), s.to().plusDays(1), traysOfPots(pots))));
        return stays;
    }

    /** Trays times days of so many pieces and of the pots that are expected of them, rounded. */
    public static int trayDays(Expected expected, int pieces, int pots) {
        return (int) Math.round(stays("", expected, traysFor(pieces), pots).stream()
                .mapToDouble(Stay::trayDays)
                .sum());
    }

    /** Trays taken on a day. */
    public double on(LocalDate day) {
        return taken.stream()
                .filter(s -> s.isThere(day))
                .mapToDouble(Stay::trays)
                .sum();
    }

    /** The same with something more. */
    public TraySpace and(List<Stay> more) {
        List<Stay> all = new ArrayList<>(taken);
        all.addAll(more);
        return new TraySpace(capacity, all);
    }

    /** The first stretch of days from one day to before another on which it does not fit. */
    public Optional<Overfull> firstOverfull(LocalDate from, LocalDate until) {
        LocalDate begin = null;
        double most = 0;
        for (LocalDate day = from; day.isBefore(until); day = day.plusDays(1)) {
            double on = on(day);
            if (on > capacity + 1e-9) {
                begin = begin == null ? day : begin;
                most = Math.max(most, on - capacity);
            } else if (begin != null) {
                return Optional.of(new Overfull(begin, day.minusDays(1), most));
            }
        }
        return begin == null ? Optional.empty() : Optional.of(new Overfull(begin, until.minusDays(1), most));
    }
}
