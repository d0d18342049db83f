package garden.vivarium.core.measure;

/**
 * A round pot, wider above than below.
 *
 * @param top radius of its mouth in cm
 * @param bottom radius of its base in cm, above 0
 * @param height in cm, above 0
 */
public record Pot(double top, double bottom, double height) implements Container {

    /** A fill sinks by this factor as it is watered in, unless the recipe says otherwise. */
    public static final double SETTLING = 1.12;

    /** Room left for water, in cm. */
    private static final double HEADSPACE = 1;

    public Pot {
        if (!(top > 0) || !(bottom > 0) || !(height > 0)) {
            throw new IllegalArgumentException("a pot has a mouth, a base and a height above 0 cm");
        }
    }

    /** The usual shape of a pot of a size: nine tenths as high as wide, its base seven tenths of its mouth. */
    public static Pot across(double cm) {
        return new Pot(cm / 2, 0.711 * cm / 2, 0.889 * cm);
    }

    /** What it holds to the brim, in litres: the frustum πh(R² + Rr + r²)/3. */
    @Override
    public double litres() {
        return frustum(top, bottom, height);
    }

    /** What fills it, in litres of loose mix: less the headspace, and more for settling. */
    public double fill() {
        double filled = Math.max(0.5, height - HEADSPACE);
        double surface = bottom + (top - bottom) * filled / height;
        return SETTLING * frustum(surface, bottom, filled);
    }

    @Override
    public double upTo(double headspaceCm) {
        double filled = Math.max(0, height - headspaceCm);
        return frustum(bottom + (top - bottom) * filled / height, bottom, filled);
    }

    @Override
    public double mouth() {
        return Math.PI * top * top;
    }

    private static double frustum(double above, double below, double high) {
        return Math.PI * high * (above * above + above * below + below * below) / 3 / 1000;
    }
}
