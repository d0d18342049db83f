package garden.vivarium.app.batch;

import java.util.List;

/** How what left left. */
public enum Fate {
    SENT("sent away"),
    GIVEN("given away"),
    SOLD("sold"),
    /** Cut into pieces that started anew. */
    CUT_AGAIN("cut again");

    /** What may be said of what leaves; what is cut again says so itself. */
    public static final List<Fate> LEAVING = List.of(SENT, GIVEN, SOLD);

    private final String words;

    Fate(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
