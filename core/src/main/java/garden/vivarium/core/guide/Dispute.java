package garden.vivarium.core.guide;

import garden.vivarium.core.treatment.Treatments;
import java.util.List;

/**
 * Where good growers disagree: a question and its sides, each with its reason, and by which ways a batch counts for a side.
 *
 * @param key its name
 * @param question as growers put it
 * @param families families of methods that it concerns
 * @param sides two or more
 */
public record Dispute(String key, String question, List<String> families, List<Side> sides) {

    /**
     * One school.
     *
     * @param says what it says
     * @param reason why
     * @param media media that make a batch count for it; empty for any
     * @param treatments treatments of which one makes a batch count for it; empty for any
     * @param without treatments none of which it may have
     */
    public record Side(String says, String reason, List<String> media, Treatments treatments, Treatments without) {

        /**
         * Whether a batch in this medium with these treatments counts for the side.
         *
         * @param medium name
         * @param done what was done to its pieces
         */
        public boolean claims(String medium, Treatments done) {
            return (media.isEmpty() || media.contains(medium))
                    && (treatments.isEmpty() || treatments.all().stream().anyMatch(done::has))
                    && without.all().stream().noneMatch(done::has);
        }
    }
}
