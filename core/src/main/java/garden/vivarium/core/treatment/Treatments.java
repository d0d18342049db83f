package garden.vivarium.core.treatment;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.TimeSpan;
import garden.vivarium.core.measure.Unit;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * All that is done to a piece, each thing once, in one order, so that the same treatments are equal however they were written.
 *
 * @param all in the order of their words
 */
public record Treatments(List<Treatment> all) {

    /** Nothing. */
    public static final Treatments NONE = new Treatments(List.of());

    private static final String BETWEEN = "; ";

    public Treatments {
        all = all.stream()
                .distinct()
                .sorted(Comparator.comparing(Treatment::written).thenComparing(Treatment::code))
                .toList();
    }

    /** Reads what people write: "hormone 0,3 %; callus". */
    public static Treatments read(String written) {
        return new Treatments(TreatmentReader.read(written));
    }

    /** Reads each of several. */
    @JsonCreator
    public static Treatments read(Collection<String> written) {
        return new Treatments(
                written.stream().flatMap(w -> TreatmentReader.read(w).stream()).toList());
    }

    /** Reads what {@link #code} wrote; what is no code is of an earlier version and is read as people write. */
    public static Treatments stored(String code) {
        return new Treatments(Arrays.stream(code.split(";"))
                .map(String::strip)
                .filter(c -> !c.isEmpty())
                .flatMap(c -> part(c).map(Stream::of).orElseGet(() -> TreatmentReader.read(c).stream()))
                .toList());
    }

    private static Optional<Treatment> part(String code) {
        String[] words = code.split(" ", 2);
        String rest = words.length > 1 ? words[1] : "";
        return switch (words[0]) {
            case Hormone.NAME -> Optional.of(hormone(rest));
            case Drying.NAME -> Optional.of(new Drying(hours(rest)));
            case Soak.NAME -> Optional.of(new Soak(hours(rest)));
            case OwnTreatment.NAME -> Optional.of(new OwnTreatment(rest));
            case UnreadTreatment.NAME -> Optional.of(new UnreadTreatment(rest));
            default -> Handling.ofCode(code).map(Treatment.class::cast);
        };
    }

    private static Hormone hormone(String figures) {
        Optional<Concentration> strength = Optional.empty();
        Hormone.Form form = Hormone.Form.UNSAID;
        for (String figure : figures.split(" ")) {
            if (figure.matches("[\\d.]+")) {
                strength = Optional.of(new Concentration(Double.parseDouble(figure), Unit.PERCENT));
            } else if (!figure.isEmpty()) {
                form = Hormone.Form.valueOf(figure);
            }
        }
        return new Hormone(strength, form);
    }

    private static Optional<TimeSpan> hours(String figure) {
        return figure.isEmpty() ? Optional.empty() : Optional.of(TimeSpan.ofHours(Double.parseDouble(figure)));
    }

    /** As they are stored. */
    public String code() {
        return all.stream().map(Treatment::code).collect(Collectors.joining(BETWEEN));
    }

    /** As a grower writes them; empty for nothing. */
    public String written() {
        return all.stream().map(Treatment::written).collect(Collectors.joining(BETWEEN));
    }

    /** Each as a grower writes it. */
    @JsonValue
    public List<String> eachWritten() {
        return all.stream().map(Treatment::written).toList();
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    /** The hormone, where there is one that can be read. */
    public Optional<Hormone> hormone() {
        return all.stream()
                .filter(Hormone.class::isInstance)
                .map(Hormone.class::cast)
                .findFirst();
    }

    /** What cannot be read of them. */
    public List<UnreadTreatment> unread() {
        return all.stream()
                .filter(UnreadTreatment.class::isInstance)
                .map(UnreadTreatment.class::cast)
                .toList();
    }

    /**
     * How strong the hormone was in ppm: 0 where there was none for certain; empty where nobody said, or it cannot be read.
     */
    public Optional<Double> hormonePpm() {
        if (hormone().isPresent()) {
            return hormone().get().strength().map(Concentration::ppm);
        }
        return unread().isEmpty() ? Optional.of(0.0) : Optional.empty();
    }

    /** Whether wounds were dried first. */
    public boolean isDried() {
        return all.stream().anyMatch(Drying.class::isInstance);
    }

    /** Whether it is among them. */
    public boolean has(Treatment treatment) {
        return all.contains(treatment);
    }

    /** Those that are a hormone, or may be one. */
    public Treatments hormones() {
        return only(t -> t instanceof Hormone || t instanceof UnreadTreatment);
    }

    /** All that are no hormone. */
    public Treatments others() {
        return only(t -> !(t instanceof Hormone || t instanceof UnreadTreatment));
    }

    /** These and others. */
    public Treatments and(Treatments more) {
        return new Treatments(Stream.concat(all.stream(), more.all.stream()).toList());
    }

    /** These without some. */
    public Treatments without(Treatments some) {
        return only(t -> !some.has(t));
    }

    private Treatments only(Predicate<Treatment> which) {
        return new Treatments(all.stream().filter(which).toList());
    }
}
