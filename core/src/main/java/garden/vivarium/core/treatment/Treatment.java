package garden.vivarium.core.treatment;

/** Something that is done to a piece. */
public sealed interface Treatment permits Hormone, Drying, Soak, Handling, OwnTreatment, UnreadTreatment {

    /** As it is stored: a name in capitals, and its figures in metric units. Read back by {@link Treatments#stored}. */
    String code();

    /** As a grower writes it, and as {@link TreatmentReader} reads it: "hormone 0.3%". */
    String written();
}
