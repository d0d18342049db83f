package garden.vivarium.core.measure;

import java.time.LocalDate;

/**
 * How long the night is, from the sun's declination 0.409·sin(2πJ/365 − 1.39) and the sun's upper edge on the horizon, at −0.8333°.
 * Good to a few minutes outside the polar circles.
 */
public final class Night {

    private static final double HORIZON = Math.toRadians(-0.8333);

    private Night() {}

    /**
     * Hours of night.
     *
     * @param latitude degrees, −90 to 90, north above 0
     * @param dayOfYear 1 to 366
     * @return 0 to 24
     */
    public static double hours(double latitude, int dayOfYear) {
        if (!(Math.abs(latitude) <= 90) || dayOfYear < 1 || dayOfYear > 366) {
            throw new IllegalArgumentException("a latitude is -90 to 90, a day of the year 1 to 366");
        }
        double declination = declination(dayOfYear);
        double at = Math.toRadians(latitude);
        double cosine =
                (Math.sin(HORIZON) - Math.sin(at) * Math.sin(declination)) / (Math.cos(at) * Math.cos(declination));
        if (cosine <= -1) {
            return 0;
        }
        return cosine >= 1 ? 24 : 24 - Math.toDegrees(Math.acos(cosine)) * 2 / 15;
    }

    private static double declination(int dayOfYear) {
        return 0.409 * Math.sin(2 * Math.PI * dayOfYear / 365 - 1.39);
    }

    /**
     * How high the sun stands at noon: 90° less how far the latitude is from the declination.
     *
     * @param latitude degrees, −90 to 90, north above 0
     * @return degrees above the horizon; below 0 where it does not rise
     */
    public static double noonHeight(double latitude, LocalDate day) {
        if (!(Math.abs(latitude) <= 90)) {
            throw new IllegalArgumentException("a latitude is -90 to 90");
        }
        return 90 - Math.abs(latitude - Math.toDegrees(declination(day.getDayOfYear())));
    }

    /** Hours of night on a day. */
    public static double hours(double latitude, LocalDate day) {
        return hours(latitude, day.getDayOfYear());
    }
}
