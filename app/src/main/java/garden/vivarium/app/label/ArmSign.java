package garden.vivarium.app.label;

/**
 * Which way of a trial a cell is of, by its shape. Every other one is filled, so that they are told apart when small and wet too.
 *
 * @param arm from 0 to 3
 */
record ArmSign(int arm) implements LabelSign {

    @Override
    public void draw(Pen pen, double x, double y, double scale) {
        pen.path(ArmShapes.PATHS.get(arm), x, y, scale, arm % 2 == 0);
    }
}
