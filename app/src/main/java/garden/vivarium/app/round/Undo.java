package garden.vivarium.app.round;

import garden.vivarium.app.batch.Slips;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.util.Optional;
import java.util.UUID;

/** How what was pressed is written into the form that takes it back. */
final class Undo {

    private Undo() {}

    static String mark(Slips.Act act) {
        return act.trace() + " " + act.code() + (act.id() == null ? "" : " " + act.id());
    }

    /** Of care that was written down. */
    static String care(String code, UUID id) {
        return "CARE " + code + " " + id;
    }

    /** The care that a mark means; empty where it means something else. */
    static Optional<UUID> care(String mark) {
        return mark.startsWith("CARE ") ? Optional.of(id(mark.substring(mark.lastIndexOf(' ') + 1))) : Optional.empty();
    }

    private static UUID id(String text) {
        try {
            return UUID.fromString(text);
        } catch (IllegalArgumentException e) {
            throw new InvalidField("act", Messages.text("Slips.gone", "code", text));
        }
    }

    static Slips.Act of(String mark) {
        String[] parts = mark.split(" ");
        try {
            return new Slips.Act(
                    parts[1], Slips.Trace.valueOf(parts[0]), parts.length > 2 ? UUID.fromString(parts[2]) : null);
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            throw new InvalidField("act", Messages.text("Slips.gone", "code", mark));
        }
    }
}
