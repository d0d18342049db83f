package garden.vivarium.app.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.GpsDirectory;
import garden.vivarium.app.platform.InvalidField;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is taken in as a photograph, and what is not, whatever it is called. */
class PictureReaderTest {

    @ParameterizedTest
    @ValueSource(strings = {"jpeg", "png"})
    void aLargePictureIsKeptSmallerAndAsJpeg(String kind) throws IOException {
        Picture kept = PictureReader.read(Pictures.file(kind, 4000, 2000));

        assertThat(kept.width()).isEqualTo(1600);
        assertThat(kept.height()).isEqualTo(800);
        assertThat(kept.large()).startsWith(0xFF, 0xD8, 0xFF);
        BufferedImage small = read(kept.small());
        assertThat(small.getWidth()).isEqualTo(320);
        assertThat(isRed(small, 40, 80)).isTrue();
        assertThat(isRed(small, 280, 80)).isFalse();
    }

    @Test
    void aWebpIsReadToo() throws IOException {
        Picture kept = PictureReader.read(Pictures.WEBP);

        assertThat(kept.width()).isEqualTo(40);
        assertThat(isRed(read(kept.large()), 8, 12)).isTrue();
        assertThat(isRed(read(kept.large()), 32, 12)).isFalse();
    }

    @Test
    void whatElseIsWrittenInItStaysBehindAndIsNoReasonToRefuseIt() {
        Picture kept = PictureReader.read(Pictures.withScript());
        assertThat(new String(kept.large(), StandardCharsets.ISO_8859_1).toLowerCase(Locale.ROOT))
                .doesNotContain("script");
    }

    @Test
    void aProgressiveOneOfAnOrdinarySizeIsTaken() {
        Picture kept = PictureReader.read(Pictures.progressive(4000, 3000));
        assertThat(kept.width()).isEqualTo(1600);
        assertThat(PictureHead.mustBeReadWhole(Pictures.progressive(40, 30))).isTrue();
        assertThat(PictureHead.mustBeReadWhole(Pictures.file("jpeg", 40, 30))).isFalse();
        assertThat(PictureHead.mustBeReadWhole(Pictures.file("png", 40, 30))).isFalse();
        assertThat(PictureHead.mustBeReadWhole(Pictures.WEBP)).isTrue();
    }

    /** Where the left half of the picture, which is red, comes to lie. */
    @ParameterizedTest
    @CsvSource({
        "1, 60, 15, 20",
        "2, 60, 45, 20",
        "3, 60, 45, 20",
        "4, 60, 15, 20",
        "5, 40, 20, 15",
        "6, 40, 20, 15",
        "7, 40, 20, 45",
        "8, 40, 20, 45"
    })
    void itIsTurnedUprightAndWhereItWasTakenStaysBehind(int orientation, int wide, int redX, int redY)
            throws Exception {
        byte[] file = Pictures.fromCamera(orientation);
        assertThat(metadata(file).getFirstDirectoryOfType(GpsDirectory.class)).isNotNull();

        Picture kept = PictureReader.read(file);

        assertThat(kept.width()).isEqualTo(wide);
        BufferedImage upright = read(kept.large());
        assertThat(isRed(upright, redX, redY)).isTrue();
        assertThat(isRed(upright, upright.getWidth() - redX - 1, upright.getHeight() - redY - 1))
                .as("the other half")
                .isEqualTo(false);
        assertThat(metadata(kept.large()).getDirectoriesOfType(ExifDirectoryBase.class))
                .isEmpty();
        assertThat(metadata(kept.small()).getDirectoriesOfType(ExifDirectoryBase.class))
                .isEmpty();
    }

    static Stream<Arguments> hostile() {
        byte[] whole = Pictures.file("jpeg", 60, 40);
        return Stream.of(
                Arguments.of("a GIF", "GIF89a............".getBytes(StandardCharsets.US_ASCII), "GIF"),
                Arguments.of("a drawing", "  <svg onload='x()'/>".getBytes(StandardCharsets.US_ASCII), "drawing"),
                Arguments.of("a PDF", "%PDF-1.7".getBytes(StandardCharsets.US_ASCII), "PDF"),
                Arguments.of("a HEIC", "\0\0\0\u0018ftypheic".getBytes(StandardCharsets.US_ASCII), "HEIC"),
                Arguments.of("a program", new byte[] {0x7F, 'E', 'L', 'F', 2, 1}, "no photograph"),
                Arguments.of("nothing", new byte[0], "no photograph"),
                Arguments.of("a JPEG of very many scans", Pictures.ofScans(80), "cannot be read"),
                Arguments.of("too many dots", Pictures.bomb(8000, 6400), "51 million are taken"),
                Arguments.of("an interlaced PNG", Pictures.interlaced(6000, 4500), "interlaced PNG of 27 million dots"),
                Arguments.of(
                        "a progressive JPEG", Pictures.progressive(5200, 5000), "progressive JPEG of 26 million dots"),
                Arguments.of("a bomb", Pictures.bomb(30_000, 30_000), "too many"),
                Arguments.of("a lie about its size", Pictures.bomb(4000, 4000), "cannot be read"),
                Arguments.of("a dot", Pictures.file("png", 1, 1), "too few"),
                Arguments.of("half a file", Arrays.copyOf(whole, 30), "cannot be read"),
                Arguments.of("a huge file", Arrays.copyOf(whole, 9_000_000), "MB"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    void hostile(String what, byte[] file, String said) {
        assertThatThrownBy(() -> PictureReader.read(file))
                .as(what)
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining(said);
    }

    private static boolean isRed(BufferedImage picture, int x, int y) {
        Color dot = new Color(picture.getRGB(x, y));
        return dot.getRed() > dot.getGreen();
    }

    private static BufferedImage read(byte[] jpeg) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(jpeg));
    }

    private static Metadata metadata(byte[] file) throws Exception {
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(file));
    }
}
