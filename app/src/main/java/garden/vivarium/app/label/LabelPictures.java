package garden.vivarium.app.label;

import garden.vivarium.core.measure.LabelSheet;
import garden.vivarium.core.measure.LabelSheet.Size;
import garden.vivarium.core.measure.LabelSheet.Spot;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.springframework.stereotype.Component;

/** Labels as files: a PDF of sheets, one label as PNG or SVG. */
@Component
class LabelPictures {

    private static final float POINTS_PER_MM = 72 / 25.4f;
    private static final float DOTS_PER_INCH = 300;

    /** Labels on sheets, the first of them at {@code first}, counted from 0. */
    byte[] pdf(LabelSheet sheet, int first, List<Label> labels) {
        try (PDDocument document = new PDDocument()) {
            PrintFonts fonts = new PrintFonts(document);
            for (int i = 0; i < labels.size(); ) {
                PDPage page = page(document, sheet.paper());
                try (PDPageContentStream ink = new PDPageContentStream(document, page)) {
                    int number = sheet.spot(first + i).sheet();
                    for (; i < labels.size() && sheet.spot(first + i).sheet() == number; i++) {
                        Spot spot = sheet.spot(first + i);
                        PdfPen pen =
                                new PdfPen(ink, fonts, spot.x(), sheet.paper().height() - spot.y());
                        LabelDrawing.draw(labels.get(i), sheet.label(), pen);
                    }
                }
            }
            return bytes(document);
        } catch (IOException e) {
            throw new UncheckedIOException("the sheet of labels could not be written", e);
        }
    }

    /** One label as a picture, fine enough for a printer. */
    byte[] png(Label label, Size size) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage page = page(document, size);
            try (PDPageContentStream ink = new PDPageContentStream(document, page)) {
                LabelDrawing.draw(label, size, new PdfPen(ink, new PrintFonts(document), 0, size.height()));
            }
            // Letters are kept in the document only once it is written.
            byte[] written = bytes(document);
            try (PDDocument again = org.apache.pdfbox.Loader.loadPDF(written)) {
                ImageIO.write(new PDFRenderer(again).renderImageWithDPI(0, DOTS_PER_INCH, ImageType.GRAY), "png", out);
            }
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("the label could not be drawn", e);
        }
    }

    /** One label as a drawing. */
    String svg(Label label, Size size) {
        try (PDDocument measured = new PDDocument()) {
            SvgPen pen = new SvgPen(new PrintFonts(measured), size);
            LabelDrawing.draw(label, size, pen);
            return pen.svg();
        } catch (IOException e) {
            throw new UncheckedIOException("the label could not be drawn", e);
        }
    }

    private static PDPage page(PDDocument document, Size size) {
        PDPage page = new PDPage(
                new PDRectangle((float) size.width() * POINTS_PER_MM, (float) size.height() * POINTS_PER_MM));
        document.addPage(page);
        return page;
    }

    private static byte[] bytes(PDDocument document) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }
}
