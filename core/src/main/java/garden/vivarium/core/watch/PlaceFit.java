package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.plan.Weaning;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Whether a place has the warmth, air and light that a protocol wants. Only what is far off is said: ranges that do not meet at all. */
public final class PlaceFit {

    private static final Pattern PERCENT = Pattern.compile("(\\d{1,3})(?: to (\\d{1,3}))?%( and up)?");
    /** Humidity said as one figure is meant within so many percent. */
    private static final int ABOUT = 10;

    private PlaceFit() {}

    /** How bright a place is, from dark to full sun. */
    public enum Light {
        DARK(0, 0.02),
        SHADE(0.03, 0.2),
        BRIGHT_SHADE(0.08, 0.4),
        BRIGHT(0.2, 0.7),
        SUN(0.35, 1);
        private final Range share;

        Light(double from, double to) {
            this.share = new Range(from, to);
        }

        /**
         * Between which shares of full sun the brightest hour of a day lies there. Round figures of this project's own; they overlap, since
         * a winter's day is dull everywhere.
         */
        public Range share() {
            return share;
        }

        /** What a protocol's words want; empty where they want nothing in particular, or one after another. */
        public static Optional<Light> wanted(String words) {
            return switch (words) {
                case "none", "dark" -> Optional.of(DARK);
                case "shade", "shade first", "shade for a month" -> Optional.of(SHADE);
                case "bright shade", "bright shade first" -> Optional.of(BRIGHT_SHADE);
                case "sun", "open" -> Optional.of(SUN);
                default -> words.startsWith("bright") ? Optional.of(BRIGHT) : Optional.empty();
            };
        }
    }

    /**
     * What a place has.
     *
     * @param warmth lowest and highest in °C; empty where nobody measured
     * @param humidity lowest and highest in per cent; empty where nobody measured
     * @param light empty where nobody said
     */
    public record Air(Optional<Warmth> warmth, Optional<Range> humidity, Optional<Light> light) {}

    /** From, to, both included. */
    public record Range(double from, double to) {

        public Range {
            if (!(from <= to)) {
                throw new IllegalArgumentException("a range goes up, not from %s to %s".formatted(from, to));
            }
        }
    }

    /** What does not fit. */
    public enum Finding implements Rule {
        /** It has {@code wanted}; the place has {@code has} at the most. */
        TOO_COLD,
        /** The place has {@code has} at the least. */
        TOO_WARM,
        /** It wants {@code from} per cent; the place has {@code has} at the most. */
        TOO_DRY,
        /** It wants no more than {@code to} per cent. */
        TOO_HUMID,
        /** It wants {@code wants}; the place is {@code is}. */
        TOO_DARK,
        TOO_BRIGHT
    }

    /** What does not fit, the weightiest first; nothing where nothing is known. */
    public static List<Statement> of(Air place, Protocol.Air wanted) {
        List<Statement> found = new ArrayList<>();
        if (place.warmth().isPresent() && !wanted.warmth().isEmpty()) {
            double from =
                    wanted.warmth().stream().mapToDouble(Warmth::from).min().orElseThrow();
            double to = wanted.warmth().stream().mapToDouble(Warmth::to).max().orElseThrow();
            Warmth has = place.warmth().get();
            if (has.to() < from && wanted.base().isEmpty()) {
                found.add(Statement.of(
                        Finding.TOO_COLD, "wanted", range(from, to), "has", Temperature.ofCelsius(has.to())));
            } else if (has.from() > to) {
                found.add(Statement.of(
                        Finding.TOO_WARM, "wanted", range(from, to), "has", Temperature.ofCelsius(has.from())));
            }
        }
        // Under a lid or in a bag the air is the vessel's own.
        if (place.humidity().isPresent() && !Weaning.isHumid(wanted.cover())) {
            humidity(wanted.humidity()).ifPresent(w -> {
                Range has = place.humidity().get();
                if (has.to() < w.from()) {
                    found.add(Statement.of(Finding.TOO_DRY, "from", w.from(), "has", has.to()));
                } else if (has.from() > w.to()) {
                    found.add(Statement.of(Finding.TOO_HUMID, "to", w.to(), "has", has.from()));
                }
            });
        }
        Optional<Light> wants = Light.wanted(wanted.light());
        if (place.light().isPresent() && wants.isPresent()) {
            int off = place.light().get().ordinal() - wants.get().ordinal();
            if (Math.abs(off) > 1) {
                found.add(Statement.of(
                        off < 0 ? Finding.TOO_DARK : Finding.TOO_BRIGHT,
                        "wants",
                        wants.get(),
                        "is",
                        place.light().get()));
            }
        }
        return found;
    }

    private static Quantity.Between range(double from, double to) {
        return new Quantity.Between(Temperature.ofCelsius(from), Temperature.ofCelsius(to));
    }

    /** Humidity as a protocol has it in words; empty where it is said of no figure. */
    public static Optional<Range> humidity(String words) {
        Matcher m = PERCENT.matcher(words);
        if (!m.find()) {
            return Optional.empty();
        }
        double from = Double.parseDouble(m.group(1));
        if (m.group(3) != null) {
            return Optional.of(new Range(from, 100));
        }
        return Optional.of(
                m.group(2) == null
                        ? new Range(from - ABOUT, Math.min(100, from + ABOUT))
                        : new Range(from, Double.parseDouble(m.group(2))));
    }
}
