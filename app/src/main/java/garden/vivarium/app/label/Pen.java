package garden.vivarium.app.label;

/** Draws a label; all lengths in mm from its left upper corner. */
interface Pen {

    /** How wide the words would be. */
    double width(String words, double size, boolean strong);

    /** Writes words, their baseline at {@code y}, as high as {@code size}. */
    void write(String words, double x, double y, double size, boolean strong);

    /** Fills a rectangle. */
    void fill(double x, double y, double width, double height);

    /**
     * Draws a path of M, L, C and Z with absolute coordinates, scaled and moved.
     *
     * @param solid filled, instead of a line
     */
    void path(String path, double x, double y, double scale, boolean solid);
}
