package garden.vivarium.core.guide;

/** What is done again and again for pieces that root, and for young plants. */
public enum CareAct {
    WATER_CHANGED,
    TOPPED_UP,
    WATERED,
    KEPT_DRY,
    FED,
    SPRAYED,
    AIRED,
    STAKED,
    CUT_BACK,
    /** Dead or spent leaves were taken off. */
    SNAPPED,
    OTHER
}
