package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes looks down as they were typed, with who and when, and strikes them through. Judging them is for the history. */
@Component
class CheckBook {

    private final CheckRepository checks;
    private final ReadingRepository readings;
    private final CurrentNursery nursery;
    private final Today today;

    CheckBook(CheckRepository checks, ReadingRepository readings, CurrentNursery nursery, Today today) {
        this.checks = checks;
        this.readings = readings;
        this.nursery = nursery;
        this.today = today;
    }

    /** Writes looks after those that the batch already has. */
    List<Check> write(Batch batch, List<LookCommand> looks) {
        return write(batch, checks.countByBatchId(batch.getId()), looks);
    }

    /** Writes the first looks of a batch that has just been made. */
    List<Check> writeFirst(Batch batch, List<LookCommand> looks) {
        return write(batch, 0, looks);
    }

    void withdraw(Check check) {
        check.withdraw(personName(), today.now());
    }

    private List<Check> write(Batch batch, int from, List<LookCommand> looks) {
        List<Check> written = new ArrayList<>();
        List<PieceReading> seen = new ArrayList<>();
        for (LookCommand look : looks) {
            Check check = new Check(batch.getId(), from + written.size(), look, personName(), today.now());
            written.add(check);
            look.pieces().forEach(p -> seen.add(new PieceReading(check.getId(), p)));
        }
        checks.saveAll(written);
        readings.saveAll(seen);
        return written;
    }

    private String personName() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
