package garden.vivarium.core.guide;

import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.Window;
import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How a kind differs from other plants by a method: its own rate and days stand to those of its protocols as to what is usual for
 * the method over all plants. A rate is moved on the scale of ln(p/(1 − p)), so that it stays between 0 and 1.
 *
 * @param logOdds what is added to ln(p/(1 − p)) of a rate; 0 where nothing is known
 * @param slower by what days are multiplied, above 0; 1 where nothing is known
 * @param drying days that a wound dries where it dries at all; empty where nothing is known
 * @param months northern months in which it is best done; empty where they are as for other plants
 * @param warmth of the air that its pieces want; empty where it is as for other plants
 */
public record KindFit(
        double logOdds, double slower, Optional<Integer> drying, Set<Month> months, Optional<Warmth> warmth) {

    /** Thin pieces dry faster and thick ones slower than the usual days. */
    private static final double SOONEST = 0.7;

    private static final double LATEST = 1.4;

    static KindFit of(PlantKind kind, Method method) {
        Map<String, Double> rate = kind.figures().rate();
        Map<String, Window> ready = kind.figures().ready();
        return new KindFit(
                rate.containsKey(method.name()) ? logOdds(rate.get(method.name())) - logOdds(method.rate()) : 0,
                ready.containsKey(method.name())
                        ? Math.exp(ready.get(method.name()).mu()
                                - method.ready().days().mu())
                        : 1,
                kind.figures().drying(),
                kind.figures().season().getOrDefault(method.name(), Set.of()),
                kind.figures().warmth());
    }

    private static double logOdds(double p) {
        return Math.log(p / (1 - p));
    }

    /** The kind's rate where other plants have this one, 0 to 1, both excluded. */
    public double rate(double others) {
        return 1 / (1 + Math.exp(-logOdds(others) - logOdds));
    }

    /** The kind's window where other plants have this one. */
    public Window days(Window others) {
        return others.slowedBy(slower);
    }

    /** The protocol as it is done with the kind. */
    public Protocol fitted(Protocol p) {
        Protocol.Course c = p.course();
        return new Protocol(
                p.identity(),
                p.technique(),
                material(p.material()),
                new Protocol.Wound(
                        p.wound().prepare(),
                        p.wound().callus().map(this::callus),
                        p.wound().hormone()),
                p.placing(),
                keeping(p.keeping()),
                new Protocol.Course(
                        c.looks(), c.firstSign().map(this::test), test(c.ready()), c.stages(), c.tooLong(), c.inTurn()),
                p.potting(),
                new Protocol.Figures(
                        rate(p.figures().rate()),
                        p.figures().establishment(),
                        p.figures().output(),
                        p.figures().minutesPerTen(),
                        p.figures().thin()),
                p.reasons());
    }

    private Protocol.Material material(Protocol.Material others) {
        Season season = others.season();
        return months.isEmpty() || season.months().isEmpty()
                ? others
                : new Protocol.Material(
                        others.groups(),
                        others.piece(),
                        others.ripeness(),
                        new Season(months, season.slower(), season.poorer(), season.of()));
    }

    private Protocol.Keeping keeping(Protocol.Keeping others) {
        Protocol.Air air = others.air();
        return warmth.filter(w -> !air.warmth().isEmpty())
                .map(w -> new Protocol.Keeping(
                        others.water(),
                        new Protocol.Air(
                                air.cover(),
                                List.of(w),
                                air.base(),
                                air.remark(),
                                air.humidity(),
                                air.light(),
                                air.lampHours())))
                .orElse(others);
    }

    private Protocol.Callus callus(Protocol.Callus others) {
        return drying.map(days -> new Protocol.Callus(
                        Math.max(1, (int) Math.floor(SOONEST * days)),
                        Math.max(1, (int) Math.ceil(LATEST * days)),
                        others.survival(),
                        others.seal()))
                .orElse(others);
    }

    private Protocol.Test test(Protocol.Test others) {
        return new Protocol.Test(others.sign(), others.test(), others.rootMm(), days(others.days()));
    }
}
