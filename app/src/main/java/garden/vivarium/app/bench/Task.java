package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.core.Working;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Something a batch needs, with its reason.
 *
 * @param kind what is to be done
 * @param batch the batch
 * @param what in words, as "Look at 12 pieces"
 * @param why the reason, in words
 * @param due first day on which it is due
 * @param pressing whether waiting does harm
 * @param potting the move it concerns, for settling
 * @param pieces how many pieces or young plants it concerns
 * @param working how the day came about
 * @param stage key of the protocol's stage that it concerns, else null
 */
public record Task(
        Kind kind,
        BatchView batch,
        Sentence what,
        Sentence why,
        LocalDate due,
        boolean pressing,
        UUID potting,
        int pieces,
        Working working,
        String stage) {

    /** A task that concerns no stage. */
    Task(
            Kind kind,
            BatchView batch,
            Sentence what,
            Sentence why,
            LocalDate due,
            boolean pressing,
            UUID potting,
            int pieces,
            Working working) {
        this(kind, batch, what, why, due, pressing, potting, pieces, working, null);
    }

    public boolean isStick() {
        return kind == Kind.STICK;
    }

    public boolean isLook() {
        return kind == Kind.LOOK;
    }

    public boolean isAsk() {
        return kind == Kind.ASK;
    }

    /** How many pieces it is said of; null where each is told by itself. */
    public Integer piecesTogether() {
        return isSeparate() ? null : pieces();
    }

    public boolean isSeparate() {
        return kind == Kind.SEPARATE;
    }

    public boolean isMove() {
        return kind == Kind.MOVE;
    }

    public boolean isSettle() {
        return kind == Kind.SETTLE;
    }

    public boolean isGiveUp() {
        return kind == Kind.GIVE_UP;
    }

    /** Whether doing it says how many. */
    public boolean isCounted() {
        return isStick() || isMove() || isSeparate() || isSettle();
    }

    /** Pots that its pieces make, as many to a pot as the batch was planned with. */
    public int youngPlants() {
        return (pieces + batch.piecesPerPot() - 1) / batch.piecesPerPot();
    }

    /** Kinds of task, and what their key does. */
    public enum Kind {
        STICK,
        LOOK,
        ASK,
        TEND,
        SEPARATE,
        MOVE,
        SETTLE,
        GIVE_UP;

        /** What its button says. */
        public String button() {
            return Messages.text("Task.button", "kind", name());
        }

        /** What number it asks for; empty where it asks for none. */
        public String asks() {
            return Messages.text("Task.asks", "kind", name());
        }

        /** What doing it does, as it is told of its key. */
        public String done() {
            return Messages.text("Task.done", "kind", name());
        }
    }
}
