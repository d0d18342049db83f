package garden.vivarium.app.label;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The two cuts of the letter that labels are printed in, kept in the document itself. */
final class PrintFonts {

    /** Capitals of this letter are so high, as a share of its size. */
    private static final double CAPITALS = 0.66;

    private static final double POINTS_PER_MM = 72 / 25.4;

    private final PDFont plain;
    private final PDFont strong;

    PrintFonts(PDDocument document) {
        plain = load(document, "SourceSans3-Regular.ttf");
        strong = load(document, "SourceSans3-Semibold.ttf");
    }

    private static PDFont load(PDDocument document, String name) {
        try (InputStream file = PrintFonts.class.getResourceAsStream("/print/" + name)) {
            return PDType0Font.load(document, file, true);
        } catch (IOException e) {
            throw new UncheckedIOException("the print letter " + name + " cannot be read", e);
        }
    }

    PDFont cut(boolean isStrong) {
        return isStrong ? strong : plain;
    }

    /** The size in points of letters that are so many mm high, line by line. */
    static float points(double mm) {
        return (float) (mm * POINTS_PER_MM * CAPITALS / 0.6);
    }

    /** Width in mm. */
    double width(String words, double size, boolean isStrong) {
        try {
            return cut(isStrong).getStringWidth(writable(words, isStrong)) / 1000 * points(size) / POINTS_PER_MM;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The words with a mark for each letter that this cut does not have. */
    String writable(String words, boolean isStrong) {
        StringBuilder kept = new StringBuilder();
        words.codePoints().forEach(c -> kept.append(has(c, isStrong) ? Character.toString(c) : "?"));
        return kept.toString();
    }

    private boolean has(int letter, boolean isStrong) {
        try {
            cut(isStrong).encode(Character.toString(letter));
            return true;
        } catch (IllegalArgumentException | IOException e) {
            return false;
        }
    }
}
