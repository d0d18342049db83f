package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.UUID;

/** Pieces or young plants that were sent away: when how many, how far they had come, to whom, and who wrote it down. */
public record SentView(UUID id, LocalDate on, int pieces, SentState state, String toWhom, String person) {}
