package garden.vivarium.core.evidence;

import garden.vivarium.core.Grown;
import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.treatment.Treatments;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is compared: how pieces of a plant are made and kept.
 *
 * @param plant the plant's name
 * @param kind key of its kind; empty where that is not known
 * @param group key of its plant group
 * @param method the guide's name of the method
 * @param medium the guide's name of the medium
 * @param treatment what is done to the pieces
 * @param own the version of a protocol of the nursery's own by which it is done, so that versions can be compared
 * @param isOfTrial whether several ways stand in its trays: it is none to be set beside others, and is read by its trial
 */
public record Way(
        String plant,
        String kind,
        String group,
        String method,
        String medium,
        Treatments treatment,
        Optional<Own> own,
        boolean isOfTrial) {

    /** Media of the guide that pieces do not stand in. */
    private static final Set<String> BESIDE =
            Set.of("laid on the surface", "open ground", "open vessel over water with moss");

    /** A way of a plant. */
    public static Way of(Grown plant, String method, String medium, Treatments treatment, Optional<Own> own) {
        return new Way(plant.plant(), plant.kind(), plant.group(), method, medium, treatment, own, false);
    }

    /** The same in trays in which several ways stand beside each other. */
    public Way inTrial(boolean trial) {
        return new Way(plant, kind, group, method, medium, treatment, own, trial);
    }

    /** The plant. */
    public Grown grown() {
        return new Grown(plant, kind, group);
    }

    /** Of a plant whose kind the guide does not know, by no protocol of the nursery's own. */
    public Way(String plant, String group, String method, String medium, String treatment) {
        this(plant, "", group, method, medium, Treatments.read(treatment), Optional.empty(), false);
    }

    /**
     * A version of a protocol of the nursery's own.
     *
     * @param protocol its key
     * @param version its version, 1 and up
     */
    public record Own(String protocol, int version) {

        /** The version of a protocol, where that is the nursery's own; empty for any other, and for none. */
        public static Optional<Own> of(String protocol, Integer version) {
            return ProtocolKey.isOwn(protocol)
                    ? Optional.of(new Own(protocol, version == null ? 1 : version))
                    : Optional.empty();
        }
    }

    /** Whether pieces stand in the medium; else they lie on it, or it is a place, as open ground. */
    public boolean isIn() {
        return !BESIDE.contains(medium);
    }

    /** The treatment as it is written in files and read back, with the version of an own protocol; empty for nothing. */
    public String treatmentWritten() {
        return Stream.concat(
                        own.stream()
                                .map(o -> "as %s version %d".formatted(ProtocolKey.name(o.protocol()), o.version())),
                        treatment.eachWritten().stream())
                .collect(Collectors.joining("; "));
    }

    /** Without its plant, as it is written in files, whatever language is read: "tip cutting in water, hormone 0.3%". */
    public String written() {
        String treated = treatmentWritten();
        return method + (isIn() ? " in " : ", ") + medium + (treated.isEmpty() ? "" : ", " + treated);
    }
}
