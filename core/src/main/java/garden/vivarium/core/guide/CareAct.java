package garden.vivarium.core.guide;

/** What is done again and again for pieces that root, and for young plants. */
public enum CareAct {
    WATER_CHANGED("water changed", "Change the water"),
    TOPPED_UP("topped up", "Top up the water"),
    WATERED("watered", "Water"),
    KEPT_DRY("kept dry", "Keep dry"),
    FED("fed", "Feed"),
    SPRAYED("sprayed", "Spray"),
    AIRED("aired", "Air"),
    STAKED("staked", "Stake"),
    CUT_BACK("cut back", "Cut back"),
    SNAPPED("dead or spent leaves taken off", "Take off dead leaves"),
    OTHER("something else done", "Do");

    private final String done;
    private final String order;

    CareAct(String done, String order) {
        this.done = done;
        this.order = order;
    }

    /** As it is said afterwards: "water changed". */
    public String done() {
        return done;
    }

    /** As it is asked for: "Change the water". */
    public String order() {
        return order;
    }
}
