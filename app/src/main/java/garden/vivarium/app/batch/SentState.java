package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Named;

/** How far pieces had come when they were sent away. */
public enum SentState implements Named {
    /** Left unjudged: nobody here will know whether they would have rooted. */
    UNROOTED,
    /** Rooted, and so counted. */
    READY,
    /** Young plants in their pots. */
    POTTED;
}
