package garden.vivarium.core.evidence;

import garden.vivarium.core.timing.Window;
import java.util.Optional;

/**
 * What the guide says of a way in season, before any batch, and what that is worth.
 *
 * @param rate 0 to 1, both excluded
 * @param firstSign window; absent where there is no first sign
 * @param ready window
 * @param worth what these figures are worth
 */
public record GuideFigures(double rate, Optional<Window> firstSign, Window ready, Worth worth) {

    /**
     * What figures are worth beside batches, by how well they are known.
     *
     * @param rate pieces that the rate is worth, above 0
     * @param days variance of ln(days) around the windows, above 0
     * @param callus pieces that the share which survives the callus is worth, above 0
     * @param settling pieces that the share which settles is worth, above 0
     */
    public record Worth(double rate, double days, double callus, double settling) {

        /** Of figures of which nobody has said how well they are known. */
        public static final Worth UNSAID = new Worth(
                StrikeRate.GUIDE_PIECES, RootingTime.GUIDE_VARIANCE, StrikeRate.GUIDE_PIECES, StrikeRate.GUIDE_PIECES);
    }

    /** Figures of which nobody has said how well they are known. */
    public GuideFigures(double rate, Optional<Window> firstSign, Window ready) {
        this(rate, firstSign, ready, Worth.UNSAID);
    }
}
