package garden.vivarium.app.stock;

import java.util.UUID;

/**
 * What a plant is, is known better: whoever keeps something of it under its name follows, in the same transaction.
 *
 * @param before its id until now; another than that of {@code now} where two plants were made one
 * @param now what it is from now on
 */
public record PlantChanged(UUID before, PlantView now) {}
