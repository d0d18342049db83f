package garden.vivarium.app.bench;

import garden.vivarium.app.platform.Messages;
import java.time.LocalDate;

/**
 * What is still to come of a running batch, by how it has gone.
 *
 * @param waiting pieces that wait
 * @param everReady how many in a hundred of those are reckoned to be ready in the end
 * @param onAverage how many more in the end
 * @param surely that many more or more, nine times in ten
 * @param soon a day two weeks ahead
 * @param bySoon how many more by then on average
 * @param surelyBySoon that many more or more by then, nine times in ten
 * @param tells judged pieces that this batch tells as much as
 */
public record StillToCome(
        int waiting,
        long everReady,
        long onAverage,
        int surely,
        LocalDate soon,
        long bySoon,
        int surelyBySoon,
        long tells) {

    /** How many more come in the end, as one grower would say it. */
    public String inTheEnd() {
        return words(onAverage, surely);
    }

    /** How many more come within two weeks. */
    public String byThen() {
        return words(bySoon, surelyBySoon);
    }

    private static String words(long average, int sure) {
        if (average == 0) {
            return Messages.text("StillToCome.hardly.any.more");
        }
        return Messages.text("StillToCome.about.more", "average", average, "sure", sure);
    }
}
