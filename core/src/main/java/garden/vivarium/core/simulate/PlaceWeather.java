package garden.vivarium.core.simulate;

import garden.vivarium.core.measure.Night;
import java.time.LocalDateTime;
import java.util.Random;

/**
 * The air of a made-up place, minute by minute: day and night by the season, weather that lasts for days, a heater or a mat, a lid that is
 * lifted, a logger that falls silent. The same place and minute always give the same reading.
 *
 * @param seed of the weather; places of one seed have one weather
 * @param latitude degrees, north above 0
 * @param heatedTo °C below which the place is not let fall; absolute zero and below for an open one
 * @param glazed by how many °C full sun warms it, 0 in the open
 * @param humid per cent of humidity at night, 0 to 100
 */
public record PlaceWeather(long seed, double latitude, double heatedTo, double glazed, double humid) {

    /**
     * One reading.
     *
     * @param warmth °C
     * @param humidity per cent, 0 to 100
     * @param light of full sun, 0 to 1
     */
    public record Reading(double warmth, double humidity, double light) {}

    /** What the place has at a minute. */
    public Reading at(LocalDateTime minute) {
        double night = Night.hours(latitude, minute.toLocalDate());
        double hour = minute.getHour() + minute.getMinute() / 60.0;
        double dayLength = 24 - night;
        double sinceSunrise = hour - (12 - dayLength / 2);
        double sun = sinceSunrise > 0 && sinceSunrise < dayLength
                ? Math.sin(Math.PI * sinceSunrise / dayLength) * Math.min(1, dayLength / 16)
                : 0;
        double cloud = weather(minute, 0);
        double light = sun * (1 - 0.75 * cloud);
        double season = -Math.cos(2 * Math.PI * (minute.getDayOfYear() - 25) / 365) * Math.signum(latitude);
        double outside = 9 + 7 * season + 5 * (weather(minute, 1) - 0.5) + 3 * light - 2 * (sun == 0 ? 1 : 0);
        double inside = Math.max(heatedTo, outside + glazed * light) + 0.4 * (noise(minute) - 0.5);
        // Warm air in the sun is dry air.
        double humidity = humid - 30 * light + 8 * (weather(minute, 2) - 0.5) + 2 * (noise(minute) - 0.5);
        return new Reading(inside, Math.max(15, Math.min(100, humidity)), light);
    }

    /** Weather that changes from day to day, without a jump between. */
    private double weather(LocalDateTime minute, int sort) {
        long day = minute.toLocalDate().toEpochDay();
        double within = (minute.getHour() * 60 + minute.getMinute()) / 1440.0;
        double smooth = within * within * (3 - 2 * within);
        return (1 - smooth) * random(day, sort) + smooth * random(day + 1, sort);
    }

    private double random(long day, int sort) {
        return new Random(seed * 31 + day * 7 + sort).nextDouble();
    }

    private double noise(LocalDateTime minute) {
        return new Random(seed + minute.toLocalDate().toEpochDay() * 1440 + minute.getHour() * 60L + minute.getMinute())
                .nextDouble();
    }
}
