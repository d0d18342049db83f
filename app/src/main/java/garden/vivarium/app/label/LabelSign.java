package garden.vivarium.app.label;

/** A small drawing on a label that tells it from its neighbours at arm's length. */
interface LabelSign {

    /** The sign's box. */
    double BOX = 24;

    /** Draws it with its left upper corner there; a scale of 1 makes it {@link #BOX} mm wide. */
    void draw(Pen pen, double x, double y, double scale);
}
