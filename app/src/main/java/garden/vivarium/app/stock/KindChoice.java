package garden.vivarium.app.stock;

import garden.vivarium.core.guide.PlantKind;

/**
 * A kind that a typed name may mean, as it is offered to choose.
 *
 * @param key its key
 * @param title its name
 * @param latin its first botanical name
 * @param piecewise whether it is raised by pieces
 */
public record KindChoice(String key, String title, String latin, boolean piecewise) {

    /** A kind, to be chosen. */
    public static KindChoice of(PlantKind kind) {
        return new KindChoice(kind.key(), kind.title(), kind.names().latin().get(0), kind.isRaisedByPieces());
    }
}
