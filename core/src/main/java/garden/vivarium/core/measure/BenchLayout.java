package garden.vivarium.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Where vessels stand on a bench, seen from above, in cm from its left back corner. What somebody put somewhere stays there; the rest is put
 * row by row into what is free; what finds no room is told.
 *
 * @param spots where each box stands, by its key
 * @param without keys of boxes that found no room
 */
public record BenchLayout(Map<String, Spot> spots, List<String> without) {

    /** A usual tray, and what smaller vessels take up: width and depth in cm. */
    public static final Size TRAY = new Size(54, 28);

    private static final Size HALF_TRAY = new Size(36, 24);
    private static final Size BOX = new Size(24, 18);
    private static final Size JAR = new Size(12, 12);
    private static final int CELLS_OF_A_TRAY = 40;
    private static final int CELLS_OF_A_HALF = 16;
    private static final int PIECES_IN_A_JAR = 10;

    public BenchLayout {
        spots = Map.copyOf(spots);
        without = List.copyOf(without);
    }

    /** Width and depth in cm, above 0. */
    public record Size(double wide, double deep) {

        /** The same, turned by a quarter. */
        public Size turned() {
            return new Size(/* wide= */ deep, /* deep= */ wide);
        }

        /** In cm². */
        public double area() {
            return wide * deep;
        }
    }

    /** Left back corner, in cm. */
    public record Spot(double x, double y) {}

    /**
     * Something that stands on a bench.
     *
     * @param key its name
     * @param size what it takes up
     * @param at where somebody put it; empty where nobody has
     */
    public record Box(String key, Size size, Optional<Spot> at) {}

    /**
     * What a vessel takes up: a tray by its cells, turned where it has more rows than columns; a loose vessel by its pieces, 60 of which
     * fill a tray. These sizes are this project's own round figures.
     *
     * @param rows of a tray; empty for a loose vessel
     * @param columns of a tray
     * @param pieces in it, 0 and up
     */
    public static Size sizeOf(Optional<Integer> rows, Optional<Integer> columns, int pieces) {
        if (rows.isPresent() && columns.isPresent()) {
            int cells = rows.get() * columns.get();
            Size size = cells >= CELLS_OF_A_TRAY ? TRAY : cells >= CELLS_OF_A_HALF ? HALF_TRAY : BOX;
            return rows.get() > columns.get() ? size.turned() : size;
        }
        if (pieces <= PIECES_IN_A_JAR) {
            return JAR;
        }
        if (pieces <= CELLS_OF_A_HALF + PIECES_IN_A_JAR) {
            return BOX;
        }
        return pieces <= CELLS_OF_A_TRAY ? HALF_TRAY : TRAY;
    }

    /** Trays that a bench holds: its room over a tray's, a tenth left for hands. */
    public static double trays(Size bench) {
        return Math.floor(0.9 * bench.area() / TRAY.area() + 1e-9);
    }

    /**
     * Puts boxes on a bench.
     *
     * @param bench its size
     * @param boxes in the order in which they are put
     * @param gap between boxes, in cm, 0 and up
     */
    public static BenchLayout of(Size bench, List<Box> boxes, double gap) {
        Map<String, Spot> spots = new LinkedHashMap<>();
        List<Placed> placed = new ArrayList<>();
        for (Box box : boxes) {
            box.at().ifPresent(at -> {
                Spot kept = new Spot(
                        clamp(at.x(), bench.wide() - box.size().wide()),
                        clamp(at.y(), bench.deep() - box.size().deep()));
                spots.put(box.key(), kept);
                placed.add(new Placed(kept, box.size()));
            });
        }
        Free free = new Free(bench, gap, placed);
        List<String> without = new ArrayList<>();
        for (Box box : boxes) {
            if (box.at().isEmpty()) {
                free.take(box.size()).ifPresentOrElse(spot -> spots.put(box.key(), spot), () -> without.add(box.key()));
            }
        }
        return new BenchLayout(spots, without);
    }

    private static double clamp(double value, double most) {
        return Math.max(0, Math.min(value, Math.max(0, most)));
    }

    private record Placed(Spot at, Size size) {

        boolean isLevelWith(double y, Size other, double gap) {
            return y < at.y() + size.deep() + gap && at.y() < y + other.deep() + gap;
        }

        boolean meets(double x, Size other, double gap) {
            return x < at.x() + size.wide() + gap && at.x() < x + other.wide() + gap;
        }
    }

    /** What is free of a bench while it is filled. */
    private static final class Free {

        private final Size bench;
        private final double gap;
        private final List<Placed> placed;
        private final SortedSet<Double> rows = new TreeSet<>(List.of(0.0));
        /** The row in which the last of a size found room; before it there is none for another, until there are other rows. */
        private final Map<Size, Double> from = new HashMap<>();

        Free(Size bench, double gap, List<Placed> placed) {
            this.bench = bench;
            this.gap = gap;
            this.placed = placed;
            placed.forEach(this::row);
        }

        private void row(Placed p) {
            double before = p.at().y() + p.size().deep() + gap;
            if (rows.add(before)) {
                from.replaceAll((size, y) -> Math.min(y, before));
            }
        }

        /** The first free spot, from the left along the back, then further to the front: only beside or before what stands there need be tried. */
        Optional<Spot> take(Size size) {
            for (double y : rows.tailSet(from.getOrDefault(size, 0.0))) {
                if (y + size.deep() > bench.deep() + 1e-9) {
                    break;
                }
                OptionalDouble x = freeInRow(y, bench, size, placed, gap);
                if (x.isPresent()) {
                    Placed put = new Placed(new Spot(x.getAsDouble(), y), size);
                    placed.add(put);
                    from.put(size, y);
                    row(put);
                    return Optional.of(put.at());
                }
            }
            from.put(size, Double.POSITIVE_INFINITY);
            return Optional.empty();
        }
    }

    /** From the left: whatever is in the way is passed by. */
    private static OptionalDouble freeInRow(double y, Size bench, Size size, List<Placed> placed, double gap) {
        List<Placed> level = new ArrayList<>();
        for (Placed p : placed) {
            if (p.isLevelWith(y, size, gap)) {
                level.add(p);
            }
        }
        level.sort(Comparator.comparingDouble(p -> p.at().x()));
        double x = 0;
        for (Placed p : level) {
            if (p.meets(x, size, gap)) {
                x = Math.max(x, p.at().x() + p.size().wide() + gap);
            }
        }
        return x + size.wide() <= bench.wide() + 1e-9 ? OptionalDouble.of(x) : OptionalDouble.empty();
    }
}
