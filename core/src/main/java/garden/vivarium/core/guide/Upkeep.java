package garden.vivarium.core.guide;

import java.time.LocalDate;

/**
 * What a medium asks for again and again while pieces stand in it.
 *
 * @param medium the guide's name of the medium
 * @param act what is done
 * @param every days between two times, 1 and up
 * @param why the reason, in a sentence
 */
public record Upkeep(String medium, CareAct act, int every, String why) {

    public Upkeep {
        if (every < 1) {
            throw new IllegalArgumentException("upkeep of " + medium + " comes every day or less often, not " + every);
        }
    }

    /** The day on which it is due again after it was done last, or after the pieces were put in. */
    public LocalDate due(LocalDate last) {
        return last.plusDays(every);
    }
}
