package garden.vivarium.core.compare;

/** What was measured of a batch in figures, and may bear on how it goes. */
public enum Measure {
    /** Strength of the rooting hormone in ppm; 0 where none was given. */
    HORMONE,
    /** Days between taken and stuck. */
    DRIED,
    /** Length of a piece in cm. */
    LENGTH,
    /** Mean warmth of the place while the batch stood there, in °C. */
    WARMTH,
    /** Mean length of its days in hours, sun above the horizon. */
    DAYLIGHT
}
