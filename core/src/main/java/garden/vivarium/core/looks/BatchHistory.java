package garden.vivarium.core.looks;

import garden.vivarium.core.Statement;
import garden.vivarium.core.looks.ImpossibleLook.Fault;
import garden.vivarium.core.looks.ImpossibleLook.Field;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.Sign;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The looks of one batch, replayed in order of day, and what they say of each piece. Looks by piece and by count may be
 * mixed. A count is given to anonymous pieces so that the earliest move first, and losses come first from pieces without
 * first sign: the assignment under which the counts could have come about soonest. It never gives a state to a piece that
 * a later look by piece saw without it, and prefers pieces that a later look saw with it.
 */
public final class BatchHistory {

    private static final Comparator<PieceTrack> EARLIEST = Comparator.comparingInt(PieceTrack::firstSignBy)
            .thenComparingInt(PieceTrack::lastNotReady)
            .thenComparingInt(PieceTrack::number);
    private static final Comparator<PieceTrack> WITHOUT_SIGN_FIRST = Comparator.comparing(PieceTrack::hasFirstSign)
            .thenComparingInt(PieceTrack::lastNotReady)
            .thenComparingInt(PieceTrack::number);

    private final MilestoneSigns signs;
    private final List<PieceTrack> pieces;
    private final List<Look> looks;
    private int at;

    private BatchHistory(int stuck, MilestoneSigns signs, List<Look> looks) {
        this.signs = signs;
        this.looks = looks;
        this.pieces =
                Stream.iterate(1, i -> i + 1).limit(stuck).map(PieceTrack::new).toList();
    }

    /**
     * Replays all looks of a batch. Looks on one day are taken in the order given.
     *
     * @param stuck pieces stuck, 1 and up
     * @param signs by what the protocol tells its milestones
     * @param looks all looks, in any order of days
     * @throws ImpossibleLook if a look cannot be true beside the others; it names the field and the rule
     */
    public static BatchHistory replay(int stuck, MilestoneSigns signs, Collection<? extends Look> looks) {
        if (stuck < 1) {
            throw new IllegalArgumentException("a batch has at least one piece");
        }
        List<Look> inOrder = new ArrayList<>(looks);
        inOrder.sort(Comparator.comparingInt(Look::day));
        BatchHistory history = new BatchHistory(stuck, signs, inOrder);
        for (history.at = 0; history.at < inOrder.size(); history.at++) {
            history.take(inOrder.get(history.at));
        }
        return history;
    }

    /** The tallies of a milestone. */
    public Tallies tallies(Milestone milestone) {
        return Tallies.of(pieces.stream().map(p -> p.interval(milestone)).toList());
    }

    /**
     * What was known by each day on which a look could have known of the milestone: the tallies made anew from the looks up to
     * that day alone.
     */
    public SortedMap<Integer, Tallies> asKnown(Milestone milestone) {
        Sign sign = milestone == Milestone.FIRST_SIGN ? signs.firstSign().orElseThrow() : signs.ready();
        SortedMap<Integer, Tallies> known = new TreeMap<>();
        looks.stream()
                .filter(l -> l.day() > 0 && l.knows(sign))
                .map(Look::day)
                .distinct()
                .forEach(day -> known.put(
                        day,
                        replay(
                                        pieces.size(),
                                        signs,
                                        looks.stream()
                                                .filter(l -> l.day() <= day)
                                                .toList())
                                .tallies(milestone)));
        return known;
    }

    /** Every piece, in order of its number. */
    public List<PieceView> pieces() {
        return pieces.stream().map(PieceTrack::view).toList();
    }

    /** Where the pieces stand. */
    public Counts counts() {
        return new Counts(
                pieces.size(),
                count(PieceTrack::hasFirstSign),
                count(PieceTrack::wasReady),
                count(p -> p.state() == PieceState.LOST && !p.wasReady()),
                count(p -> p.state() == PieceState.SENT && !p.wasReady()),
                count(p -> p.state().isEnd() && p.wasReady()));
    }

    private void take(Look look) {
        if (look.day() < 0) {
            throw new ImpossibleLook(Field.DAY, Statement.of(Fault.BEFORE_DAY_STUCK));
        }
        if (look instanceof Look.ByPiece byPiece) {
            byPiece.readings().forEach(r -> takeReading(look.day(), r));
        } else if (look instanceof Look.ByCount byCount) {
            takeCounts(byCount);
        }
    }

    private void takeReading(int day, Reading reading) {
        if (reading.piece() < 1 || reading.piece() > pieces.size()) {
            throw new ImpossibleLook(
                    Field.PIECE, Statement.of(Fault.NO_SUCH_PIECE, "piece", reading.piece(), "pieces", pieces.size()));
        }
        PieceTrack piece = pieces.get(reading.piece() - 1);
        PieceState next = reading.state();
        if (piece.state().isEnd() && next != piece.state()) {
            throw new ImpossibleLook(
                    Field.PIECE,
                    Statement.of(Fault.ENDED, "piece", reading.piece(), "state", piece.state(), "day", piece.since()));
        }
        refuseWhatCannotBeKnown(reading.kind(), next, day, reading.piece());
        boolean rootsUnknown = next == PieceState.NONE && !signs.knowsReady(reading.kind());
        if (next.compareTo(piece.state()) < 0 && !rootsUnknown) {
            throw new ImpossibleLook(
                    Field.PIECE,
                    Statement.of(
                            Fault.CANNOT_GO_BACK,
                            "piece",
                            reading.piece(),
                            "state",
                            piece.state(),
                            "day",
                            piece.since(),
                            "next",
                            next));
        }
        if (!next.isEnd()) {
            piece.alive(day, reading.kind(), signs, next.compareTo(PieceState.FIRST_SIGN) < 0 || piece.hasFirstSign());
        }
        if (next != PieceState.NONE) {
            boolean news = piece.state() != next;
            piece.reach(next, day, false);
            if (news && reading.givesUp()) {
                piece.giveUp();
            }
        }
        reading.firmness().ifPresent(piece::feels);
    }

    private void refuseWhatCannotBeKnown(LookKind kind, PieceState state, int day, int piece) {
        boolean knows = switch (state) {
            case FIRST_SIGN -> signs.firstSign().isEmpty() || signs.knowsFirstSign(kind);
            case READY -> signs.knowsReady(kind);
            default -> true;
        };
        if (!knows) {
            throw new ImpossibleLook(
                    Field.LOOK, Statement.of(Fault.CANNOT_TELL, "piece", piece, "kind", kind, "state", state));
        }
        if (day == 0 && (state == PieceState.FIRST_SIGN || state == PieceState.READY)) {
            throw new ImpossibleLook(Field.DAY, Statement.of(Fault.NOT_ON_DAY_0, "piece", piece, "state", state));
        }
        if (day == 0 && state == PieceState.LOST) {
            throw new ImpossibleLook(Field.DAY, Statement.of(Fault.LOST_ON_DAY_0, "piece", piece));
        }
    }

    private void takeCounts(Look.ByCount look) {
        Counts before = counts();
        refuseFalling(Field.READY, before.ready(), look.ready());
        refuseFalling(Field.LOST, before.lost(), look.lost());
        refuseFalling(Field.SENT, before.sent(), look.sent());
        int judged = look.ready() + look.lost() + look.sent();
        if (judged > pieces.size()) {
            throw new ImpossibleLook(
                    look.lost() > before.lost() ? Field.LOST : Field.READY,
                    Statement.of(
                            Fault.MORE_THAN_STUCK,
                            "ready",
                            look.ready(),
                            "lost",
                            look.lost(),
                            "sent",
                            look.sent(),
                            "stuck",
                            pieces.size()));
        }
        if (look.ready() > before.ready()) {
            refuseWhatCannotBeKnown(look.kind(), PieceState.READY, look.day(), 0);
        }
        if (look.lost() > before.lost()) {
            refuseWhatCannotBeKnown(look.kind(), PieceState.LOST, look.day(), 0);
        }
        if (look.firstSign().isPresent()) {
            refuseFirstSign(look, before);
        }

        List<PieceTrack> gone =
                move(look.lost() - before.lost(), PieceState.LOST, look.day(), p -> !p.isJudged(), WITHOUT_SIGN_FIRST);
        if (look.gaveUp()) {
            gone.forEach(PieceTrack::giveUp);
        }
        move(look.sent() - before.sent(), PieceState.SENT, look.day(), p -> !p.isJudged(), WITHOUT_SIGN_FIRST);
        move(look.ready() - before.ready(), PieceState.READY, look.day(), p -> !p.isJudged(), EARLIEST);
        if (look.lostReady().isPresent()) {
            loseReady(look, before);
        }
        if (look.firstSign().isPresent()) {
            int more = look.firstSign().getAsInt() - count(PieceTrack::hasFirstSign);
            move(more, PieceState.FIRST_SIGN, look.day(), p -> !p.isJudged() && !p.hasFirstSign(), EARLIEST);
        }
        pieces.stream()
                .filter(p -> !p.state().isEnd())
                .forEach(p ->
                        p.alive(look.day(), look.kind(), signs, look.firstSign().isPresent()));
    }

    /** Of ready pieces those are lost first that nobody saw by piece since. */
    private void loseReady(Look.ByCount look, Counts before) {
        int now = look.lostReady().getAsInt();
        refuseFalling(Field.LOST, before.lostReady(), now);
        if (now > before.lostReady()) {
            refuseWhatCannotBeKnown(look.kind(), PieceState.LOST, look.day(), 0);
        }
        move(
                now - before.lostReady(),
                PieceState.LOST,
                look.day(),
                p -> p.wasReady() && !p.state().isEnd(),
                Comparator.comparingInt(PieceTrack::since).reversed());
    }

    private void refuseFirstSign(Look.ByCount look, Counts before) {
        int firstSign = look.firstSign().getAsInt();
        if (firstSign < look.ready()) {
            throw new ImpossibleLook(Field.FIRST_SIGN, Statement.of(Fault.SIGN_BELOW_READY, "ready", look.ready()));
        }
        refuseFalling(Field.FIRST_SIGN, before.firstSign(), firstSign);
        if (firstSign > before.firstSign()) {
            refuseWhatCannotBeKnown(look.kind(), PieceState.FIRST_SIGN, look.day(), 0);
        }
        long able =
                pieces.stream().filter(p -> p.hasFirstSign() || !p.isJudged()).count();
        long newlyGone = (long) look.lost() + look.sent() - before.lost() - before.sent();
        long withoutSign =
                pieces.stream().filter(p -> !p.hasFirstSign() && !p.isJudged()).count();
        long left = able - Math.min(newlyGone, withoutSign);
        if (firstSign > left) {
            throw new ImpossibleLook(
                    Field.FIRST_SIGN, Statement.of(Fault.SIGN_BEYOND_ABLE, "sign", firstSign, "able", left));
        }
    }

    private void refuseFalling(Field field, int before, int now) {
        if (now < 0) {
            throw new ImpossibleLook(field, Statement.of(Fault.BELOW_0, "field", field));
        }
        if (now < before) {
            throw new ImpossibleLook(field, Statement.of(Fault.FALLS, "field", field, "before", before, "now", now));
        }
    }

    private List<PieceTrack> move(
            int howMany, PieceState next, int day, Predicate<PieceTrack> able, Comparator<PieceTrack> order) {
        if (howMany <= 0) {
            return List.of();
        }
        Map<Integer, List<Reading>> later = laterReadings();
        List<PieceTrack> moving = pieces.stream()
                .filter(able)
                .filter(p -> later.getOrDefault(p.number(), List.of()).stream().allMatch(r -> allows(r, next)))
                .sorted(Comparator.comparing((PieceTrack p) ->
                                later.getOrDefault(p.number(), List.of()).isEmpty()
                                        || later.get(p.number()).stream().noneMatch(r -> confirms(r, next)))
                        .thenComparing(order))
                .limit(howMany)
                .toList();
        if (moving.size() < howMany) {
            throw new ImpossibleLook(
                    Field.of(next),
                    Statement.of(Fault.TOO_MANY, "more", howMany, "state", next, "left", moving.size()));
        }
        moving.forEach(p -> p.reach(next, day, true));
        return moving;
    }

    /** What later looks by piece say of each piece. */
    private Map<Integer, List<Reading>> laterReadings() {
        Map<Integer, List<Reading>> later = new HashMap<>();
        for (Look look : looks.subList(at + 1, looks.size())) {
            if (look instanceof Look.ByPiece byPiece) {
                byPiece.readings()
                        .forEach(r -> later.computeIfAbsent(r.piece(), p -> new ArrayList<>())
                                .add(r));
            }
        }
        return later;
    }

    /** Whether a piece may have had the state before a later reading saw it so. */
    private boolean allows(Reading later, PieceState state) {
        boolean rootsUnknown = later.state() == PieceState.NONE && !signs.knowsReady(later.kind());
        return state.isEnd()
                ? later.state() == state
                : rootsUnknown || later.state().compareTo(state) >= 0;
    }

    /** Whether a later reading saw the piece in the very state, so that it is the likelier to have had it by now. */
    private static boolean confirms(Reading later, PieceState state) {
        return later.state() == state || (state == PieceState.FIRST_SIGN && later.state() == PieceState.READY);
    }

    private int count(Predicate<PieceTrack> what) {
        return (int) pieces.stream().filter(what).count();
    }
}
