package garden.vivarium.app.demo;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.StockPlantView;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Pictures for the sample nursery, drawn here: no photograph of a real plant. A tray from above, and a plant from the side. */
@Component
class DrawnPhotos {

    private static final int WIDE = 960;
    private static final int HIGH = 640;
    private static final Color BENCH = new Color(206, 198, 184);
    private static final Color TRAY = new Color(46, 43, 40);
    private static final Color SOIL = new Color(92, 68, 50);
    private static final Color GONE = new Color(140, 112, 78);

    private final Photos photos;
    private final Today today;

    DrawnPhotos(Photos photos, Today today) {
        this.photos = photos;
        this.today = today;
    }

    /** A tray two days after it was stuck, halfway, and now. */
    void ofTray(BatchView batch) {
        int age = Math.max(4, batch.age(today.date()));
        for (int day : new int[] {2, age / 2, age - 1}) {
            LocalDate on = batch.stuckOn().plusDays(day);
            photos.ofBatch(batch.code(), UUID.randomUUID(), on, null, tray(batch, day / 45.0, (double) day / age));
        }
    }

    /** A stock plant before and after it was cut, and now. */
    void ofPlant(StockPlantView plant) {
        photos.ofStock(plant.id(), UUID.randomUUID(), today.date().minusDays(70), "before the cut", plant(7));
        photos.ofStock(plant.id(), UUID.randomUUID(), today.date().minusDays(69), "after the cut", plant(3));
        photos.ofStock(plant.id(), UUID.randomUUID(), today.date().minusDays(4), "shot again", plant(6));
    }

    private static byte[] tray(BatchView batch, double grown, double through) {
        Random random = new Random(batch.code().hashCode());
        int columns = batch.isTray() ? batch.vessel().columns() : 6;
        int rows = Math.max(1, (batch.stuck() + columns - 1) / columns);
        return drawn(ink -> {
            ink.setColor(TRAY);
            ink.fillRoundRect(50, 50, WIDE - 100, HIGH - 100, 24, 24);
            double wide = (WIDE - 140.0) / columns;
            double high = (HIGH - 140.0) / rows;
            double cell = Math.min(wide, high);
            for (int i = 0; i < batch.stuck(); i++) {
                double x = 70 + (i % columns + 0.5) * wide;
                double y = 70 + (Math.floorDiv(i, columns) + 0.5) * high;
                ink.setColor(SOIL);
                ink.fill(new Ellipse2D.Double(x - cell * 0.44, y - cell * 0.44, cell * 0.88, cell * 0.88));
                boolean lost = random.nextDouble() < 0.18 * through;
                double size = cell * (0.26 + 0.2 * Math.min(1, grown)) * (0.85 + 0.3 * random.nextDouble());
                double turn = random.nextDouble() * Math.PI;
                int leaves = lost ? 1 : 2 + (int) Math.min(2, grown * 3);
                ink.setColor(lost ? GONE : new Color(64 + random.nextInt(30), 118 + random.nextInt(40), 58));
                for (int l = 0; l < leaves; l++) {
                    leaf(ink, x, y, size, turn + l * Math.PI / Math.max(1, leaves) * 2);
                }
            }
        });
    }

    private static byte[] plant(int shoots) {
        Random random = new Random(5);
        return drawn(ink -> {
            ink.setColor(new Color(150, 92, 66));
            ink.fillPolygon(new int[] {390, 570, 545, 415}, new int[] {470, 470, 610, 610}, 4);
            ink.setStroke(new BasicStroke(7));
            for (int i = 0; i < 7; i++) {
                double lean = (i - 3) * 0.16;
                double length = (i < shoots ? 330 : 90) * (0.85 + 0.25 * random.nextDouble());
                double topX = 480 + Math.sin(lean) * length;
                double topY = 470 - Math.cos(lean) * length;
                ink.setColor(new Color(96, 92, 52));
                ink.drawLine(480 + (i - 3) * 12, 470, (int) topX, (int) topY);
                ink.setColor(new Color(72 + random.nextInt(24), 124 + random.nextInt(30), 60));
                for (double along = 0.25; along <= 1; along += length > 200 ? 0.15 : 0.6) {
                    double x = 480 + (topX - 480) * along;
                    double y = 470 + (topY - 470) * along;
                    leaf(ink, x, y, 52, lean + 0.5);
                    leaf(ink, x, y, 52, lean + Math.PI - 0.5);
                }
            }
        });
    }

    private static void leaf(Graphics2D ink, double x, double y, double size, double turn) {
        Path2D leaf = new Path2D.Double();
        leaf.moveTo(0, 0);
        leaf.curveTo(size * 0.3, -size * 0.45, size * 0.8, -size * 0.35, size, 0);
        leaf.curveTo(size * 0.8, size * 0.35, size * 0.3, size * 0.45, 0, 0);
        AffineTransform place = AffineTransform.getTranslateInstance(x, y);
        place.rotate(turn);
        ink.fill(place.createTransformedShape(leaf));
    }

    /** What is drawn with a pen. */
    private interface Drawing {
        void draw(Graphics2D ink);
    }

    private static byte[] drawn(Drawing drawing) {
        BufferedImage picture = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        Graphics2D ink = picture.createGraphics();
        ink.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        ink.setColor(BENCH);
        ink.fillRect(0, 0, WIDE, HIGH);
        drawing.draw(ink);
        ink.dispose();
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(picture, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
