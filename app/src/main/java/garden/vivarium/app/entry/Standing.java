package garden.vivarium.app.entry;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Guess;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.Material;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.KindsCalled;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.StockNames;
import garden.vivarium.core.naming.NameReading;
import garden.vivarium.core.naming.NameWords;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.treatment.Treatments;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** Writes down what stands already: a batch of the past with what is seen of it today. */
@Service
class Standing {

    /** So many are named in a question. */
    private static final int MOST_OFFERED = 5;

    private final OldBatches batches;
    private final OwnWays own;
    private final Protocols protocols;
    private final Stock stock;
    private final Guide guide;
    private final KindsCalled kinds;
    private final Today today;

    Standing(
            OldBatches batches,
            OwnWays own,
            Protocols protocols,
            Stock stock,
            Guide guide,
            KindsCalled kinds,
            Today today) {
        this.batches = batches;
        this.own = own;
        this.protocols = protocols;
        this.stock = stock;
        this.guide = guide;
        this.kinds = kinds;
        this.today = today;
    }

    /**
     * Writes one down. Its plant and place are made if they are new; of what it should have done nobody foretold more than the
     * guide says.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    @Transactional
    BatchView write(StandsForm form) {
        AboutDay when = AboutDay.read(form.when(), today.date())
                .orElseThrow(
                        () -> new InvalidField("when", Messages.text("Standing.no.such.day", "typed", form.when())));
        if ((form.rooted() == null ? 0 : form.rooted()) + form.lostOrNone() > form.pieces()) {
            throw new InvalidField("rooted", Messages.text("Standing.more.than.stuck", "pieces", form.pieces()));
        }
        Optional<StockPlantView> from = stock.named(form.plant().strip());
        PlantView plant = from.map(StockPlantView::plant).orElseGet(() -> plant(form));
        Optional<String> said = known(form.medium()).map(m -> own.medium("medium", m, form.isOwnMedium()));
        Optional<Protocol> protocol = protocol(form, said, plant);
        String method = protocol.map(Protocol::method).orElseGet(() -> method(form, plant));
        String medium = said.or(() -> protocol.map(Protocol::medium))
                .orElseThrow(() -> new InvalidField("medium", Messages.text("Standing.say.medium")));
        protocol.ifPresent(protocols::keep);
        NewBatch wanted = new NewBatch(
                plant,
                new Origin(null, from.map(StockPlantView::id).orElse(null), null, null),
                stock.placeNamed(form.place().strip(), Climate.HEATED).id(),
                new HowDone(
                        protocol.map(Protocol::key).orElse(null),
                        protocol.map(Protocol::version).orElse(null),
                        method,
                        medium,
                        Treatments.NONE,
                        null,
                        null),
                new Taking(when.middle(), form.pieces(), when.middle(), form.pieces(), when.giveOrTake()),
                Vessel.loose(null),
                Material.UNKNOWN,
                Guess.NONE);
        return batches.make(wanted, looks(form, when, protocol, medium), false);
    }

    private List<LookCommand> looks(StandsForm form, AboutDay when, Optional<Protocol> protocol, String medium) {
        int rooted = form.rooted() == null ? 0 : form.rooted();
        if (!form.wasLookedAt()) {
            return List.of();
        }
        if (!when.middle().isBefore(today.date())) {
            if (rooted + form.lostOrNone() > 0) {
                throw new InvalidField("rooted", Messages.text("Standing.nothing.on.day.0"));
            }
            return List.of();
        }
        LookKind usual = protocol.map(p -> p.course().looks().kind())
                .orElse(LookKind.LIFTED)
                .in(medium);
        return List.of(LookCommand.ofCounts(
                UUID.randomUUID(),
                today.date(),
                rooted == 0 ? usual : LookKind.LIFTED,
                new LookCommand.Counted(null, rooted, form.lostOrNone(), 0, null),
                null,
                null));
    }

    /** The plant of the name, the only one that has it in its name, or a new one. */
    private PlantView plant(StandsForm form) {
        String typed = form.plant().strip();
        List<PlantView> all = stock.plants();
        Optional<PlantView> same =
                all.stream().filter(p -> stock.isSamePlant(p.name(), typed)).findFirst();
        if (same.isPresent()) {
            return same.get();
        }
        StockNames.Reading<PlantView> read =
                new StockNames<>(guide, all.stream().map(PlantView::called).toList(), kinds.own()).read(typed);
        // A selection in quotes that no plant here has is a new one.
        boolean isNew = read.taken().isEmpty() && NameWords.selection(typed).isPresent();
        if (read.taken().isPresent()) {
            return read.taken().get();
        }
        if (!isNew && !read.plants().isEmpty()) {
            throw new InvalidField(
                    "plant", Messages.text("Standing.which.plant", "typed", typed, "plants", offered(read)));
        }
        NameReading<PlantKind> kind = kinds.read(typed, form.group() == null ? "" : form.group());
        boolean saysGroup = form.group() != null && guide.group(form.group()).isPresent();
        if (!saysGroup && kind instanceof NameReading.Asked) {
            throw new InvalidField(
                    "plant", Messages.text("Standing.which.plant", "typed", typed, "plants", kinds(kind)));
        }
        String group = saysGroup
                ? form.group()
                : kind.taken()
                        .map(PlantKind::group)
                        .orElseThrow(
                                () -> new InvalidField("group", Messages.text("Standing.say.group", "plant", typed)));
        // A name stands on a label with a capital.
        return stock.plantNamed(StringUtils.capitalize(typed), group);
    }

    private static String offered(StockNames.Reading<PlantView> read) {
        return Stream.concat(
                        read.plants().stream().map(PlantView::name),
                        read.kinds().stream().map(k -> k.names().name()))
                .limit(MOST_OFFERED)
                .collect(Collectors.joining(", "));
    }

    private static String kinds(NameReading<PlantKind> kind) {
        return kind.meanings().stream()
                .limit(MOST_OFFERED)
                .map(k -> k.names().name())
                .collect(Collectors.joining(", "));
    }

    private static Optional<String> known(String typed) {
        return Optional.ofNullable(typed).filter(t -> !t.isBlank());
    }

    private String method(StandsForm form, PlantView plant) {
        return known(form.method())
                .or(() -> guide.kind(plant.kind())
                        .flatMap(k -> k.methods().stream().findFirst()))
                .orElseThrow(() -> new InvalidField("method", Messages.text("Standing.say.method")));
    }

    /** The way that fits what was said best: the medium said, else the first that is offered; none where none fits. */
    private Optional<Protocol> protocol(StandsForm form, Optional<String> medium, PlantView plant) {
        refuseUnknown(form);
        List<Protocol> fitting = guide.offered(guide.kind(plant.kind()), plant.group(), guide.protocols()).stream()
                .filter(o ->
                        known(form.method()).map(o.protocol().method()::equals).orElse(true))
                .sorted(Comparator.comparing(OfferedWay::verdict).thenComparingInt(OfferedWay::rank))
                .map(OfferedWay::protocol)
                .toList();
        return fitting.stream()
                .filter(p -> medium.map(p.medium()::equals).orElse(true))
                .findFirst()
                .or(() -> fitting.stream().findFirst());
    }

    private void refuseUnknown(StandsForm form) {
        if (known(form.method()).filter(m -> guide.method(m).isEmpty()).isPresent()) {
            throw new InvalidField("method", Messages.text("Standing.say.method"));
        }
    }
}
