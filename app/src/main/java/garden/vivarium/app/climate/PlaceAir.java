package garden.vivarium.app.climate;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Air;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.watch.AirWatch;
import garden.vivarium.core.watch.LightWatch;
import garden.vivarium.core.watch.Nights;
import garden.vivarium.core.watch.PlaceFit;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The air of a place over some days.
 *
 * @param byDay whether its hours are days, each at its noon
 * @param hours the oldest first
 * @param last the last reading; empty where none was ever kept
 * @param wants each batch there with what it wants and what it got
 * @param alarm why somebody should go there now
 * @param nights what is to be said of the nights of plants there
 */
record PlaceAir(
        PlaceView place,
        Instant from,
        boolean byDay,
        List<HourView> hours,
        Optional<Reading> last,
        List<Wants> wants,
        Optional<AirWatch.Now> alarm,
        List<Night> nights,
        Optional<Lit> light) {

    /** Below this a lower end stands for none, in °C. */
    private static final double ON_A_MAT = -19;

    /**
     * How bright a place is.
     *
     * @param noon share of full sun at the brightest hour of a day, in the mean
     * @param light as protocols say it
     */
    record Lit(double noon, PlaceFit.Light light) {

        /** How bright, as a sentence begins with it. */
        public Sentence.Cased title() {
            return Sentence.Cased.upper(light);
        }
    }

    /** The light that a batch wants, in words, and what hours were not so. */
    record Lighted(String wants, LightWatch.Tally tally) {

        /** Nothing in particular is wanted. */
        static final Lighted AS_IT_COMES = new Lighted("", LightWatch.Tally.NONE);
    }

    /**
     * A plant here that answers to nights.
     *
     * @param critical hours of night from which on
     * @param rest whether it goes to rest then, rather than to bud
     */
    record NightOf(String plant, double critical, boolean rest, Nights.Stands stands) {}

    /** The lowest of its hours in °C; 0 where there is none. */
    public double coldest() {
        return Math.round(
                        10 * hours.stream().mapToDouble(HourView::coldest).min().orElse(0))
                / 10.0;
    }

    /** The last °C that was read, to a tenth. */
    public double warmthNow() {
        return last.map(r -> Math.round(10 * r.warmth()) / 10.0).orElse(0.0);
    }

    /** The last humidity that was read, in a hundred; null where none was. */
    public Double humidityNow() {
        return last.map(Reading::humidity).orElse(null);
    }

    /** What is alarmed; null for nothing. */
    public AirWatch.Alarm alarmed() {
        return alarm.map(AirWatch.Now::alarm).orElse(null);
    }

    /** For how many hours on end it was as is alarmed; 0 for no alarm. */
    public int alarmHours() {
        return alarm.map(AirWatch.Now::hours).orElse(0);
    }

    /** From the lowest to the highest of its hours. */
    public Quantity.Between range() {
        return new Quantity.Between(Temperature.ofCelsius(coldest()), Temperature.ofCelsius(warmest()));
    }

    /** What the last reading tells beside its figures: dew point in °C and deficit in kPa; empty where no humidity was read. */
    public Optional<Air> now() {
        return last.filter(r -> r.humidity() != null && r.humidity() > 0)
                .map(r -> new Air(Math.max(-40, Math.min(60, r.warmth())), r.humidity() / 100));
    }

    /** The highest of its hours in °C; 0 where there is none. */
    public double warmest() {
        return Math.round(
                        10 * hours.stream().mapToDouble(HourView::warmest).max().orElse(0))
                / 10.0;
    }

    /**
     * A batch there.
     *
     * @param wanted what its protocol wants
     * @param tally hours that were not so
     * @param degreeDays over 10 °C since it was stuck, on days that were measured
     * @param days how many days those were
     * @param of of how many since it was stuck
     * @param better another place that suited it more, and how many of its hours were wrong; empty where this one does
     * @param light what it wants, and what was not so
     */
    record Wants(
            BatchView batch,
            AirWatch.Wanted wanted,
            AirWatch.Tally tally,
            double degreeDays,
            int days,
            long of,
            Optional<Better> better,
            Lighted light) {

        /** How warm it wants it. */
        public Quantity.Between warmth() {
            return wanted.warmth().orElseThrow().range();
        }

        /** Whether it wants to stand on a mat in the cold, so that only the upper end is said. */
        public boolean isOnAMat() {
            return wanted.warmth().filter(w -> w.from() < ON_A_MAT).isPresent();
        }

        /** How humid it wants it at least, in a hundred; 0 for as it comes. */
        public double leastHumid() {
            return wanted.least().orElse(0.0);
        }

        /** Where it would have stood better; empty for nowhere. */
        public String betterPlace() {
            return better.map(Better::place).orElse("");
        }

        /** For how many hours the air was wrong there. */
        public int wrongThere() {
            return better.map(Better::wrong).orElse(0);
        }

        /** Hours that were too cold, too hot or too dry. */
        public int wrong() {
            return tally.cold() + tally.hot() + tally.dry();
        }
    }

    /** Another place, and how many of its hours would have been wrong. */
    record Better(String place, int wrong) {}

    /** What is said of a plant's nights. */
    record Night(String code, String plant, Statement said) {}
}
