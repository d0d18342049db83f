package garden.vivarium.app.label;

import java.util.Map;

/**
 * How a piece was made and in what, as one small drawing: the soil line at half its height, the piece on it, the ground beneath.
 *
 * @param family of the method, as "stem"
 * @param ground what it stands in
 */
record WaySign(String family, Ground ground) implements LabelSign {

    static final String SOIL_LINE = "M0,14 L24,14";

    private static final String LEAVES = "M12,6 C9,2 5,2 3,5 C6,8 9,8 12,6 Z M12,6 C15,2 19,2 21,5 C18,8 15,8 12,6 Z";

    /** What is filled, by family. */
    private static final Map<String, String> SOLID = Map.of(
            "stem", LEAVES,
            "leaf", "M12,14 C5,11 5,3 12,0 C19,3 19,11 12,14 Z",
            "leaf pull", "M13,12 C6,10 6,3 12,0 C18,3 19,9 13,12 Z M9,12 L15,12 L14,17 L10,17 Z",
            "root", "M3,15.5 L21,15.5 L21,18 L3,18 Z M12,10 C10,7 8,7 7,9 C9,11 11,11 12,10 Z",
            "division",
                    "M6,9 C4,5 2,5 1,7 C3,9 4,10 6,9 Z M6,9 C8,5 10,5 11,7 C9,9 8,10 6,9 Z"
                            + " M18,9 C16,5 14,5 13,7 C15,9 16,10 18,9 Z M18,9 C20,5 22,5 23,7 C21,9 20,10 18,9 Z",
            "offset", "M8,14 C2,12 2,4 8,1 C14,4 14,12 8,14 Z M19,14 C15,13 15,9 19,7 C23,9 23,13 19,14 Z",
            "plantlet", "M19,12 C17,8 14,9 14,11 C16,13 18,13 19,12 Z M19,12 C21,8 24,9 24,11 C22,13 20,13 19,12 Z",
            "bulb", "M12,8 C6,14 5,20 12,22 C19,20 18,14 12,8 Z");

    /** What is a line, by family. */
    private static final Map<String, String> LINES = Map.of(
            "stem", "M12,6 L12,19",
            "leaf", "M12,14 L12,17",
            "leaf pull", "M13,12 L12,17",
            "root", "M12,15 L12,10",
            "division", "M6,9 L6,18 M18,9 L18,18 M12,3 L12,20",
            "offset", "M12,16 C14,18 17,18 19,16",
            "plantlet", "M2,14 C4,4 14,2 19,12 M2,14 L2,5",
            "bulb", "M12,8 L12,4");

    @Override
    public void draw(Pen pen, double x, double y, double scale) {
        pen.path(SOIL_LINE, x, y, scale, false);
        pen.path(ground.path(), x, y, scale, false);
        pen.path(solid(), x, y, scale, true);
        pen.path(lines(), x, y, scale, false);
    }

    String solid() {
        return SOLID.getOrDefault(family, SOLID.get("stem"));
    }

    String lines() {
        return LINES.getOrDefault(family, LINES.get("stem"));
    }
}
