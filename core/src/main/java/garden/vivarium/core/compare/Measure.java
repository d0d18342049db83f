package garden.vivarium.core.compare;

/** What was measured of a batch in figures, and may bear on how it goes. */
public enum Measure {
    /** Strength of the rooting hormone in ppm; 0 where none was given. */
    HORMONE,
    /** Days between taken and stuck. */
    DRIED,
    /** Length of a piece in cm. */
    LENGTH,
    /** Mean warmth of the place in the first three weeks, in °C. */
    WARMTH,
    /** Mean length of the days of its first three weeks in hours, sun above the horizon. */
    DAYLIGHT,
    /** Hours of lamp a day, by the version of the way by which it was done; 0 for none. */
    LAMP
}
