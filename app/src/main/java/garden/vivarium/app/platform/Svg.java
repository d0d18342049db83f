package garden.vivarium.app.platform;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;

/**
 * What drawings in pages are made of, in their own units; the same in every language. Every page has one as
 * {@code svg}: attributes may call no beans.
 */
public final class Svg {

    private static final int TICK = 6;

    /** A line from the left edge, so long. */
    public String bar(double length) {
        return line(0, length);
    }

    /** A level line. */
    public String line(double from, double to) {
        return "M%s 0H%s".formatted(number(from), number(to));
    }

    /** A level line between two shares, on a scale of a hundred. */
    public String shares(double from, double to) {
        return line(100 * from, 100 * to);
    }

    /** A mark across a level line. */
    public String mark(double at) {
        return "M%s -%d".formatted(number(at), TICK) + "V" + TICK;
    }

    /** A level line at a height, so long. */
    public String level(double x, double y, double length) {
        return "M%s %sh%s".formatted(number(x), number(y), number(length));
    }

    /** A line downwards from a height, so long. */
    public String drop(double x, double y, double length) {
        return "M%s %sv%s".formatted(number(x), number(y), number(length));
    }

    /** An upright line between two heights. */
    public String upright(double x, double from, double to) {
        return "M%s %sV%s".formatted(number(x), number(from), number(to));
    }

    /** Where a cell of a map of equal cells stands, counted by rows from 0. */
    public String cell(int index, int columns, int size) {
        return "translate(%d,%d)".formatted(size * (index % columns), size * (index / columns));
    }

    /** Where a value stands on a scale: so many units along a length for the whole. */
    public double along(double start, double length, double value, double whole) {
        return start + length * value / whole;
    }

    /** What is drawn of a map of equal cells. */
    public String cells(int columns, int rows, int size) {
        return box(columns * size, rows * size);
    }

    /** What is drawn of a plane from its corner. */
    public String box(double width, double height) {
        return "0 0 %s %s".formatted(number(width), number(height));
    }

    private static String number(double n) {
        return new DecimalFormat("0.##", DecimalFormatSymbols.getInstance(Locale.ROOT)).format(n);
    }
}
