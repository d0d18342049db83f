package garden.vivarium.app.guide;

import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Certainty;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.MilestoneSigns;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the guide says of a way or a batch: its protocol's figures or, failing one, what is usual for the method. */
@Component
public class GuideLookup {

    private final Guide guide;
    private final Protocols protocols;

    public GuideLookup(Guide guide, Protocols protocols) {
        this.guide = guide;
        this.protocols = protocols;
    }

    /** What the guide expects of a way. */
    public GuideFigures figures(Way way) {
        return own(way).or(() -> nearest(way))
                .map(p -> new GuideFigures(
                        p.figures().rate(),
                        p.firstSign().map(Protocol.Test::days),
                        p.ready().days(),
                        worth(way)))
                .orElseGet(() -> {
                    Method m = method(way.method());
                    return new GuideFigures(
                            m.rate(),
                            m.firstSign().map(Method.Told::days),
                            m.ready().days(),
                            worth(way));
                });
    }

    /** What the guide's figures of a way are worth, by how well they are known for the plant's kind. */
    public GuideFigures.Worth worth(Way way) {
        Certainty unknown = way.own().isPresent() ? Certainty.FAIRLY : Certainty.THIN;
        Optional<PlantKind> kind = way.own().isPresent() ? Optional.empty() : guide.kind(way.kind());
        Method.Stages stages = method(way.method()).stages();
        return new GuideFigures.Worth(
                kind.map(k -> k.rateKnown(way.method())).orElse(unknown).pieces(),
                kind.map(k -> k.daysKnown(way.method())).orElse(unknown).daysVariance(),
                stages.callus().pieces(),
                stages.settling().pieces());
    }

    /** All that the guide expects of a way in figures; empty where no protocol is near it. */
    public Optional<Protocol.Figures> allFigures(Way way) {
        return own(way).or(() -> nearest(way)).map(Protocol::figures);
    }

    /** The guide's protocol nearest to a way, as it is done with the plant's kind. */
    private Optional<Protocol> nearest(Way way) {
        return guide.nearest(way.method(), way.medium(), way.group()).map(p -> guide.fitted(p, way.grown()));
    }

    /** The nursery's own protocol that a way was done by. */
    private Optional<Protocol> own(Way way) {
        return way.own().flatMap(o -> protocols.version(o.protocol(), o.version()));
    }

    /** A protocol as it is done with a plant. */
    public Protocol fitted(Protocol protocol, Grown plant) {
        return guide.fitted(protocol, plant);
    }

    /** By what a batch's milestones are told: as its protocol says or, for old records, as is usual for the method. */
    public MilestoneSigns signs(String protocol, Integer version, String method) {
        Method m = method(method);
        return kept(protocol, version)
                .map(p -> new MilestoneSigns(
                        p.firstSign().map(Protocol.Test::sign), p.ready().sign()))
                .orElseGet(() -> m.signs());
    }

    /** The protocol that pieces were stuck under, in that version, or, where none was noted, the nearest to their way. */
    public Optional<Protocol> protocol(String protocol, Integer version, Way way) {
        return protocol != null ? kept(protocol, version) : guide.nearest(way.method(), way.medium(), way.group());
    }

    private Optional<Protocol> kept(String protocol, Integer version) {
        return protocol == null ? Optional.empty() : protocols.version(protocol, version == null ? 1 : version);
    }

    /** A method of the guide, which must be there. */
    public Method method(String name) {
        return guide.method(name)
                .orElseThrow(() -> new IllegalStateException("the guide no longer knows the method " + name));
    }
}
