package garden.vivarium.app.label;

import java.util.List;

/**
 * Which way of a trial a cell is of: circle, triangle, square or cross, as on the trial's map. Every other one is filled, so that they
 * are told apart when small and wet too.
 *
 * @param arm from 0 to 3
 */
record ArmSign(int arm) implements LabelSign {

    private static final List<String> SHAPES = List.of(
            "M12,2 C17.5,2 22,6.5 22,12 C22,17.5 17.5,22 12,22 C6.5,22 2,17.5 2,12 C2,6.5 6.5,2 12,2 Z",
            "M12,2 L23,22 L1,22 Z",
            "M3,3 L21,3 L21,21 L3,21 Z",
            "M8,2 L16,2 L16,8 L22,8 L22,16 L16,16 L16,22 L8,22 L8,16 L2,16 L2,8 L8,8 Z");

    @Override
    public void draw(Pen pen, double x, double y, double scale) {
        pen.path(SHAPES.get(arm), x, y, scale, arm % 2 == 0);
    }
}
