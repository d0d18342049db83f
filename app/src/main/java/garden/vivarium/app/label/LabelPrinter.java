package garden.vivarium.app.label;

/** A printer of single labels. */
interface LabelPrinter {

    /**
     * Prints a label.
     *
     * @param name what the label is of, for the printer's list of work
     * @param picture the label as PNG
     */
    void print(String name, byte[] picture);

    /** What it is called on pages. */
    String name();
}
