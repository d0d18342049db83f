package garden.vivarium.app.photo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Files for tests: pictures made here, left half red and right half green, and what only looks like one. */
public final class Pictures {

    /** Of 40 by 24 dots. */
    public static final byte[] WEBP = Base64.getDecoder()
            .decode(
                    "UklGRmIAAABXRUJQVlA4IFYAAADQAwCdASooABgAPrVSn0onJSKhsBqoAOAWiUAZRbgABQNtsNTrGAAA/urUfyyMRYq//ggr0F6CkTH1kPjv/rNu/qb/+ZXyR/5m3f1N/206hZ+rgQAAAA==");

    private Pictures() {}

    static BufferedImage drawn(int wide, int high) {
        BufferedImage picture = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
        Graphics2D ink = picture.createGraphics();
        ink.setColor(new Color(30, 150, 60));
        ink.fillRect(0, 0, wide, high);
        ink.setColor(new Color(170, 40, 40));
        ink.fillRect(0, 0, wide / 2, high);
        ink.dispose();
        return picture;
    }

    public static byte[] file(String kind, int wide, int high) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(drawn(wide, high), kind, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A JPEG with another segment behind its first marker. */
    static byte[] jpegWith(int marker, byte[] segment, int wide, int high) {
        byte[] plain = file("jpeg", wide, high);
        ByteBuffer all = ByteBuffer.allocate(plain.length + segment.length + 4);
        all.put(plain, 0, 2).put((byte) 0xFF).put((byte) marker).putShort((short) (segment.length + 2));
        all.put(segment).put(plain, 2, plain.length - 2);
        return all.array();
    }

    /** What a camera held on its side writes: that, and where it stood. */
    static byte[] fromCamera(int orientation) {
        ByteBuffer exif = ByteBuffer.allocate(64);
        exif.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        exif.order(ByteOrder.LITTLE_ENDIAN)
                .put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 42)
                .putInt(8);
        exif.putShort((short) 2);
        exif.putShort((short) 0x0112).putShort((short) 3).putInt(1).putInt(orientation);
        exif.putShort((short) 0x8825).putShort((short) 4).putInt(1).putInt(38);
        exif.putInt(0);
        exif.putShort((short) 1);
        exif.putShort((short) 1).putShort((short) 2).putInt(2).put(new byte[] {'N', 0, 0, 0});
        exif.putInt(0);
        return jpegWith(0xE1, exif.array(), 60, 40);
    }

    static byte[] withScript() {
        return jpegWith(0xFE, "<ScRiPt>alert(1)</script>".getBytes(StandardCharsets.US_ASCII), 60, 40);
    }

    /** A JPEG whose dots come in passes over the whole. */
    public static byte[] progressive(int wide, int high) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream to = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
            writer.setOutput(to);
            writer.write(null, new IIOImage(drawn(wide, high), null, null), how);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** A JPEG that says to be made of so many passes, each of nothing. */
    static byte[] ofScans(int scans) {
        byte[] plain = file("jpeg", 60, 40);
        byte[] scan = {(byte) 0xFF, (byte) 0xDA, 0, 2};
        ByteBuffer all = ByteBuffer.allocate(plain.length + scans * scan.length);
        all.put(plain, 0, plain.length - 2);
        for (int i = 0; i < scans; i++) {
            all.put(scan);
        }
        return all.put(plain, plain.length - 2, 2).array();
    }

    /** A PNG of a few bytes that says it comes in passes, and is of so many dots. */
    static byte[] interlaced(int wide, int high) {
        byte[] png = bomb(wide, high);
        png[28] = 1;
        CRC32 sum = new CRC32();
        sum.update(png, 12, 17);
        ByteBuffer.wrap(png).putInt(29, (int) sum.getValue());
        return png;
    }

    /** A PNG of a few bytes that says it is of so many dots. */
    static byte[] bomb(int wide, int high) {
        byte[] png = file("png", 20, 20);
        ByteBuffer head = ByteBuffer.wrap(png);
        head.putInt(16, wide).putInt(20, high);
        CRC32 sum = new CRC32();
        sum.update(png, 12, 17);
        head.putInt(29, (int) sum.getValue());
        return png;
    }
}
