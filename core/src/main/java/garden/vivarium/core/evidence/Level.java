package garden.vivarium.core.evidence;

import java.util.List;

/**
 * One level of evidence for a way, from the widest to the closest. It holds only batches that no closer level holds.
 *
 * @param closeness how close its batches are to what is asked
 * @param batches counts of its batches; may be empty
 */
public record Level(Closeness closeness, List<BatchCount> batches) {
    public Level {
        batches = List.copyOf(batches);
    }
}
