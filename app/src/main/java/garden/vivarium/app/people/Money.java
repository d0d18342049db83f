package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.ForAWhile;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.text.NumberFormat;
import java.time.Duration;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sums of money in the nursery's currency. Templates call it as {@code @money}. */
@Component("money")
public class Money {

    private final NurseryRepository nurseries;
    private final CurrentNursery current;
    private final ForAWhile<UUID, Optional<Currency>> known = new ForAWhile<>(Duration.ofSeconds(20));

    Money(NurseryRepository nurseries, CurrentNursery current) {
        this.nurseries = nurseries;
        this.current = current;
    }

    /** "£11.60"; "11.60" where nobody has said which currency. */
    @Transactional(readOnly = true)
    public String of(double sum) {
        NumberFormat format = currency()
                .map(c -> {
                    NumberFormat with = NumberFormat.getCurrencyInstance(Locale.UK);
                    with.setCurrency(c);
                    with.setMinimumFractionDigits(Math.max(0, c.getDefaultFractionDigits()));
                    with.setMaximumFractionDigits(Math.max(0, c.getDefaultFractionDigits()));
                    return with;
                })
                .orElseGet(() -> {
                    NumberFormat plain = NumberFormat.getNumberInstance(Locale.UK);
                    plain.setMinimumFractionDigits(2);
                    plain.setMaximumFractionDigits(2);
                    return plain;
                });
        return format.format(sum);
    }

    /** The currency of the current nursery; empty where nobody has said. */
    @Transactional(readOnly = true)
    public Optional<Currency> currency() {
        return known.of(current.required(), id -> nurseries.findById(id).flatMap(Nursery::currency));
    }

    /**
     * Says in which currency prices are kept. Prices that stand already are not changed.
     *
     * @param code of three letters; null or empty for none
     * @throws InvalidField if there is no such currency
     */
    @Transactional
    public void keepIn(String code) {
        keepIn(current.required(), code);
    }

    void keepIn(UUID id, String code) {
        Currency currency = code == null || code.isBlank()
                ? null
                : currencies().stream()
                        .filter(c -> c.getCurrencyCode().equals(code))
                        .findFirst()
                        .orElseThrow(() -> new InvalidField("currency", Messages.text("Money.no.such.currency")));
        nurseries.findById(id).orElseThrow().keepsPricesIn(currency);
        known.forget(id);
    }

    /** All that some country pays with, by code. */
    public static List<Currency> currencies() {
        return Locale.getISOCountries(Locale.IsoCountryCode.PART1_ALPHA2).stream()
                .flatMap(land ->
                        Optional.ofNullable(Currency.getInstance(
                                        new Locale.Builder().setRegion(land).build()))
                                .stream())
                .distinct()
                .sorted(Comparator.comparing(Currency::getCurrencyCode))
                .toList();
    }
}
