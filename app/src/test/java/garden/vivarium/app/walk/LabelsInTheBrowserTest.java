package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Labels of a batch and a stock plant on one sheet, read back by libraries: their words, and where their square codes lead. */
class LabelsInTheBrowserTest extends AtThePages {

    @Test
    void aSheetIsReadBackAndTheNextGoesOnWhereItEnded() throws Exception {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView tray = in(() -> Growing.stuck(batches, guide, fuchsia, 24, TODAY.minusDays(2)));

        browser.open("/batches/" + tray.code() + "/label");
        assertThat(browser.script("return document.querySelector('img.label-picture').naturalWidth > 50"))
                .isEqualTo(true);
        assertThat(browser.barriers()).isEmpty();

        browser.open("/labels");
        assertThat(browser.text("main table")).contains(tray.code(), "24 pieces stuck");
        browser.script("document.querySelector('[name=copies]').value = '5'");
        browser.type("code", fuchsia.code());
        browser.script("document.getElementById('next').value = 'DIVIDE'");
        browser.press("main button.main");
        browser.untilText("main .refused", "Give the day in whose month");
        assertThat(browser.value("code")).as("nothing typed is lost").isEqualTo(fuchsia.code());
        browser.script("document.getElementById('nextOn').value = '2029-03-01'");
        browser.press("main button.main");
        browser.untilText("main .said", "6 labels are on the sheet, from place 1; the next goes on at 7.");

        byte[] sheet = browser.fetch((String) browser.script("return document.querySelector('main a.main').href"));
        try (PDDocument document = Loader.loadPDF(sheet)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(document);
            assertThat(text)
                    .contains(
                            tray.code(), "Fuchsia ‘Skerry Lantern’", "13 Jun 2026, 24 pieces", "divide about Mar 2029");
            assertThat(text.split(tray.code(), -1)).as("five of the batch").hasSize(6);
            List<String> codes = squareCodes(new PDFRenderer(document).renderImageWithDPI(0, 200));
            assertThat(codes).hasSize(6);
            assertThat(codes.stream().filter(c -> c.endsWith("/batches/" + tray.code())))
                    .hasSize(5);
            assertThat(codes).anyMatch(c -> c.endsWith("/stock/" + fuchsia.id()));
        }

        browser.open("/batches/" + tray.code() + "/label");
        assertThat(browser.text("#sheet")).contains("21 of 63.5 × 38.1 mm (A4), next 7");
        browser.press("main button.main");
        browser.untilText("main .said", "1 label is on the sheet, from place 7; the next goes on at 8.");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void theLabelPrinterCollectsWhatWasPrintedAndOneAloneIsAPicture() throws Exception {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        BatchView tray = in(() -> Growing.stuck(batches, guide, sage, 12, TODAY.minusDays(2)));

        browser.open("/batches/" + tray.code() + "/label");
        List<Path> before = printed(tray);
        browser.type("copies", "2");
        browser.press("main button[value=printer]");
        browser.untilText("main .said", "2 labels were printed.");
        List<Path> printed = printed(tray);
        printed.removeAll(before);
        assertThat(printed).hasSize(2);
        BufferedImage picture = ImageIO.read(printed.get(0).toFile());
        assertThat(picture.getWidth()).as("63.5 mm at 300 dots an inch").isBetween(745, 755);
        assertThat(squareCodes(picture)).singleElement().asString().endsWith("/batches/" + tray.code());
        byte[] svg = browser.fetch("/labels/one.svg?kind=BATCH&of=" + tray.id() + "&sheet=a4-65");
        assertThat(new String(svg, StandardCharsets.UTF_8)).contains("width=\"38.1mm\"", tray.code(), "Salvia ‘Tern’");
        byte[] png = browser.fetch("/labels/one.png?kind=BATCH&of=" + tray.id() + "&sheet=a4-65");
        assertThat(squareCodes(ImageIO.read(new ByteArrayInputStream(png)))).hasSize(1);
    }

    private static List<Path> printed(BatchView batch) throws IOException {
        Path folder = Files.createDirectories(Path.of("target/printed"));
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(f -> f.getFileName().toString().contains(batch.code()))
                    .collect(Collectors.toCollection(ArrayList::new));
        }
    }

    private static List<String> squareCodes(BufferedImage picture) throws IOException {
        int wide = picture.getWidth();
        int[] dots = picture.getRGB(0, 0, wide, picture.getHeight(), null, 0, wide);
        try {
            Result[] found = new QRCodeMultiReader()
                    .decodeMultiple(
                            new BinaryBitmap(
                                    new HybridBinarizer(new RGBLuminanceSource(wide, picture.getHeight(), dots))),
                            Map.of(DecodeHintType.TRY_HARDER, true));
            return Arrays.stream(found).map(Result::getText).toList();
        } catch (NotFoundException none) {
            return List.of();
        }
    }
}
