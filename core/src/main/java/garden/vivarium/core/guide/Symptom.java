package garden.vivarium.core.guide;

import java.util.List;

/**
 * Something seen on a piece or a stock plant, with what it may mean.
 *
 * @param key its name, kept with care events
 * @param seen in growers' words
 * @param on where it may be seen
 * @param causes what it may mean
 */
public record Symptom(String key, String seen, List<Where> on, List<Cause> causes) {

    /** On a propagule or on a stock plant. */
    public enum Where {
        PIECE,
        STOCK
    }

    /**
     * What it may mean.
     *
     * @param cause in words
     * @param weight how often it is that: seldom 1, sometimes 2, often 3
     * @param likelier circumstances that make it likelier
     * @param check how to tell
     * @param then what to do
     * @param care the care event that doing it would log; empty where nothing is done
     * @param cautions keys
     * @param askAfter days after which to ask whether it worked, and between repeats; 0 where nothing is done
     * @param normal whether the truth is "normal, leave it"
     */
    public record Cause(
            String cause,
            int weight,
            List<Circumstance> likelier,
            String check,
            String then,
            String care,
            List<String> cautions,
            int askAfter,
            boolean normal) {}
}
