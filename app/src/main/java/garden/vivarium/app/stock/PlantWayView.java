package garden.vivarium.app.stock;

import java.time.Instant;

/**
 * What a nursery has said of a method with a plant.
 *
 * @param method its name
 * @param struck whether it is struck off; else it was added though the guide calls it unusual
 * @param word why; may be empty
 * @param person who said so
 * @param at when
 */
public record PlantWayView(String method, boolean struck, String word, String person, Instant at) {}
