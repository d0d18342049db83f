package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.core.treatment.Treatments;
import java.util.List;
import java.util.Optional;

/** A batch of the file. What the file does not say is null. */
record OldBatch(String name, long line, Named of, Done done, Taking taking, List<OldLook> looks) {

    private static final int MOST_UNSURE = 400;

    /** Of which plant, in which group, cut from which stock plant. */
    record Named(String plant, String group, String stock) {}

    /** How it was done. */
    record Done(String method, String medium, Treatments treatment) {}

    /** The last look, if there was one. */
    Optional<OldLook> last() {
        return looks.isEmpty() ? Optional.empty() : Optional.of(looks.get(looks.size() - 1));
    }

    /** When it was taken and stuck; the day is as unsure as the least sure of its looks makes it. */
    Taking taken() {
        int unsure = looks.stream().mapToInt(OldLook::unsureDays).max().orElse(0);
        return new Taking(
                taking.takenOn(),
                taking.taken(),
                taking.stuckOn(),
                taking.stuck(),
                Math.min(MOST_UNSURE, taking.unsureDays() + unsure));
    }
}
