package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.UUID;

/** Pieces or young plants that left: when how many, how far they had come, to whom, who wrote it down, and how they left. */
public record SentView(UUID id, LocalDate on, int pieces, SentState state, String toWhom, String person, Fate fate) {}
