package garden.vivarium.app.climate;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.plan.Weaning;
import garden.vivarium.core.watch.AirWatch;
import garden.vivarium.core.watch.PlaceFit;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What batches want of the air by their protocols; many go by the same, which is looked up once a page. */
final class Wanting {

    private final GuideLookup lookup;
    private final LocalDate day;
    private final Map<List<Object>, Optional<Protocol.Air>> airs = new HashMap<>();

    Wanting(GuideLookup lookup, LocalDate day) {
        this.lookup = lookup;
        this.day = day;
    }

    Optional<Protocol.Air> air(BatchView b) {
        return airs.computeIfAbsent(
                Arrays.asList(b.protocol(), b.protocolVersion(), b.way()),
                k -> lookup.protocol(b.protocol(), b.protocolVersion(), b.way())
                        .map(p -> p.keeping().air()));
    }

    AirWatch.Wanted of(BatchView b) {
        return air(b).map(a -> wanted(a, b.isStuck() ? b.age(day) : 0)).orElse(AirWatch.Wanted.NOTHING);
    }

    /** What a protocol wants at an age. Under a lid the air is the vessel's own, and over a mat cold air does less. */
    static AirWatch.Wanted wanted(Protocol.Air air, int age) {
        Optional<Warmth> warmth =
                spell(air.warmth(), age).map(w -> air.base().isPresent() ? Warmth.between(Warmth.COLDEST, w.to()) : w);
        Optional<Double> least = Weaning.isHumid(air.cover())
                ? Optional.empty()
                : PlaceFit.humidity(air.humidity()).map(PlaceFit.Range::from);
        return new AirWatch.Wanted(warmth, least);
    }

    private static Optional<Warmth> spell(List<Warmth> spells, int age) {
        int until = 0;
        for (Warmth spell : spells) {
            until += spell.weeks().map(w -> 7 * w).orElse(Integer.MAX_VALUE / 2);
            if (age < until) {
                return Optional.of(spell);
            }
        }
        return spells.isEmpty() ? Optional.empty() : Optional.of(spells.get(spells.size() - 1));
    }
}
