package garden.vivarium.app.label;

import java.util.List;

/** The shapes of the ways of a trial, on its map and on the labels of its cells: circle, triangle, square and cross. */
public final class ArmShapes {

    /** Outlines in a square of 24, by the place of the way. */
    public static final List<String> PATHS = List.of(
            "M12,2 C17.5,2 22,6.5 22,12 C22,17.5 17.5,22 12,22 C6.5,22 2,17.5 2,12 C2,6.5 6.5,2 12,2 Z",
            "M12,2 L23,22 L1,22 Z",
            "M3,3 L21,3 L21,21 L3,21 Z",
            "M8,2 L16,2 L16,8 L22,8 L22,16 L16,16 L16,22 L8,22 L8,16 L2,16 L2,8 L8,8 Z");

    private ArmShapes() {}
}
