package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.Slips;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Does what a press on the round stands for, and takes it back. */
@Service
class RoundWork {

    private final Benches benches;
    private final Batches batches;
    private final Moves moves;
    private final CareBook care;
    private final Slips slips;
    private final Whereabouts vessels;
    private final Today today;
    private final Words words;

    RoundWork(
            Benches benches,
            Batches batches,
            Moves moves,
            CareBook care,
            Slips slips,
            Whereabouts vessels,
            Today today,
            Words words) {
        this.benches = benches;
        this.batches = batches;
        this.moves = moves;
        this.care = care;
        this.slips = slips;
        this.vessels = vessels;
        this.today = today;
        this.words = words;
    }

    /**
     * A task as it is pressed.
     *
     * @param potting the move that it concerns, or null
     * @param notYet whether what was asked for is not to be seen yet
     * @param pieces how many, where the press asks; null for all
     * @param youngPlants how many pots they fill; null for as many as the batch was planned with
     * @param on the day on which it was done
     */
    record Pressed(
            Task.Kind kind,
            String code,
            UUID potting,
            boolean notYet,
            Integer pieces,
            Integer youngPlants,
            LocalDate on) {

        /** The label code in the key of a thing. */
        static String code(String key) {
            String[] parts = key.split(" ");
            return parts[0].equals("CARE") && parts.length > 2 ? parts[2] : parts.length > 1 ? parts[1] : key;
        }

        /** From the form of one of several. */
        static Pressed of(String key, LocalDate on) {
            String[] parts = key.split(" ");
            try {
                return new Pressed(
                        Task.Kind.valueOf(parts[0]),
                        parts[1],
                        parts.length > 2 ? UUID.fromString(parts[2]) : null,
                        false,
                        null,
                        null,
                        on);
            } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
                throw new InvalidField("key", Messages.text("Rounds.no.longer.asks", "code", key));
            }
        }
    }

    /** What was done, in words, and how it is taken back. */
    record Done(String said, List<String> marks) {}

    /**
     * Does a task whole, as its button says.
     *
     * @throws InvalidField if it cannot be done any more, or not with that number
     */
    @Transactional
    Done does(Pressed pressed) {
        String code = pressed.code();
        Task task = benches.tasks(code).stream()
                .filter(t -> t.kind() == pressed.kind() && !t.due().isAfter(today.date()))
                .filter(t -> pressed.potting() == null || pressed.potting().equals(t.potting()))
                .findFirst()
                .orElseThrow(() -> new InvalidField("code", Messages.text("Rounds.no.longer.asks", "code", code)));
        Set<UUID> before = slips.marks(code);
        String said = perform(task, pressed);
        List<Slips.Act> acts = switch (task.kind()) {
            case STICK -> List.of(new Slips.Act(code, Slips.Trace.STICK, null));
            case SETTLE -> List.of(new Slips.Act(code, Slips.Trace.SETTLED, task.potting()));
            default -> slips.since(code, before).stream().toList();
        };
        return new Done(said, acts.stream().map(Undo::mark).toList());
    }

    private String perform(Task task, Pressed pressed) {
        String code = pressed.code();
        int pieces = pressed.pieces() == null ? task.pieces() : pressed.pieces();
        switch (task.kind()) {
            case STICK -> batches.stick(code, pressed.on(), pieces);
            case LOOK -> batches.lookUnchanged(code, pressed.on());
            case MOVE -> moves.move(code, pressed.on(), pieces, plants(task, pressed, pieces));
            case SETTLE -> moves.settle(code, task.potting(), pressed.on(), pieces);
            case GIVE_UP -> batches.giveUp(code, pressed.on());
            case ASK, TEND -> batches.say(code, task.stage(), pressed.on(), !pressed.notYet());
            case SEPARATE -> moves.separate(code, pressed.on(), pieces, 0);
        }
        return switch (task.kind()) {
            case STICK -> Messages.text("Rounds.stuck", "code", code, "pieces", pieces);
            case LOOK -> Messages.text("Rounds.looked.nothing.changed", "code", code);
            case MOVE ->
                Messages.text(
                        "Rounds.potted",
                        "code",
                        code,
                        "pieces",
                        pieces,
                        "plants",
                        plants(task, pressed, pieces),
                        "same",
                        plants(task, pressed, pieces) == pieces);
            case SETTLE -> Messages.text("Rounds.settled", "code", code, "settled", pieces, "of", task.pieces());
            case ASK, TEND ->
                pressed.notYet()
                        ? Messages.text("Rounds.not.yet.round.asks", "code", code)
                        : words.say("Rounds.written.down", "code", code, "what", task.what());
            case SEPARATE -> Messages.text("Rounds.taken.pieces.stay", "code", code, "pieces", pieces);
            case GIVE_UP -> Messages.text("Rounds.rest.written.off.as", "code", code);
        };
    }

    private static int plants(Task task, Pressed pressed, int pieces) {
        int each = task.batch().piecesPerPot();
        return pressed.youngPlants() == null ? (pieces + each - 1) / each : pressed.youngPlants();
    }

    /**
     * Writes down care that the round asks for.
     *
     * @param about the move that it concerns, or null
     */
    @Transactional
    Done cares(CareAct act, String code, UUID about, LocalDate on) {
        BatchView batch = batches.find(code);
        // What is done to a vessel is done to all in it; young plants stand by themselves.
        List<Subject> subjects = about != null
                ? List.of(subject(batch))
                : vessels.inVesselOf(batch).stream().map(RoundWork::subject).toList();
        List<String> marks = care.log(act, null, subjects, on, about).stream()
                .map(id -> Undo.care(code, id))
                .toList();
        return new Done(
                Messages.text("Rounds.cared", "code", code, "act", Messages.text("CareAct.done", "act", act.name())),
                marks);
    }

    static Subject subject(BatchView batch) {
        return new Subject(Subject.Kind.BATCH, batch.id(), batch.code(), batch.placeId());
    }

    /** Does several that are alike, all or none. */
    @Transactional
    Done doesAll(List<String> keys, LocalDate on) {
        List<String> marks = new ArrayList<>();
        Set<String> codes = new LinkedHashSet<>();
        for (String key : keys) {
            marks.addAll(doesOne(key, on).marks());
            codes.add(Pressed.code(key));
        }
        return new Done(
                Messages.text("Rounds.all.done", "count", keys.size(), "codes", String.join(", ", codes)), marks);
    }

    private Done doesOne(String key, LocalDate on) {
        String[] parts = key.split(" ");
        if (!parts[0].equals("CARE") || parts.length < 3) {
            return does(Pressed.of(key, on));
        }
        try {
            return cares(CareAct.valueOf(parts[1]), parts[2], parts.length > 3 ? UUID.fromString(parts[3]) : null, on);
        } catch (IllegalArgumentException e) {
            throw new InvalidField("key", Messages.text("Rounds.no.longer.asks", "code", key));
        }
    }

    /** Takes back what was done with a press. */
    @Transactional
    void takeBack(List<String> marks) {
        for (String mark : marks) {
            Undo.care(mark).ifPresentOrElse(care::unlog, () -> slips.takeBack(Undo.of(mark)));
        }
    }
}
