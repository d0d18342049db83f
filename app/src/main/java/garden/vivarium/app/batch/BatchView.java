package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.UUID;

/**
 * A batch as other modules and pages see it, in parts. What is asked of it at every turn can be asked of the batch itself.
 *
 * @param identity what it is called, and where it comes from and stands
 * @param way what is compared: plant, method, medium, treatment
 * @param done how it was done
 * @param taking when pieces were cut and set, and how many
 * @param clock from when its days are counted, and how its season bears on them
 * @param vessel what its pieces stand in
 * @param material what they were like
 * @param guess what was guessed of it
 * @param progress how far it has come
 * @param changes how often it was changed
 */
public record BatchView(
        Identity identity,
        Way way,
        HowDone done,
        Taking taking,
        Clock clock,
        Vessel vessel,
        Material material,
        Guess guess,
        Progress progress,
        int changes) {

    /** A label outlives its year. */
    private static final DateTimeFormatter ON_LABELS = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** What a batch is called, where it came from, where it stands. */
    public record Identity(UUID id, String code, Origin origin, UUID placeId) {}

    /** The day from which days are counted, null while it dries or sleeps; and how its season bears on it. */
    public record Clock(LocalDate on, SeasonFactors season) {}

    public LocalDate clockOn() {
        return clock.on();
    }

    public SeasonFactors season() {
        return clock.season();
    }

    public UUID id() {
        return identity.id();
    }

    public String code() {
        return identity.code();
    }

    public Origin origin() {
        return identity.origin();
    }

    public UUID placeId() {
        return identity.placeId();
    }

    public String plant() {
        return way.plant();
    }

    public String group() {
        return way.group();
    }

    public String method() {
        return way.method();
    }

    public String medium() {
        return way.medium();
    }

    public String protocol() {
        return done.protocol();
    }

    public Integer protocolVersion() {
        return done.protocolVersion();
    }

    public LocalDate takenOn() {
        return taking.takenOn();
    }

    public int taken() {
        return taking.taken();
    }

    public LocalDate stuckOn() {
        return taking.stuckOn();
    }

    /** Pieces stuck, 0 while they dry. */
    public int stuck() {
        return taking.stuck() == null ? 0 : taking.stuck();
    }

    public boolean isTray() {
        return vessel.isTray();
    }

    public int piecesPerPot() {
        return vessel.piecesPerPot();
    }

    public Counts counts() {
        return progress.counts();
    }

    public int moved() {
        return progress.moved();
    }

    public int settled() {
        return progress.settled();
    }

    public int youngPlants() {
        return progress.youngPlants();
    }

    public LocalDate lastLook() {
        return progress.seen().last();
    }

    public LocalDate lastKnowingLook() {
        return progress.seen().lastKnowing();
    }

    public LocalDate earliestReady() {
        return progress.seen().earliestReady();
    }

    public LocalDate closedOn() {
        return progress.closedOn();
    }

    public boolean isStuck() {
        return stuckOn() != null;
    }

    /** Whether more were taken than stuck. */
    public boolean isTakenMore() {
        return isStuck() && taken() > stuck();
    }

    /** Whether its young plants are others in number than the pieces that were moved. */
    public boolean isOtherThanMoved() {
        return youngPlants() > 0 && youngPlants() != moved();
    }

    /** By how many cells a row of its pieces is drawn: the style's name. */
    public String gridColumns() {
        return !isTray() ? "cols-12" : vessel().columns() <= 13 ? "cols-" + vessel().columns() : "cols-many";
    }

    /** Whether any of its pieces still may become something, or waits to be moved. */
    public boolean isGoingOn() {
        return isStuck() && counts().pending() + readyToMove() > 0;
    }

    /** Whether it dried for days before it was stuck, and nobody has looked at it since. */
    public boolean isDriedUnseen() {
        return isStuck() && lastLook() == null && !takenOn().equals(stuckOn());
    }

    /** Pieces that stand ready and have not been moved. */
    public int readyToMove() {
        return Math.max(0, counts().ready() - counts().lostReady() - moved());
    }

    /** Pieces that were moved on here and are not lost since: lost wins over moved, so that every piece is counted once. */
    public int movedNow() {
        return Math.max(0, Math.min(moved(), counts().ready() - counts().lostReady()) - progress.sentReady());
    }

    /** Pieces that were sent away, rooted or not. */
    public int sentAway() {
        return counts().sent() + progress.sentReady();
    }

    /** Whether it was planted asleep and has not woken, so that no day is counted yet. */
    public boolean isAsleep() {
        return isStuck() && clock.on() == null;
    }

    /** Day 0: the day stuck, or for what was planted asleep the day it woke; null while wounds dry. */
    public LocalDate dayZero() {
        return clock.on() == null ? stuckOn() : clock.on();
    }

    /** Days since day 0. */
    public int age(LocalDate today) {
        return isStuck() ? (int) ChronoUnit.DAYS.between(dayZero(), today) : 0;
    }

    /** The days on which its stages are expected; of what sleeps, as if it woke today. */
    public Expected expected(Outlook outlook, LocalDate today) {
        LocalDate stuck = !isStuck()
                ? takenOn().plusDays(outlook.callusDays())
                : isAsleep() && today.isAfter(stuckOn()) ? today : dayZero();
        return outlook.expected(outlook.in(season()), takenOn(), stuck);
    }

    /** What goes on the label: plant, date, code. */
    public String label() {
        return "%s · %s · %s".formatted(plant(), ON_LABELS.format(isStuck() ? stuckOn() : takenOn()), code());
    }

    static String mark(String code) {
        return "batch " + code;
    }

    /** The mark of its forms: which batch, as it is now. */
    public String seen() {
        return Seen.mark(mark(code()), changes);
    }

    /** How it stands, in a sentence. */
    public String stands() {
        return isStuck()
                ? Messages.text(
                        "BatchView.now.has.ready.lost",
                        "code",
                        code(),
                        "ready",
                        counts().ready(),
                        "stuck",
                        stuck(),
                        "lost",
                        counts().lost(),
                        "moved",
                        moved(),
                        "looked",
                        lastLook() == null ? "no" : "yes",
                        "last",
                        lastLook() == null ? "" : lastLook())
                : Messages.text("BatchView.not.stuck.yet.were", "code", code(), "taken", taken());
    }
}
