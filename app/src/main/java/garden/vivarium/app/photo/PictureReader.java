package garden.vivarium.app.photo;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import net.coobird.thumbnailator.Thumbnails;

/**
 * Takes a photograph in: looks at what the file holds, whatever it is called; refuses what is no JPEG, PNG or WebP, or is too large;
 * turns it upright, shrinks it, and keeps its dots alone, so that place, camera and whatever else is written in it stay behind.
 */
final class PictureReader {

    static final int LARGE = 1600;
    static final int SMALL = 320;
    static final int MOST_BYTES = 8_000_000;

    /** As many as the largest pictures of ordinary phones have, of 8,160 by 6,120. */
    private static final long MOST_DOTS = 51_000_000;

    /** Of what has to be in memory whole while it is read. */
    private static final long MOST_DOTS_WHOLE = 25_000_000;

    /** Cameras write some ten; each further one costs the time of reading it all once more. */
    private static final int MOST_SCANS = 60;

    private static final int MILLION = 1_000_000;
    private static final int LEAST_SIDE = 16;
    /** Read about so many dots along the longer side, so that a large photograph does not fill the memory. */
    private static final int READ_SIDE = 2400;

    /** The kinds that are taken, by their first bytes. */
    private enum Kind {
        JPEG("jpeg"),
        PNG("png"),
        WEBP("webp");

        private final String reader;

        Kind(String reader) {
            this.reader = reader;
        }
    }

    private PictureReader() {}

    /**
     * The picture in a file.
     *
     * @throws InvalidField naming what is wrong with it, if it is not kept
     */
    static Picture read(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw refused("Photo.large", "most", MOST_BYTES / MILLION);
        }
        Kind kind = kind(file);
        if (kind == Kind.JPEG && PictureHead.scans(file) > MOST_SCANS) {
            throw refused("Photo.broken");
        }
        try {
            BufferedImage upright = turned(dots(file, kind), orientation(file, kind));
            BufferedImage large = upright.getWidth() > LARGE || upright.getHeight() > LARGE
                    ? Thumbnails.of(upright).size(LARGE, LARGE).asBufferedImage()
                    : upright;
            return new Picture(jpeg(large, 0.82), jpeg(small(large), 0.8), large.getWidth(), large.getHeight());
        } catch (IOException | RuntimeException e) {
            if (e instanceof InvalidField said) {
                throw said;
            }
            throw refused("Photo.broken");
        }
    }

    private static BufferedImage small(BufferedImage large) throws IOException {
        return large.getWidth() <= SMALL && large.getHeight() <= SMALL
                ? large
                : Thumbnails.of(large).size(SMALL, SMALL).asBufferedImage();
    }

    private static InvalidField refused(String key, Object... figures) {
        return new InvalidField("file", Messages.text(key, figures));
    }

    private static Kind kind(byte[] file) {
        if (starts(file, 0, 0xFF, 0xD8, 0xFF)) {
            return Kind.JPEG;
        }
        if (starts(file, 0, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
            return Kind.PNG;
        }
        if (starts(file, 0, 'R', 'I', 'F', 'F') && starts(file, 8, 'W', 'E', 'B', 'P')) {
            return Kind.WEBP;
        }
        throw refused("Photo.kind", "kind", guess(file));
    }

    /** What it is instead, as far as its first bytes say. */
    private static String guess(byte[] file) {
        if (starts(file, 0, 'G', 'I', 'F', '8')) {
            return "GIF";
        }
        if (starts(file, 4, 'f', 't', 'y', 'p')) {
            return "HEIC";
        }
        if (starts(file, 0, '%', 'P', 'D', 'F')) {
            return "PDF";
        }
        String head = new String(file, 0, Math.min(200, file.length), StandardCharsets.ISO_8859_1);
        return head.stripLeading().startsWith("<") ? "SVG" : "other";
    }

    private static boolean starts(byte[] file, int at, int... bytes) {
        return file.length >= at + bytes.length
                && Arrays.equals(Arrays.copyOfRange(file, at, at + bytes.length), toBytes(bytes));
    }

    private static byte[] toBytes(int... values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            bytes[i] = (byte) values[i];
        }
        return bytes;
    }

    private static BufferedImage dots(byte[] file, Kind kind) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName(kind.reader).next();
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            // What is written beside the dots is not even read: it may be made to swell.
            reader.setInput(in, true, true);
            int wide = reader.getWidth(0);
            int high = reader.getHeight(0);
            if ((long) wide * high > MOST_DOTS) {
                throw refused("Photo.dots", "wide", wide, "high", high, "most", MOST_DOTS / MILLION);
            }
            if ((long) wide * high > MOST_DOTS_WHOLE && PictureHead.mustBeReadWhole(file)) {
                throw refused(
                        "Photo.whole",
                        "kind",
                        kind.name(),
                        "dots",
                        (long) wide * high / MILLION,
                        "most",
                        MOST_DOTS_WHOLE / MILLION);
            }
            if (Math.min(wide, high) < LEAST_SIDE) {
                throw refused("Photo.small", "wide", wide, "high", high);
            }
            ImageReadParam how = reader.getDefaultReadParam();
            int every = Math.max(1, Math.max(wide, high) / READ_SIDE);
            how.setSourceSubsampling(every, every, 0, 0);
            return opaque(reader.read(0, how));
        } finally {
            reader.dispose();
        }
    }

    /** On white, without a fourth channel, which JPEG does not have. */
    private static BufferedImage opaque(BufferedImage read) {
        if (read.getType() == BufferedImage.TYPE_INT_RGB || read.getType() == BufferedImage.TYPE_3BYTE_BGR) {
            return read;
        }
        BufferedImage plain = new BufferedImage(read.getWidth(), read.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D ink = plain.createGraphics();
        ink.drawImage(read, 0, 0, Color.WHITE, null);
        ink.dispose();
        return plain;
    }

    /** How the camera was held: 1 to 8 as the camera writes it; 1 where nothing is said. PNG says nothing of it. */
    private static int orientation(byte[] file, Kind kind) {
        if (kind == Kind.PNG) {
            return 1;
        }
        try {
            return Optional.ofNullable(ImageMetadataReader.readMetadata(new ByteArrayInputStream(file), file.length)
                            .getFirstDirectoryOfType(ExifIFD0Directory.class))
                    .filter(d -> d.containsTag(ExifIFD0Directory.TAG_ORIENTATION))
                    .map(PictureReader::orientation)
                    .filter(o -> o >= 1 && o <= 8)
                    .orElse(1);
        } catch (ImageProcessingException | IOException unreadable) {
            return 1;
        }
    }

    private static int orientation(ExifIFD0Directory said) {
        try {
            return said.getInt(ExifIFD0Directory.TAG_ORIENTATION);
        } catch (MetadataException unreadable) {
            return 1;
        }
    }

    /** Turned and mirrored as the number says: EXIF 2.3, tag 274. */
    private static BufferedImage turned(BufferedImage read, int orientation) {
        if (orientation == 1) {
            return read;
        }
        int wide = read.getWidth();
        int high = read.getHeight();
        AffineTransform turn = switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, wide, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, wide, high);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, high);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, high, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, high, wide);
            default -> new AffineTransform(0, -1, 1, 0, 0, wide);
        };
        boolean onItsSide = orientation >= 5;
        BufferedImage upright =
                new BufferedImage(onItsSide ? high : wide, onItsSide ? wide : high, BufferedImage.TYPE_INT_RGB);
        Graphics2D ink = upright.createGraphics();
        ink.drawImage(read, turn, null);
        ink.dispose();
        return upright;
    }

    private static byte[] jpeg(BufferedImage picture, double quality) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(picture)
                .scale(1)
                .outputQuality(quality)
                .outputFormat("jpg")
                .toOutputStream(out);
        return out.toByteArray();
    }
}
