package garden.vivarium.core.evidence;

/** How close earlier batches are to what is asked, from the widest to the closest. */
public enum Closeness {
    /** Plants of other groups by the same method in the same medium. */
    OTHER_GROUPS,
    /** Plants of other kinds of the group by the same method. */
    OTHER_PLANTS,
    /** Other plants of the kind by the same method. */
    SAME_KIND,
    /** Other nurseries' batches by the way, of the same kind of plant. */
    NEIGHBOURS,
    /** The same plant by the same method in other ways. */
    OTHER_WAYS,
    /** The same plant by the same way, in season where out of season is asked, and the other way round. */
    OTHER_SEASON,
    /** The same plant by the same way at the same time of year. */
    THIS_WAY,
    /** One stock plant, by whatever way. */
    THIS_STOCK_PLANT,
    /** A nursery's own batches by a protocol, of whatever plant. */
    OWN_BATCHES;

    /** Whether it is of the very way that is asked about. */
    boolean isOwnWay() {
        return this == THIS_WAY || this == OTHER_SEASON || this == OWN_BATCHES;
    }
}
