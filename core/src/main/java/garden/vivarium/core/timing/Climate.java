package garden.vivarium.core.timing;

/** What kind of weather a place has. With the hemisphere it decides the season there. */
public enum Climate {
    OPEN("open air", 1),
    COLD("cold house", 1),
    HEATED("heated house", 0.5),
    LIT("lit room", 0),
    TROPICAL("tropics", 0);

    private final String code;
    private final double share;

    Climate(String code, double share) {
        this.code = code;
        this.share = share;
    }

    /** The words used in files. */
    public String code() {
        return code;
    }

    /** Whether stock and pieces there follow the year. Under lamps and in the tropics they do not. */
    public boolean seasonal() {
        return share > 0;
    }

    /** What of the season's cold and dark reaches pieces there, 0 to 1: warmth takes half of it, a lamp all. */
    public double share() {
        return share;
    }

    /** What of the season shows in the growth of stock plants there, 0 to 1: only lamps and the tropics keep them growing all year. */
    public double shareOfMaterial() {
        return seasonal() ? 1 : 0;
    }
}
