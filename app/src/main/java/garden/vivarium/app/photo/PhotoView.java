package garden.vivarium.app.photo;

import java.time.LocalDate;
import java.util.UUID;

/**
 * A photograph as pages show it.
 *
 * @param width of its larger picture, in dots
 * @param height of its larger picture, in dots
 * @param note in words, or null
 */
public record PhotoView(UUID id, LocalDate takenOn, int width, int height, String note, String person) {}
