package garden.vivarium.app.care;

import garden.vivarium.app.platform.Named;

/** Whether a treatment worked. */
public enum Outcome implements Named {
    WORKED,
    PARTLY,
    NOT;
}
