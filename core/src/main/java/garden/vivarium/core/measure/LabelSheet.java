package garden.vivarium.core.measure;

import java.util.List;
import java.util.Optional;

/**
 * A sheet of labels as it is sold by the packet: equal labels in rows and columns, counted from 0, along the rows from the
 * top. All lengths in mm.
 *
 * @param key its name in addresses and storage
 * @param paper the whole sheet
 * @param columns labels side by side, 1 and more
 * @param rows labels one under the other, 1 and more
 * @param label one label
 * @param margin from the edge of the sheet to the first label, left and top
 * @param pitch from one label to the next, across and down; at least a label
 */
public record LabelSheet(String key, Size paper, int columns, int rows, Size label, Size margin, Size pitch) {

    /** Across and down, in mm. */
    public record Size(double width, double height) {

        /** Its width. */
        public Length wide() {
            return Length.ofMillimetres(width);
        }

        /** Its height. */
        public Length high() {
            return Length.ofMillimetres(height);
        }
    }

    /** Where a label begins: its sheet, counted from 0, and the mm from the left and the top edge. */
    public record Spot(int sheet, double x, double y) {}

    private static final Size A4 = new Size(210, 297);
    private static final Size LETTER = new Size(215.9, 279.4);

    /** Sizes that are commonly sold, small to large; then strips that are pushed into a pot. */
    public static final List<LabelSheet> COMMON = List.of(
            new LabelSheet("a4-65", A4, 5, 13, new Size(38.1, 21.2), new Size(4.7, 10.7), new Size(40.6, 21.2)),
            new LabelSheet("a4-24", A4, 3, 8, new Size(70, 36), new Size(0, 4.5), new Size(70, 36)),
            new LabelSheet("a4-21", A4, 3, 7, new Size(63.5, 38.1), new Size(7.2, 15.1), new Size(66, 38.1)),
            new LabelSheet("a4-8", A4, 2, 4, new Size(99.1, 67.7), new Size(4.6, 13.1), new Size(101.7, 67.7)),
            new LabelSheet("letter-30", LETTER, 3, 10, new Size(66.7, 25.4), new Size(4.8, 12.7), new Size(69.9, 25.4)),
            new LabelSheet("a4-strips", A4, 1, 14, new Size(150, 19), new Size(30, 15.5), new Size(150, 19)));

    /**
     * A sheet of labels.
     *
     * @throws IllegalArgumentException if it has no label, labels lie over each other or beyond the paper
     */
    public LabelSheet {
        if (columns < 1 || rows < 1) {
            throw new IllegalArgumentException("a sheet has one label at the least");
        }
        if (pitch.width() < label.width() || pitch.height() < label.height()) {
            throw new IllegalArgumentException("labels cannot lie over each other");
        }
        if (margin.width() + (columns - 1) * pitch.width() + label.width() > paper.width() + 0.05
                || margin.height() + (rows - 1) * pitch.height() + label.height() > paper.height() + 0.05) {
            throw new IllegalArgumentException("the labels do not fit on the sheet");
        }
    }

    /** The common sheet of that name. */
    public static Optional<LabelSheet> named(String key) {
        return COMMON.stream().filter(s -> s.key().equals(key)).findFirst();
    }

    /** Labels on one sheet. */
    public int count() {
        return columns * rows;
    }

    /**
     * Where a label lies.
     *
     * @param index counted from 0 over as many sheets as it takes
     * @throws IndexOutOfBoundsException if it is negative
     */
    public Spot spot(int index) {
        if (index < 0) {
            throw new IndexOutOfBoundsException(index);
        }
        int here = index % count();
        int row = here / columns;
        return new Spot(
                index / count(),
                margin.width() + here % columns * pitch.width(),
                margin.height() + row * pitch.height());
    }

    /** The first free label after so many were printed from {@code first} on: on the sheet that was begun, or 0 for a new one. */
    public int nextFree(int first, int printed) {
        return (first + printed) % count();
    }
}
