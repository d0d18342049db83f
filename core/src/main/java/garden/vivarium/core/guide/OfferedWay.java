package garden.vivarium.core.guide;

/**
 * A protocol as the guide offers it for a plant.
 *
 * @param protocol the way
 * @param verdict usual or possible for the plant's kind; possible where the kind is not known
 * @param rank how far down the usual methods its method stands, 0 for the commonest
 * @param guess whether nothing is known of the kind, so that it is offered by group alone
 */
public record OfferedWay(Protocol protocol, Verdict verdict, int rank, boolean guess) {}
