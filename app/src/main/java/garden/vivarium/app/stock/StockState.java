package garden.vivarium.app.stock;

import java.util.Optional;

/** How a stock plant is now. */
public enum StockState {
    GROWING("growing", null),
    IN_BUD("in bud", "It is in bud: pieces may flower instead of rooting. Take shoots without buds, or wait."),
    IN_FLOWER("in flower", "It is in flower: pieces root more slowly. Take shoots without flowers, or wait."),
    DORMANT("dormant", "It is dormant: most pieces will not root until it grows. Wait, or use a way for resting wood."),
    WOODY("woody", "It is woody: old wood roots poorly. Cut it back and take the young shoots that follow."),
    SICK("sick", "It is sick: pieces carry that on. Find out what it is first, or take clean tips only."),
    DYING("dying", "It is dying: this is a rescue. Take what is sound now.");

    private final String words;
    private final String warning;

    StockState(String words, String warning) {
        this.words = words;
        this.warning = warning;
    }

    public String words() {
        return words;
    }

    /** What to mind when taking pieces from it now. */
    public Optional<String> warning() {
        return Optional.ofNullable(warning);
    }
}
