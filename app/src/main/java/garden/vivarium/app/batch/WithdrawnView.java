package garden.vivarium.app.batch;

import java.time.Instant;
import java.time.LocalDate;

/** A batch that was withdrawn, by whom, when and why. */
public record WithdrawnView(
        String code, String plant, LocalDate takenOn, int taken, String by, Instant at, String why) {}
