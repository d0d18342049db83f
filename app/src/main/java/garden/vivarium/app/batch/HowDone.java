package garden.vivarium.app.batch;

import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Protocol;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;

/**
 * How a batch was done.
 *
 * @param protocol key of the protocol that it was stuck under; null in old records
 * @param protocolVersion its version then; null in old records
 * @param method the guide's name of the method
 * @param medium the guide's name of the medium
 * @param treatment what was done to the pieces, in the form of {@link Way#treatment(String)}; empty for nothing
 * @param deviation what was done otherwise than the protocol says, in words; null for nothing
 */
@Embeddable
public record HowDone(
        String protocol,
        Integer protocolVersion,
        String method,
        String medium,
        String treatment,
        @Column(name = "instead") String deviation) {

    public HowDone {
        treatment = Way.treatment(treatment);
    }

    /** As a protocol says. */
    static HowDone as(Protocol protocol) {
        return new HowDone(
                protocol.key(),
                protocol.version(),
                protocol.method(),
                protocol.medium(),
                String.join(";", protocol.technique().treatment()),
                null);
    }

    /** The same with another treatment. */
    HowDone treated(String how, String deviation) {
        return new HowDone(protocol, protocolVersion, method, medium, how, deviation);
    }

    /** The way that it makes of a plant. */
    Way way(Grown plant) {
        return Way.of(plant, method, medium, treatment, Way.Own.of(protocol, protocolVersion));
    }
}
