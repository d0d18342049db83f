package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Guess;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.batch.Material;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.KindsCalled;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Keeps {@code history.csv}: batches by count. */
@Component
@Order(1)
class HistoryRecords implements RecordKind {

    private static final String OLD_PLACE = "From old records";
    private static final int STILL_RUNNING_DAYS = 28;
    private static final int LONG_OVER_DAYS = 400;

    private final OldBatches batches;
    private final Stock stock;
    private final Guide guide;
    private final KindsCalled kinds;
    private final Today today;
    private final EntityManager entities;
    private final Words words;

    HistoryRecords(
            OldBatches batches,
            Stock stock,
            Guide guide,
            KindsCalled kinds,
            Today today,
            EntityManager entities,
            Words words) {
        this.batches = batches;
        this.stock = stock;
        this.guide = guide;
        this.kinds = kinds;
        this.today = today;
        this.entities = entities;
        this.words = words;
    }

    @Override
    public String name() {
        return "history";
    }

    @Override
    public Lines of() {
        return Lines.BATCHES;
    }

    @Override
    public String tellsAt() {
        return "/technique";
    }

    @Override
    public String words() {
        return Messages.text("HistoryRecords.batches.by.count.one.line");
    }

    @Override
    public List<Column> columns() {
        return HistoryColumns.ALL;
    }

    @Override
    public Preview preview(Csv csv) {
        HistoryFile file = HistoryFile.read(csv, guide, today.date(), words);
        List<Preview.PreviewRow> makes = new ArrayList<>();
        List<Preview.PreviewRow> grows = new ArrayList<>();
        List<Preview.PreviewRow> held = new ArrayList<>();
        if (csv.faultCount() == 0) {
            Set<String> plants = stock.plants().stream()
                    .map(p -> p.name().toLowerCase(Locale.ROOT))
                    .collect(Collectors.toCollection(HashSet::new));
            Map<String, BatchView> known = known(file);
            for (OldBatch b : file.batches()) {
                BatchView same = known.get(b.name());
                if (same == null) {
                    makes.add(
                            line(b, b.looks().size(), plants.add(b.of().plant().toLowerCase(Locale.ROOT))));
                    continue;
                }
                List<InvalidLine> faults = new ArrayList<>();
                List<OldLook> more = newLooks(b, same, faults);
                tryOn(same, b, more, faults);
                faults.forEach(csv::fault);
                (more.isEmpty() ? held : grows).add(line(b, more.size(), false));
            }
        }
        return Preview.of(makes, grows, held);
    }

    @Override
    public int keep(Csv csv, Keeping keeping) {
        HistoryFile file = HistoryFile.read(csv, guide, today.date(), words);
        List<InvalidLine> faults = new ArrayList<>(csv.faults());
        Map<String, BatchView> known = known(file);
        Made made = new Made();
        int kept = 0;
        int done = 0;
        for (OldBatch b : file.batches()) {
            keeping.at(done++, file.batches().size());
            BatchView same = known.get(b.name());
            List<OldLook> looks = same == null ? b.looks() : newLooks(b, same, faults);
            if (!faults.isEmpty()) {
                throw new NotFound(Messages.text("HistoryRecords.the.nursery.has.changed.since"));
            }
            if (same != null && looks.isEmpty()) {
                continue;
            }
            boolean over = b.last()
                    .filter(l -> l.day().isBefore(today.date().minusDays(STILL_RUNNING_DAYS)))
                    .isPresent();
            List<LookCommand> commands = same == null && isForgotten(b) ? List.of(unjudged(b)) : commands(looks);
            if (same == null) {
                keeping.made(
                        RecordKind.Made.BATCH,
                        batches.make(made.batch(b), commands, over).id());
            } else {
                batches.addLooks(same.code(), commands, over);
                commands.forEach(c -> keeping.made(RecordKind.Made.LOOK, c.clientId()));
            }
            kept += Math.max(1, looks.size());
            // A session that held every row of a large file would look each of them over at every step.
            entities.flush();
            entities.clear();
        }
        return kept;
    }

    /** The plants, stock plants and the place of one file, each asked for once. */
    private final class Made {

        private final Map<String, PlantView> plants = new HashMap<>();
        private final Map<String, Optional<StockPlantView>> parents = new HashMap<>();
        private UUID oldPlace;

        NewBatch batch(OldBatch b) {
            Optional<StockPlantView> from =
                    b.of().stock() == null ? Optional.empty() : parents.computeIfAbsent(b.of().stock(), stock::named);
            if (oldPlace == null) {
                oldPlace = stock.placeNamed(OLD_PLACE, Climate.OPEN).id();
            }
            PlantView plant = plants.computeIfAbsent(b.of().plant(), name -> stock.plantNamed(name, groupOf(b)));
            return made(b, plant, from, oldPlace);
        }
    }

    private Map<String, BatchView> known(HistoryFile file) {
        return batches.ofOldNames(file.batches().stream().map(OldBatch::name).toList()).stream()
                .collect(Collectors.toMap(b -> b.origin().oldCode(), Function.identity()));
    }

    /** The looks of a batch that are not held yet; a look that says other than what is held is a fault. */
    private List<OldLook> newLooks(OldBatch b, BatchView held, List<InvalidLine> faults) {
        if (!b.taking().stuckOn().equals(held.stuckOn())
                || held.stuck() != b.taking().stuck()
                || !stock.isSamePlant(held.plant(), b.of().plant())
                || !held.method().equals(b.done().method())
                || !held.medium().equals(b.done().medium())
                || !held.way().treatment().equals(b.done().treatment())) {
            faults.add(new InvalidLine(
                    b.line(),
                    "batch",
                    Messages.text(
                            "HistoryRecords.batch.name.held.as",
                            "code",
                            held.code(),
                            "plant",
                            held.plant(),
                            "way",
                            WayWords.of(held.way()),
                            "stuck",
                            held.stuck(),
                            "stuckOn",
                            held.stuckOn()),
                    "Give this batch another name, or make the line agree."));
            return List.of();
        }
        Map<LocalDate, LookCommand> days = batches.countsOf(held.code()).stream()
                .collect(Collectors.toMap(LookCommand::lookedOn, Function.identity(), (x, y) -> y));
        List<OldLook> more = new ArrayList<>();
        for (OldLook look : b.looks()) {
            LookCommand same = days.get(look.day());
            if (same == null) {
                more.add(look);
            } else if (!sameCounts(same.counts(), counted(look))) {
                faults.add(new InvalidLine(
                        look.line(),
                        "looked_on",
                        Messages.text(
                                "HistoryRecords.holds.other.counts.ready",
                                "code",
                                held.code(),
                                "day",
                                look.day(),
                                "ready",
                                same.counts().ready(),
                                "lost",
                                same.counts().lost()),
                        "Make the line agree, or take that check back on the batch sheet first."));
            }
        }
        return more;
    }

    /** Tries new looks beside all that is held, so that keeping them cannot fail. */
    private void tryOn(BatchView held, OldBatch b, List<OldLook> more, List<InvalidLine> faults) {
        try {
            batches.tryLooks(held.code(), commands(more));
        } catch (LookRefused r) {
            faults.add(InvalidLine.of(more.get(0).line(), "—", r));
        }
    }

    private NewBatch made(OldBatch b, PlantView plant, Optional<StockPlantView> from, UUID oldPlace) {
        Optional<Protocol> protocol = guide.nearest(b.done().method(), b.done().medium(), plant.group())
                .filter(p -> p.medium().equals(b.done().medium()))
                .filter(p -> p.groups().contains(plant.group()));
        return new NewBatch(
                plant,
                new Origin(null, from.map(StockPlantView::id).orElse(null), null, b.name()),
                from.map(s -> s.place().id()).orElse(oldPlace),
                new HowDone(
                        protocol.map(Protocol::key).orElse(null),
                        protocol.map(Protocol::version).orElse(null),
                        b.done().method(),
                        b.done().medium(),
                        b.done().treatment(),
                        null,
                        null),
                b.taken(),
                Vessel.loose(null),
                Material.UNKNOWN,
                Guess.NONE);
    }

    private String groupOf(OldBatch b) {
        if (b.of().group() != null) {
            return b.of().group();
        }
        Optional<String> kind = kinds.read(b.of().plant()).taken().map(PlantKind::group);
        return kind.or(() -> guide.protocols().stream()
                        .filter(p -> p.method().equals(b.done().method()))
                        .map(p -> p.groups().get(0))
                        .findFirst())
                .orElse(guide.groups().get(0).key());
    }

    /** Stuck so long ago that nothing of it stands any more, and nobody wrote down what came of it. */
    private boolean isForgotten(OldBatch b) {
        return b.looks().isEmpty() && b.taking().stuckOn().isBefore(today.date().minusDays(LONG_OVER_DAYS));
    }

    /** All of it left unjudged: neither rooted nor lost, so that it counts for no rate. */
    private static LookCommand unjudged(OldBatch b) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                b.taking().stuckOn(),
                LookKind.ABOVE,
                new LookCommand.Counted(null, 0, 0, b.taking().stuck(), null),
                Messages.text("HistoryRecords.forgotten"),
                null);
    }

    private static List<LookCommand> commands(List<OldLook> looks) {
        return looks.stream()
                .map(l -> LookCommand.ofCounts(UUID.randomUUID(), l.day(), l.kind(), counted(l), l.note(), null))
                .toList();
    }

    private static LookCommand.Counted counted(OldLook l) {
        return new LookCommand.Counted(
                l.counts().firstSign(),
                l.counts().ready(),
                l.counts().lost(),
                l.counts().sent(),
                l.counts().youngPlants());
    }

    /** Of what is held more may have been told since, as how many were lost after they were ready. */
    private static boolean sameCounts(LookCommand.Counted held, LookCommand.Counted read) {
        return held.ready() == read.ready()
                && held.lost() == read.lost()
                && held.sent() == read.sent()
                && Objects.equals(held.firstSign(), read.firstSign())
                && Objects.equals(held.youngPlants(), read.youngPlants());
    }

    private Preview.PreviewRow line(OldBatch b, int looks, boolean newPlant) {
        Way way = Way.of(
                new Grown(b.of().plant(), "", ""),
                b.done().method(),
                b.done().medium(),
                b.done().treatment(),
                Optional.empty());
        return new Preview.PreviewRow(
                b.name(),
                b.of().plant(),
                WayWords.of(way),
                b.taking().stuckOn().toString(),
                b.taking().stuck(),
                looks,
                b.last()
                        .map(l -> Messages.text(
                                "HistoryRecords.ready.lost",
                                "ready",
                                l.counts().ready(),
                                "lost",
                                l.counts().lost(),
                                "day",
                                l.day()))
                        .orElseGet(() -> isForgotten(b) ? Messages.text("HistoryRecords.forgotten") : "not looked at"),
                newPlant);
    }
}
