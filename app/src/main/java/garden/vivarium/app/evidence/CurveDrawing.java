package garden.vivarium.app.evidence;

import garden.vivarium.core.evidence.CurveBand;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.RootingCurve;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A curve as the curve component draws it and its table says it.
 *
 * @param name of the series
 * @param pieces behind it
 * @param lastDay last day of which anything is known
 * @param reached [after, by, share] of each mass that reached the milestone
 * @param lost the same of the lost
 * @param neither share that is neither
 * @param low lower edge of the rough band by day, empty if there is none
 * @param high upper edge
 * @param expected share by day as the guide expects it, from day 0; empty where nothing is laid beneath
 */
public record CurveDrawing(
        String name,
        long pieces,
        int lastDay,
        List<double[]> reached,
        List<double[]> lost,
        double neither,
        List<Double> low,
        List<Double> high,
        List<Double> expected) {

    public static CurveDrawing of(String name, RootingCurve curve, Optional<CurveBand> band) {
        return new CurveDrawing(
                name,
                curve.pieces(),
                curve.lastDay(),
                masses(curve.reached()),
                masses(curve.lost()),
                curve.neither(),
                band.map(CurveBand::low).orElse(List.of()),
                band.map(CurveBand::high).orElse(List.of()),
                List.of());
    }

    /** The same with what was expected beneath it. */
    public CurveDrawing beside(GuideFigures guide) {
        return new CurveDrawing(
                name,
                pieces,
                lastDay,
                reached,
                lost,
                neither,
                low,
                high,
                IntStream.rangeClosed(0, Math.max(7, lastDay))
                        .mapToObj(d ->
                                Math.round(1000 * guide.rate() * guide.ready().by(d)) / 1000.0)
                        .toList());
    }

    private static List<double[]> masses(List<RootingCurve.Mass> masses) {
        return masses.stream()
                .filter(m -> m.share() > 1e-6)
                .map(m -> new double[] {m.after(), m.by(), m.share()})
                .toList();
    }
}
