package garden.vivarium.app.platform;

import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.TemperatureDifference;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.measure.Volume;
import garden.vivarium.core.measure.WrittenNumber;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Tells quantities in the units of whoever reads, and reads what they type in the same; templates call it as {@code @measures}.
 * Where nobody reads, as in files and in what is kept, units are metric.
 */
@Component("measures")
public class Measures {

    /** So close that what is shown and sent back unchanged is the same. */
    private static final int DECIMALS_TYPED = 3;

    /** Two numbers nearer than that are one. */
    static final double SAME = 1e-9;

    private final Messages messages;
    private final Supplier<UnitSystem> reader;

    /** In the units of the person signed in. */
    @Autowired
    public Measures(Messages messages, CurrentNursery current) {
        this(messages, () -> current.person().map(SignedIn::units).orElse(UnitSystem.METRIC));
    }

    /** In the units of a reader. */
    public Measures(Messages messages, Supplier<UnitSystem> reader) {
        this.messages = messages;
        this.reader = reader;
    }

    /** "18 °C", "3.1 in". */
    public String told(Quantity quantity) {
        return beside(number(quantity), quantity);
    }

    /** "18 to 22 °C"; one where both ends are the same. */
    public String told(Quantity.Between range) {
        return between("quantity.between", range.from(), range.to());
    }

    /** "18–22 °C", where there is little room. */
    public String span(Quantity.Between range) {
        return between("quantity.span", range.from(), range.to());
    }

    /** To two figures: "24 L". */
    public String told(Quantity.Roughly rough) {
        return beside(number(rough), rough.quantity());
    }

    /** A sentence with its figures in the reader's units. */
    public String told(Prose prose) {
        return prose.parts().stream().map(this::told).collect(Collectors.joining());
    }

    /** The same as it stands in a field of a form: so close that it comes back as the same. */
    public String typed(Prose prose) {
        return prose.parts().stream().map(this::typed).collect(Collectors.joining());
    }

    /** The same of one that is kept as it is written. */
    public String prose(String written) {
        return told(Prose.of(written));
    }

    private String typed(Prose.Part part) {
        if (part instanceof Prose.Measured m) {
            Unit unit = m.from().unit();
            String from = typed(m.from().in(unit), unit);
            String to = typed(m.to().in(unit), unit);
            String number = m.isOne() ? to : messages.say("quantity.between", "from", from, "to", to);
            return messages.say("quantity.told", "n", number, "unit", unit(unit));
        }
        return ((Prose.Words) part).words();
    }

    private String told(Prose.Part part) {
        return part instanceof Prose.Measured m
                ? between("quantity.between", m.from(), m.to())
                : ((Prose.Words) part).words();
    }

    /** With the unit's name in full: "24 litres", "1 litre"; as short as ever where it has none. */
    String inFull(Quantity quantity, String number) {
        Quantity.Figure figure = figure(quantity);
        String key = "Unit." + figure.unit() + ".full";
        return messages.has(key) ? messages.say(key, "n", number, "count", figure.number()) : beside(number, quantity);
    }

    /** The number alone. */
    String number(Quantity quantity) {
        Quantity.Figure figure = figure(quantity);
        return number(figure.number(), figure.decimals());
    }

    /** The number alone, to two figures. */
    String number(Quantity.Roughly rough) {
        return number(
                new BigDecimal(figure(rough.quantity()).number())
                        .round(new MathContext(2, RoundingMode.HALF_UP))
                        .doubleValue(),
                DECIMALS_TYPED);
    }

    private String between(String key, Quantity first, Quantity last) {
        String from = number(first);
        String to = number(last);
        return from.equals(to) ? told(last) : messages.say(key, "from", from, "to", told(last));
    }

    private String beside(String number, Quantity quantity) {
        return messages.say(
                "quantity.told", "n", number, "unit", name(figure(quantity).unit()));
    }

    private Quantity.Figure figure(Quantity quantity) {
        return quantity.in(reader.get());
    }

    /** So many litres. */
    public String litres(double litres) {
        return told(Volume.ofLitres(litres));
    }

    /** So many cm. */
    public String centimetres(double centimetres) {
        return told(Length.ofCentimetres(centimetres));
    }

    /** So many mm. */
    public String millimetres(double millimetres) {
        return told(Length.ofMillimetres(millimetres));
    }

    /** So many °C. */
    public String celsius(double celsius) {
        return told(Temperature.ofCelsius(celsius));
    }

    /** So many °C warmer or colder. */
    public String kelvin(double kelvin) {
        return told(TemperatureDifference.ofKelvin(kelvin));
    }

    /** The number alone, as it is drawn. */
    public double shown(Quantity quantity) {
        return figure(quantity).number();
    }

    /** What the reader's unit is called that stands for a metric one: "cm" or "in". */
    public String unit(Unit metric) {
        return name(reader.get().of(metric));
    }

    private String name(Unit unit) {
        return messages.say("Unit." + unit);
    }

    /** So many of a metric unit as they stand in a field of a form, in the reader's unit; empty for none. */
    public String typed(Number metric, Unit unit) {
        if (metric == null) {
            return "";
        }
        double told = converted(metric.doubleValue(), unit, reader.get().of(unit));
        BigDecimal number = new BigDecimal(told).setScale(DECIMALS_TYPED, RoundingMode.HALF_UP);
        // No more figures than it takes to come back as the same.
        for (int decimals = 0; decimals < DECIMALS_TYPED; decimals++) {
            BigDecimal shorter = number.setScale(decimals, RoundingMode.HALF_UP);
            if (Math.abs(metric(shorter.doubleValue(), unit) - metric.doubleValue()) < SAME) {
                return plain(shorter);
            }
        }
        return plain(number);
    }

    private static String plain(BigDecimal number) {
        return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
    }

    /** So many of one metric unit as they stand in a field that is typed in another. */
    public String typed(Number metric, Unit from, Unit unit) {
        return metric == null ? "" : typed(converted(metric.doubleValue(), from, unit), unit);
    }

    /** What a reader typed in their own unit, in the metric one; empty where nothing was typed or it is no number. */
    public Optional<Double> read(String typed, Unit unit) {
        return typed == null
                ? Optional.empty()
                : WrittenNumber.read(typed, true).map(n -> metric(n, unit));
    }

    /**
     * What a reader typed in their own unit, in the metric one.
     *
     * @throws InvalidField if it is no number or not within the bounds, which are metric
     */
    public double within(String field, String typed, Unit unit, double least, double most) {
        return read(typed, unit)
                .filter(n -> n >= least - SAME && n <= most + SAME)
                .orElseThrow(() -> new InvalidField(field, bounds(unit, least, most)));
    }

    /** That a number is from one to another of a metric unit, in the reader's own. */
    String bounds(Unit unit, double least, double most) {
        return messages.say(
                "InUnit.bounds", "least", typed(least, unit), "most", typed(most, unit), "unit", unit(unit));
    }

    /** The units of whoever reads. */
    public UnitSystem units() {
        return reader.get();
    }

    /** So many of the reader's unit in the metric one for which it stands. */
    public double metric(double typed, Unit unit) {
        return metric(typed, unit, reader.get());
    }

    /** So many of a system's unit in the metric one for which it stands, as closely as anybody measures. */
    public static double metric(double typed, Unit unit, UnitSystem units) {
        if (units.of(unit) == unit) {
            return typed;
        }
        double metric = converted(typed, units.of(unit), unit);
        return new BigDecimal(metric)
                .setScale(unit == Unit.LITRE ? 2 : 1, RoundingMode.HALF_UP)
                .doubleValue();
    }

    private static double converted(double number, Unit from, Unit to) {
        return from == to ? number : to.in(from.of(number));
    }

    private static String number(double number, int decimals) {
        DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(Locale.ROOT);
        symbols.setMinusSign('−');
        DecimalFormat format = new DecimalFormat("#,##0", symbols);
        format.setMaximumFractionDigits(decimals);
        format.setRoundingMode(RoundingMode.HALF_UP);
        return format.format(number == 0 ? 0 : number);
    }
}
