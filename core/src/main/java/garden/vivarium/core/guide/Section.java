package garden.vivarium.core.guide;

/** What of a plant a method needs, as a grower counts it before cutting. */
public enum Section {
    TIP,
    /** A middle length with a joint. */
    MIDDLE,
    /** A bare joint. */
    BARE,
    LEAF,
    ROOT,
    /** An offset, a growth or a plantlet. */
    GROWTH,
    /** A bulb or one of its scales. */
    BULB
}
