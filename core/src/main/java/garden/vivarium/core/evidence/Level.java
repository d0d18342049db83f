package garden.vivarium.core.evidence;

import java.util.List;

/**
 * One level of evidence for a way, from the widest to the closest. It holds only batches that no closer level holds.
 *
 * @param name what the level is, in growers' words, as "this plant with this method"
 * @param batches counts of its batches; may be empty
 */
public record Level(String name, List<BatchCount> batches) {
    public Level {
        batches = List.copyOf(batches);
    }
}
