package garden.vivarium.app.label;

/**
 * Which way of a trial a cell is of: circle or triangle, as on the trial's map. One is filled and the other is not, so that they
 * are told apart when small and wet too.
 *
 * @param arm from 0
 */
record ArmSign(int arm) implements LabelSign {

    private static final String CIRCLE =
            "M12,2 C17.5,2 22,6.5 22,12 C22,17.5 17.5,22 12,22 C6.5,22 2,17.5 2,12 C2,6.5 6.5,2 12,2 Z";
    private static final String TRIANGLE = "M12,2 L23,22 L1,22 Z";

    @Override
    public void draw(Pen pen, double x, double y, double scale) {
        pen.path(arm == 0 ? CIRCLE : TRIANGLE, x, y, scale, arm == 0);
    }
}
