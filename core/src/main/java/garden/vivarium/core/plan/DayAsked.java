package garden.vivarium.core.plan;

/** What plants are to be by the day that an aim asks for. */
public enum DayAsked {
    /** Ready to be moved. */
    ROOTED(0),
    /** Moved, and grown away. */
    SETTLED(0),
    /** Grown on to be sold. */
    TO_SELL(28);

    private final int growingOn;

    DayAsked(int growingOn) {
        this.growingOn = growingOn;
    }

    /** Days that a settled plant is grown on before it is sold: this project's own figure, of small pots. */
    public int growingOn() {
        return growingOn;
    }
}
