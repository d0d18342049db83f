package garden.vivarium.app.technique;

import garden.vivarium.core.compare.DoseCurve;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A curve over a measure as it is drawn: 600 wide, a share of one 200 down from the soil line.
 *
 * @param line path of the curve
 * @param band path round its band
 * @param ticks of the measure
 */
record DoseDrawing(String line, String band, List<Tick> ticks) {

    private static final double WIDTH = 600;
    private static final double DEPTH = 200;
    private static final int MOST_TICKS = 8;

    /** Where a value stands. */
    record Tick(double x, String value) {}

    /** A curve, its ticks at round figures of what the reader measures in. */
    static Optional<DoseDrawing> of(DoseCurve curve, DoubleUnaryOperator shown) {
        List<DoseCurve.Point> points = curve.points();
        if (points.isEmpty()) {
            return Optional.empty();
        }
        double from = points.get(0).at();
        double span = points.get(points.size() - 1).at() - from;
        List<DoseCurve.Point> back = IntStream.range(0, points.size())
                .mapToObj(i -> points.get(points.size() - 1 - i))
                .toList();
        String line = "M" + path(points, from, span, DoseCurve.Point::share);
        String band = "M" + path(points, from, span, DoseCurve.Point::low) + "L"
                + path(back, from, span, DoseCurve.Point::high) + "Z";
        double first = shown.applyAsDouble(from);
        double wide = shown.applyAsDouble(from + span) - first;
        double step = step(wide / MOST_TICKS);
        List<Tick> ticks = IntStream.rangeClosed(
                        (int) Math.ceil(first / step - 1e-9), (int) Math.floor((first + wide) / step + 1e-9))
                .mapToObj(i -> new Tick(
                        Math.round(10 * WIDTH * (i * step - first) / wide) / 10.0,
                        step < 1 ? String.format(Locale.ROOT, "%.1f", i * step) : String.valueOf(Math.round(i * step))))
                .toList();
        return Optional.of(new DoseDrawing(line, band, ticks));
    }

    /** 1, 2 or 5 with noughts, as large as asked or the next above. */
    private static double step(double least) {
        double ten = Math.pow(10, Math.floor(Math.log10(least)));
        return least <= ten ? ten : least <= 2 * ten ? 2 * ten : least <= 5 * ten ? 5 * ten : 10 * ten;
    }

    private static String path(
            List<DoseCurve.Point> points, double from, double span, ToDoubleFunction<DoseCurve.Point> share) {
        return points.stream()
                .map(p -> String.format(
                        Locale.ROOT, "%.1f %.1f", WIDTH * (p.at() - from) / span, DEPTH * share.applyAsDouble(p)))
                .collect(Collectors.joining("L"));
    }
}
