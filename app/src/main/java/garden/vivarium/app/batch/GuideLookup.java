package garden.vivarium.app.batch;

import garden.vivarium.app.guide.Protocols;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.timing.LookKind;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** What the guide says of a way or a batch: its protocol's figures or, failing one, what is usual for the method. */
@Component
class GuideLookup {

    private static final Pattern OWN = Pattern.compile("as (\\S+) version (\\d+)");

    private final Guide guide;
    private final Protocols protocols;

    GuideLookup(Guide guide, Protocols protocols) {
        this.guide = guide;
        this.protocols = protocols;
    }

    GuideFigures figures(Way way) {
        return own(way).or(() -> guide.nearest(way.method(), way.medium(), way.group()))
                .map(p -> new GuideFigures(
                        p.rate(),
                        p.firstSign().map(Protocol.Test::days),
                        p.ready().days()))
                .orElseGet(() -> {
                    Method m = method(way.method());
                    return new GuideFigures(m.rate(), m.firstSignDays(), m.readyDays());
                });
    }

    /** The nursery's own protocol that a way was done by. */
    private Optional<Protocol> own(Way way) {
        Matcher marked = OWN.matcher(way.treatment());
        return marked.find()
                ? protocols.version(Protocol.OWN + marked.group(1), Integer.parseInt(marked.group(2)))
                : Optional.empty();
    }

    /** By what a batch's milestones are told: as its protocol says or, for old records, as is usual for the method. */
    MilestoneSigns signs(String protocol, Integer version, String method) {
        Method m = method(method);
        return kept(protocol, version)
                .map(p -> new MilestoneSigns(
                        p.firstSign().map(Protocol.Test::sign), p.ready().sign()))
                .orElseGet(() -> new MilestoneSigns(m.firstSign(), m.ready()));
    }

    MilestoneSigns signs(BatchView batch) {
        return signs(batch.protocol(), batch.protocolVersion(), batch.method());
    }

    /** The protocol that a batch was stuck under, in that version, or, for old records, the nearest to its way. */
    Optional<Protocol> protocol(BatchView batch) {
        return batch.protocol() != null
                ? kept(batch.protocol(), batch.protocolVersion())
                : guide.nearest(batch.method(), batch.medium(), batch.group());
    }

    private Optional<Protocol> kept(String protocol, Integer version) {
        return protocol == null ? Optional.empty() : protocols.version(protocol, version == null ? 1 : version);
    }

    /** How such a batch is usually looked at. */
    LookKind usualLook(BatchView batch) {
        return protocol(batch).map(p -> p.looks().kind()).orElse(LookKind.LIFTED);
    }

    Method method(String name) {
        return guide.method(name)
                .orElseThrow(() -> new IllegalStateException("the guide no longer knows the method " + name));
    }
}
