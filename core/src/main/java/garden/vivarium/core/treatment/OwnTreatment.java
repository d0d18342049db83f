package garden.vivarium.core.treatment;

/**
 * A treatment under a name of the nursery's own, as "wood ash".
 *
 * @param written its name, without semicolons, in lower case
 */
public record OwnTreatment(String written) implements Treatment {

    static final String NAME = "OWN";

    @Override
    public String code() {
        return NAME + " " + written;
    }
}
