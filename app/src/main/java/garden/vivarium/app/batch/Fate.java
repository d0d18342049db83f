package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Named;
import java.util.List;

/** How what left left. */
public enum Fate implements Named {
    SENT,
    GIVEN,
    SOLD,
    /** Cut into pieces that started anew. */
    CUT_AGAIN;

    /** What may be said of what leaves; what is cut again says so itself. */
    public static final List<Fate> LEAVING = List.of(SENT, GIVEN, SOLD);
}
