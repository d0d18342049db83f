package garden.vivarium.app.batch;

import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.timing.LookKind;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the guide says of a way: the nearest protocol's figures or, failing one, what is usual for the method. */
@Component
class GuideLookup {

    private final Guide guide;

    GuideLookup(Guide guide) {
        this.guide = guide;
    }

    GuideFigures figures(Way way) {
        return guide.nearest(way.method(), way.medium(), way.group())
                .map(p -> new GuideFigures(
                        p.rate(),
                        p.firstSign().map(Protocol.Test::days),
                        p.ready().days()))
                .orElseGet(() -> {
                    Method m = method(way.method());
                    return new GuideFigures(m.rate(), m.firstSignDays(), m.readyDays());
                });
    }

    MilestoneSigns signs(String method) {
        Method m = method(method);
        return new MilestoneSigns(m.firstSign(), m.ready());
    }

    /** The protocol that a batch was stuck under or, for old records, the nearest to its way. */
    Optional<Protocol> protocol(BatchView batch) {
        return batch.protocol() != null
                ? guide.protocol(batch.protocol())
                : guide.nearest(batch.method(), batch.medium(), batch.group());
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
