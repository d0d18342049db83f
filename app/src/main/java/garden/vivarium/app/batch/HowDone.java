package garden.vivarium.app.batch;

import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Protocol;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.util.Arrays;

/**
 * How a batch was done.
 *
 * @param protocol key of the protocol that it was stuck under; null in old records
 * @param protocolVersion its version then; null in old records
 * @param method the guide's name of the method
 * @param medium the name of the medium: the guide's, the nursery's own, or a mix by parts
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

    /** Whether it says that wounds dried, while the pieces were stuck on the day they were cut. */
    public boolean contradicts(Taking taking) {
        return Arrays.stream(treatment.split("; ?")).anyMatch(t -> t.startsWith("callus"))
                && taking.takenOn().equals(taking.stuckOn());
    }

    /** The way that it makes of a plant. */
    Way way(Grown plant) {
        return Way.of(plant, method, medium, treatment, Way.Own.of(protocol, protocolVersion));
    }
}
