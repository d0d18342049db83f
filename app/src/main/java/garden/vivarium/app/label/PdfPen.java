package garden.vivarium.app.label;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/** Draws on a page of a PDF, whose points count from the left lower corner. */
final class PdfPen implements Pen {

    private static final double POINTS_PER_MM = 72 / 25.4;
    private static final float LINE = 0.9f;

    private final PDPageContentStream page;
    private final PrintFonts fonts;
    private final double left;
    private final double top;

    /**
     * A pen for a label.
     *
     * @param left where the label begins, in mm from the left edge
     * @param top how high over the lower edge of the page the label's upper edge is, in mm
     */
    PdfPen(PDPageContentStream page, PrintFonts fonts, double left, double top) {
        this.page = page;
        this.fonts = fonts;
        this.left = left;
        this.top = top;
    }

    private float x(double mm) {
        return (float) ((left + mm) * POINTS_PER_MM);
    }

    private float y(double mm) {
        return (float) ((top - mm) * POINTS_PER_MM);
    }

    @Override
    public double width(String words, double size, boolean strong) {
        return fonts.width(words, size, strong);
    }

    @Override
    public void write(String words, double x, double y, double size, boolean strong) {
        try {
            page.beginText();
            page.setFont(fonts.cut(strong), PrintFonts.points(size));
            page.newLineAtOffset(x(x), y(y));
            page.showText(fonts.writable(words, strong));
            page.endText();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void fill(double x, double y, double width, double height) {
        try {
            page.addRect(x(x), y(y + height), (float) (width * POINTS_PER_MM), (float) (height * POINTS_PER_MM));
            page.fill();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void path(String path, double x, double y, double scale, boolean solid) {
        try {
            String[] tokens = path.replaceAll("([MLCZ])", " $1 ").strip().split("[\\s,]+");
            for (int i = 0; i < tokens.length; ) {
                i = step(tokens, i, x, y, scale);
            }
            if (solid) {
                page.fill();
            } else {
                page.setLineWidth((float) (LINE * scale * POINTS_PER_MM));
                page.stroke();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Draws the step at the token and leads to the next. */
    private int step(String[] tokens, int i, double x, double y, double scale) throws IOException {
        switch (tokens[i]) {
            case "M" -> {
                page.moveTo(at(tokens, i + 1, x, scale), down(tokens, i + 2, y, scale));
                return i + 3;
            }
            case "L" -> {
                page.lineTo(at(tokens, i + 1, x, scale), down(tokens, i + 2, y, scale));
                return i + 3;
            }
            case "C" -> {
                page.curveTo(
                        at(tokens, i + 1, x, scale),
                        down(tokens, i + 2, y, scale),
                        at(tokens, i + 3, x, scale),
                        down(tokens, i + 4, y, scale),
                        at(tokens, i + 5, x, scale),
                        down(tokens, i + 6, y, scale));
                return i + 7;
            }
            case "Z" -> {
                page.closePath();
                return i + 1;
            }
            default -> throw new IllegalArgumentException("no step of a path: " + tokens[i]);
        }
    }

    private float at(String[] tokens, int i, double x, double scale) {
        return x(x + Double.parseDouble(tokens[i]) * scale);
    }

    private float down(String[] tokens, int i, double y, double scale) {
        return y(y + Double.parseDouble(tokens[i]) * scale);
    }
}
