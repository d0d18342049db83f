package garden.vivarium.core.measure;

/**
 * Air by its warmth and humidity: what leaves lose water to. Saturation by the Magnus form 0.6108·exp(17.27T/(T + 237.3)) kPa
 * (Tetens), good to 0.1% between 0 and 50 °C.
 *
 * @param warmth °C, −40 to 60
 * @param humidity relative, 0 to 1
 */
public record Air(double warmth, double humidity) {

    private static final double A = 17.27;
    private static final double B = 237.3;
    private static final double E0 = 0.6108;

    public Air {
        if (!(warmth >= -40 && warmth <= 60) || !(humidity >= 0 && humidity <= 1)) {
            throw new IllegalArgumentException("air is -40 to 60 °C warm and 0 to 100 per cent humid");
        }
    }

    /** Vapour pressure at which air of a warmth is full, in kPa. */
    public static double saturation(double warmth) {
        return E0 * Math.exp(A * warmth / (warmth + B));
    }

    /** Vapour pressure deficit in kPa: saturation × (1 − humidity). */
    public double deficit() {
        return saturation(warmth) * (1 - humidity);
    }

    /** How it pulls at young plants. */
    public enum Pull {
        /** Leaves stay wet. */
        WET,
        RIGHT,
        /** Soft leaves hang. */
        DRY
    }

    /** How it pulls at young plants: right from 0.3 to 1.2 kPa. */
    public Pull pull() {
        double deficit = deficit();
        return deficit > 1.2 ? Pull.DRY : deficit < 0.3 ? Pull.WET : Pull.RIGHT;
    }

    /** The warmth at which it would be full, in °C: where water falls on leaves and covers. Not a number for air without any. */
    public double dewPoint() {
        double x = Math.log(saturation(warmth) * humidity / E0);
        return humidity == 0 ? Double.NaN : B * x / (A - x);
    }

    /** The dew point. */
    public Temperature dew() {
        return Temperature.ofCelsius(Math.round(10 * dewPoint()) / 10.0);
    }

    /**
     * Degree-days above a base: Σ max(0, T − base), a day each.
     *
     * @param dayMeans mean warmth of each day, °C
     */
    public static double thermalTime(double base, double... dayMeans) {
        double sum = 0;
        for (double mean : dayMeans) {
            sum += Math.max(0, mean - base);
        }
        return sum;
    }
}
