package garden.vivarium.app.batch;

import garden.vivarium.app.platform.StoredTreatments;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Embeddable;
import java.util.UUID;

/**
 * How a batch was done.
 *
 * @param protocol key of the protocol that it was stuck under; null in old records
 * @param protocolVersion its version then; null in old records
 * @param method the guide's name of the method
 * @param medium the name of the medium: the guide's, the nursery's own, or a mix by parts
 * @param treatment what was done to the pieces
 * @param deviation what was done otherwise than the protocol says, in words; null for nothing
 * @param trialId the trial in whose trays it stands; null for none
 */
@Embeddable
public record HowDone(
        String protocol,
        Integer protocolVersion,
        String method,
        String medium,
        @Convert(converter = StoredTreatments.class) Treatments treatment,
        @Column(name = "instead") String deviation,
        UUID trialId) {

    public HowDone {
        treatment = treatment == null ? Treatments.NONE : treatment;
    }

    /** As a protocol says. */
    static HowDone as(Protocol protocol) {
        return new HowDone(
                protocol.key(),
                protocol.version(),
                protocol.method(),
                protocol.medium(),
                protocol.technique().treatment(),
                null,
                null);
    }

    /** The same with another treatment. */
    HowDone treated(Treatments how, String deviation) {
        return new HowDone(protocol, protocolVersion, method, medium, how, deviation, trialId);
    }

    /** The same in the trays of a trial. */
    HowDone inTrial(UUID trial, String deviation) {
        return new HowDone(protocol, protocolVersion, method, medium, treatment, deviation, trial);
    }

    /** Whether it says that wounds dried, while the pieces were stuck on the day they were cut. */
    public boolean contradicts(Taking taking) {
        return treatment.isDried() && taking.takenOn().equals(taking.stuckOn());
    }

    /** The way that it makes of a plant. */
    Way way(Grown plant) {
        return Way.of(plant, method, medium, treatment, Way.Own.of(protocol, protocolVersion))
                .inTrial(trialId != null);
    }
}
