package garden.vivarium.app.label;

import garden.vivarium.core.measure.LabelSheet.Size;
import java.util.Locale;
import org.springframework.web.util.HtmlUtils;

/** Writes a drawing of its own, to scale, as SVG. */
final class SvgPen implements Pen {

    private static final double LINE = 0.9;

    private final PrintFonts fonts;
    private final StringBuilder drawing = new StringBuilder();
    private final Size size;

    /** A pen for a label; the fonts tell how wide words are. */
    SvgPen(PrintFonts fonts, Size size) {
        this.fonts = fonts;
        this.size = size;
    }

    @Override
    public double width(String words, double size, boolean strong) {
        return fonts.width(words, size, strong);
    }

    @Override
    public void write(String words, double x, double y, double size, boolean strong) {
        add(
                "<text x=\"%.2f\" y=\"%.2f\" font-size=\"%.2f\" font-weight=\"%d\" textLength=\"%.2f\""
                        + " lengthAdjust=\"spacingAndGlyphs\">",
                x, y, PrintFonts.points(size) / 72 * 25.4, strong ? 600 : 400, width(words, size, strong));
        drawing.append(HtmlUtils.htmlEscape(words, "UTF-8")).append("</text>\n");
    }

    @Override
    public void fill(double x, double y, double width, double height) {
        add("<path d=\"M%.3f %.3fh%.3fv%.3fh-%.3fz\"/>\n", x, y, width, height, width);
    }

    @Override
    public void path(String path, double x, double y, double scale, boolean solid) {
        add("<path transform=\"translate(%.2f %.2f) scale(%.4f)\" d=\"%s\"", x, y, scale, path);
        drawing.append(
                solid
                        ? "/>\n"
                        : String.format(
                                Locale.ROOT, " fill=\"none\" stroke=\"#1d1a17\" stroke-width=\"%.2f\"/>%n", LINE));
    }

    private void add(String words, Object... figures) {
        drawing.append(String.format(Locale.ROOT, words, figures));
    }

    /** The whole drawing. */
    String svg() {
        return String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.1fmm\" height=\"%2$.1fmm\" viewBox=\"0 0 %1$.2f %2$.2f\""
                        + " font-family=\"'Source Sans 3 Variable', 'Source Sans 3', sans-serif\" fill=\"#1d1a17\">%n"
                        + "<rect width=\"%1$.2f\" height=\"%2$.2f\" fill=\"#fff\"/>%n%3$s</svg>%n",
                size.width(),
                size.height(),
                drawing);
    }
}
