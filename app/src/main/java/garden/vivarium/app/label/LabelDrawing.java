package garden.vivarium.app.label;

import com.google.zxing.common.BitMatrix;
import garden.vivarium.app.platform.SquareCode;
import garden.vivarium.core.measure.LabelSheet.Size;
import java.util.ArrayList;
import java.util.List;

/** Lays a label out in the room it has: the square code to the right, words to the left, the sign of the way beside or beneath them. */
final class LabelDrawing {

    private static final double PAD = 1.5;
    /** The largest letters, in mm: read from a step away. */
    private static final double LARGEST = 5.5;

    private static final double SMALLEST = 1.6;
    private static final double LARGEST_CODE = 30;
    private static final double LARGEST_SIGN = 13;
    /** Where less height is left beneath the words, the sign stands small beside the code. */
    private static final double LEAST_SIGN = 7;
    /** A label at least so wide beside its square code has the sign in a column of its own. */
    private static final double WIDE = 42;

    private final Label label;
    private final Size size;
    private final Pen pen;

    private LabelDrawing(Label label, Size size, Pen pen) {
        this.label = label;
        this.size = size;
        this.pen = pen;
    }

    static void draw(Label label, Size size, Pen pen) {
        new LabelDrawing(label, size, pen).draw();
    }

    /** A line of words: how much of the height it takes, and whether it is strong. */
    private record Line(String words, double share, boolean strong) {}

    private void draw() {
        double code = Math.min(Math.min(size.height() - 2 * PAD, size.width() * 0.4), LARGEST_CODE);
        square(size.width() - PAD - code, (size.height() - code) / 2, code);
        double left = PAD;
        double right = size.width() - 2 * PAD - code;
        boolean own = label.sign().isPresent() && right - left >= WIDE;
        if (own) {
            double sign = Math.min(size.height() * 0.6, LARGEST_SIGN);
            sign(left, (size.height() - sign) / 2, sign);
            left += sign + PAD;
        }
        words(left, right, label.sign().isPresent() && !own);
    }

    private void words(double left, double right, boolean signAtTop) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(label.code(), 1.5, true));
        lines.add(new Line(label.plant(), 1.25, true));
        label.lines().forEach(l -> lines.add(new Line(l, 1, false)));
        double all = lines.stream().mapToDouble(Line::share).sum();
        double unit = Math.min((size.height() - 2 * PAD) / all, LARGEST / 1.5);
        double spare = size.height() - 2 * PAD - unit * all;
        boolean beneath = signAtTop && spare > LEAST_SIGN;
        double sign = beneath ? Math.min(spare - 1, LARGEST_SIGN) : 0;
        double y = (size.height() - unit * all - sign) / 2;
        if (beneath) {
            sign(left, y + unit * all + 0.5, sign);
        }
        for (Line line : lines) {
            double high = unit * line.share();
            double room = right - left;
            if (signAtTop && !beneath && line == lines.get(0)) {
                sign(right - high, y, high);
                room -= high + 0.5;
            }
            fit(line, left, y + high * 0.78, high * 0.82, room);
            y += high;
        }
    }

    /** Smaller letters where the words are too long, and at the worst the end left out. */
    private void fit(Line line, double x, double baseline, double high, double room) {
        double wide = pen.width(line.words(), high, line.strong());
        double letters = wide <= room ? high : Math.max(SMALLEST, high * room / wide);
        String words = line.words();
        while (words.length() > 1 && pen.width(shown(words, line), letters, line.strong()) > room + 0.01) {
            words = words.substring(0, words.length() - 1);
        }
        pen.write(shown(words, line), x, baseline, letters, line.strong());
    }

    private static String shown(String words, Line line) {
        return words.length() == line.words().length() ? words : words.stripTrailing() + "…";
    }

    private void sign(double x, double y, double high) {
        label.sign().orElseThrow().draw(pen, x, y, high / LabelSign.BOX);
    }

    /** The square code, with a pale rim of two cells; the label round it is pale too. */
    private void square(double x, double y, double side) {
        BitMatrix cells = SquareCode.of(label.address());
        double cell = side / cells.getWidth();
        for (int row = 0; row < cells.getHeight(); row++) {
            int from = -1;
            for (int column = 0; column <= cells.getWidth(); column++) {
                boolean dark = column < cells.getWidth() && cells.get(column, row);
                if (dark && from < 0) {
                    from = column;
                } else if (!dark && from >= 0) {
                    pen.fill(x + from * cell, y + row * cell, (column - from) * cell, cell);
                    from = -1;
                }
            }
        }
    }
}
