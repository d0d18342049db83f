package garden.vivarium.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * {@link FailuresShown} as a table to be kept: the Beta at some days, and between them in proportion on the scale of ln(days).
 *
 * @param days rising, above 0
 * @param a of the Beta on each day
 * @param b of the Beta on each day
 */
public record ShownTable(List<Double> days, List<Double> a, List<Double> b) implements FailuresShown {

    private static final int ROWS = 14;
    private static final double FROM = 0.01;
    private static final double TO = 0.999;

    public ShownTable {
        days = List.copyOf(days);
        a = List.copyOf(a);
        b = List.copyOf(b);
        if (days.isEmpty() || days.size() != a.size() || days.size() != b.size()) {
            throw new IllegalArgumentException("a table has as many figures as days, and one day at least");
        }
    }

    /** A table of what is known, over the days in which pieces become ready. */
    public static ShownTable of(FailuresShown shown, RootingTime ready) {
        double low = Math.log(Math.max(1, ready.day(FROM)));
        double high = Math.max(low + 1, Math.log(ready.day(TO)));
        List<Double> days = new ArrayList<>();
        List<Double> a = new ArrayList<>();
        List<Double> b = new ArrayList<>();
        for (int i = 0; i < ROWS; i++) {
            double day = Math.exp(low + (high - low) * i / (ROWS - 1));
            NextBatch known = shown.by(day);
            days.add(day);
            a.add(known.a());
            b.add(known.b());
        }
        return new ShownTable(days, a, b);
    }

    /** Before any batch. */
    public static ShownTable ofGuide(RootingTime ready, double rho) {
        return of(new ShownByRecord(ready, List.of(), rho), ready);
    }

    @Override
    public NextBatch by(double day) {
        double[] known = days.stream().mapToDouble(Double::doubleValue).toArray();
        int at = Arrays.binarySearch(known, day);
        int next = at >= 0 ? at : -at - 1;
        if (next == 0 || next == known.length) {
            int end = next == 0 ? 0 : known.length - 1;
            return new NextBatch(a.get(end), b.get(end));
        }
        double part = (Math.log(day) - Math.log(known[next - 1])) / (Math.log(known[next]) - Math.log(known[next - 1]));
        return new NextBatch(between(a, next, part), between(b, next, part));
    }

    private static double between(List<Double> values, int next, double part) {
        return values.get(next - 1) + part * (values.get(next) - values.get(next - 1));
    }
}
