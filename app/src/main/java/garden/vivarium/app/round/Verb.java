package garden.vivarium.app.round;

import garden.vivarium.app.platform.Named;

/** What the round asks of what is no task of a batch. */
enum Verb implements Named {
    PROMISE("Promise"),
    TREAT("Treat"),
    AGAIN("Again"),
    WORKED("Worked?"),
    WOKEN("Woken?"),
    CUT("Cut?"),
    REMEMBER("Remember"),
    AIR("Air"),
    OFFSETS("Offsets"),
    LIFT("Lift");

    private final String code;

    Verb(String code) {
        this.code = code;
    }

    /** As what was put off is stored. */
    String code() {
        return code;
    }
}
