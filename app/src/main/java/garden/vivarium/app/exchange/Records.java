package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.exchange.HistoryFile.OldBatch;
import garden.vivarium.app.exchange.HistoryFile.OldLook;
import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Refusal;
import garden.vivarium.core.timing.Climate;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A nursery's own past, from files: looked through first, then kept whole or not at all. */
@Service
public class Records {

    private static final String OLD_PLACE = "From old records";
    private static final Duration KEEP_UPLOADS = Duration.ofHours(12);
    private static final int STILL_RUNNING_DAYS = 28;

    private final UploadRepository uploads;
    private final Batches batches;
    private final Stock stock;
    private final Guide guide;
    private final Today today;
    private final EntityManager entities;

    Records(UploadRepository uploads, Batches batches, Stock stock, Guide guide, Today today, EntityManager entities) {
        this.uploads = uploads;
        this.batches = batches;
        this.stock = stock;
        this.guide = guide;
        this.today = today;
        this.entities = entities;
    }

    /** Reads a file through and says what it would do; a good one waits to be kept. */
    @Transactional
    public Preview preview(String kind, String fileName, String text) {
        Preview preview =
                kind.equals("pieces") ? previewPieces(null, fileName, text) : previewHistory(null, fileName, text);
        if (!preview.isGood() || !preview.isNew()) {
            return preview;
        }
        uploads.forgetOlderThan(today.now().minus(KEEP_UPLOADS));
        Upload upload = uploads.save(new Upload(preview.kind(), fileName, text, today.now()));
        return new Preview(
                upload.getId(),
                preview.kind(),
                preview.fileName(),
                preview.makes(),
                preview.grows(),
                preview.held(),
                preview.faults());
    }

    /**
     * Keeps a file that was looked through: all of it, or nothing.
     *
     * @return how many looks were kept
     * @throws Missing if the file is no longer waiting
     */
    @Transactional
    public int keep(UUID uploadId) {
        Upload upload = uploads.findById(uploadId).orElseThrow(() -> new Missing("that file is no longer waiting"));
        int kept = upload.kind().equals("pieces") ? keepPieces(upload) : keepHistory(upload);
        uploads.deleteById(uploadId);
        return kept;
    }

    private Preview previewHistory(UUID id, String fileName, String text) {
        HistoryFile file = HistoryFile.read(text, guide, today.date());
        List<BadLine> faults = new ArrayList<>(file.faults());
        List<Preview.Line> makes = new ArrayList<>();
        List<Preview.Line> grows = new ArrayList<>();
        List<Preview.Line> held = new ArrayList<>();
        if (faults.isEmpty()) {
            Set<String> plants = stock.plants().stream()
                    .map(p -> p.name().toLowerCase(Locale.ROOT))
                    .collect(Collectors.toCollection(HashSet::new));
            Map<String, BatchView> known = known(file);
            for (OldBatch b : file.batches()) {
                BatchView same = known.get(b.name());
                if (same == null) {
                    makes.add(line(b, b.looks().size(), plants.add(b.plant().toLowerCase(Locale.ROOT))));
                    continue;
                }
                List<OldLook> more = newLooks(b, same, faults);
                (more.isEmpty() ? held : grows).add(line(b, more.size(), false));
            }
        }
        return new Preview(id, "history", fileName, makes, grows, held, faults);
    }

    private Map<String, BatchView> known(HistoryFile file) {
        return batches.ofOldCodes(file.batches().stream().map(OldBatch::name).toList()).stream()
                .collect(Collectors.toMap(BatchView::oldCode, Function.identity()));
    }

    /** The looks of a batch that are not held yet; a look that says other than what is held is a fault. */
    private List<OldLook> newLooks(OldBatch b, BatchView held, List<BadLine> faults) {
        if (!held.stuckOn().equals(b.stuckOn())
                || held.stuck() != b.stuck()
                || !held.plant().equals(b.plant())
                || !held.method().equals(b.method())
                || !held.medium().equals(b.medium())
                || !held.treatment().equals(b.treatment())) {
            faults.add(new BadLine(
                    b.line(),
                    "batch",
                    "A batch of this name is held as %s, and differs: %s, %s, %d stuck on %s."
                            .formatted(held.code(), held.plant(), held.way().words(), held.stuck(), held.stuckOn()),
                    "Give this batch another name, or make the line agree."));
            return List.of();
        }
        Map<LocalDate, LookCommand> days = batches.looksOf(held.code()).stream()
                .collect(Collectors.toMap(LookCommand::lookedOn, Function.identity(), (x, y) -> y));
        List<OldLook> more = new ArrayList<>();
        for (OldLook look : b.looks()) {
            LookCommand same = days.get(look.day());
            if (same == null) {
                more.add(look);
            } else if (!same.counts().equals(counted(look, false))) {
                faults.add(new BadLine(
                        look.line(),
                        "looked_on",
                        "%s holds other counts for %s: %d ready, %d lost."
                                .formatted(
                                        held.code(),
                                        look.day(),
                                        same.counts().ready(),
                                        same.counts().lost()),
                        "Make the line agree, or take that check back on the batch sheet first."));
            }
        }
        return more;
    }

    private int keepHistory(Upload upload) {
        HistoryFile file = HistoryFile.read(upload.content(), guide, today.date());
        List<BadLine> faults = new ArrayList<>(file.faults());
        Map<String, BatchView> known = known(file);
        Map<String, PlantView> plants = new HashMap<>();
        UUID oldPlace = null;
        int kept = 0;
        for (OldBatch b : file.batches()) {
            BatchView same = known.get(b.name());
            List<OldLook> looks = same == null ? b.looks() : newLooks(b, same, faults);
            if (!faults.isEmpty()) {
                throw new Missing("the nursery has changed since the preview; look the file through again");
            }
            if (looks.isEmpty()) {
                continue;
            }
            boolean over = b.last().day().isBefore(today.date().minusDays(STILL_RUNNING_DAYS));
            List<LookCommand> commands = looks.stream()
                    .map(l -> command(b, l, known.containsKey(b.name())))
                    .toList();
            if (same == null) {
                Optional<StockPlantView> from = b.stock() == null ? Optional.empty() : stock.named(b.stock());
                if (oldPlace == null) {
                    oldPlace = stock.placeNamed(OLD_PLACE, Climate.OPEN).id();
                }
                PlantView plant = plants.computeIfAbsent(b.plant(), name -> stock.plantNamed(name, groupOf(b)));
                batches.makeFromRecords(made(b, plant, from, oldPlace), commands, over);
            } else {
                batches.lookMany(same.code(), commands);
                if (over) {
                    batches.closeOldRecord(same.code());
                }
            }
            kept += looks.size();
            // A session that held every row of a large file would look each of them over at every step.
            entities.flush();
            entities.clear();
        }
        batches.recordsAreIn();
        return kept;
    }

    private NewBatch made(OldBatch b, PlantView plant, Optional<StockPlantView> from, UUID oldPlace) {
        Optional<Protocol> protocol = guide.nearest(b.method(), b.medium(), plant.group())
                .filter(p -> p.medium().equals(b.medium()))
                .filter(p -> p.groups().contains(plant.group()));
        return new NewBatch(
                plant,
                from.map(StockPlantView::id).orElse(null),
                from.map(s -> s.place().id()).orElse(oldPlace),
                null,
                b.name(),
                protocol.map(Protocol::key).orElse(null),
                protocol.map(Protocol::version).orElse(null),
                b.method(),
                b.medium(),
                b.treatment(),
                null,
                b.takenOn(),
                b.taken(),
                b.stuckOn(),
                b.stuck(),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                false,
                1,
                null,
                null);
    }

    private String groupOf(OldBatch b) {
        if (b.group() != null) {
            return b.group();
        }
        return guide.protocols().stream()
                .filter(p -> p.method().equals(b.method()))
                .map(p -> p.groups().get(0))
                .findFirst()
                .orElse(guide.groups().get(0).key());
    }

    private LookCommand command(OldBatch b, OldLook l, boolean batchIsHeld) {
        // The same line gives the same id, so that even two readings at once keep it once.
        UUID id = UUID.nameUUIDFromBytes(
                ("history|%s|%s|%s".formatted(b.name(), l.day(), l)).getBytes(StandardCharsets.UTF_8));
        // A look that was taken back keeps its id; read in again, it is a new look.
        UUID free = batchIsHeld && batches.isHeld(id) ? UUID.randomUUID() : id;
        return LookCommand.ofCounts(free, l.day(), l.kind(), counted(l, true), l.note(), null);
    }

    private static LookCommand.Counted counted(OldLook l, boolean withYoungPlants) {
        return new LookCommand.Counted(
                l.firstSign(), l.ready(), l.lost(), l.sent(), withYoungPlants ? l.youngPlants() : null);
    }

    private static Preview.Line line(OldBatch b, int looks, boolean newPlant) {
        Way way = new Way(b.plant(), "", b.method(), b.medium(), b.treatment());
        return new Preview.Line(
                b.name(),
                b.plant(),
                way.words(),
                b.stuckOn().toString(),
                b.stuck(),
                looks,
                "%d ready, %d lost by %s"
                        .formatted(b.last().ready(), b.last().lost(), b.last().day()),
                newPlant);
    }

    private Preview previewPieces(UUID id, String fileName, String text) {
        PiecesFile file = PiecesFile.read(text, today.date());
        List<BadLine> faults = new ArrayList<>(file.faults());
        List<Preview.Line> grows = new ArrayList<>();
        List<Preview.Line> held = new ArrayList<>();
        if (faults.isEmpty()) {
            file.looks().stream()
                    .collect(
                            Collectors.groupingBy(PiecesFile.PieceLook::batch, LinkedHashMap::new, Collectors.toList()))
                    .forEach((name, looks) -> {
                        Optional<BatchView> batch = batchNamed(name);
                        if (batch.isEmpty() || !batch.get().isStuck()) {
                            faults.add(new BadLine(
                                    looks.get(0).line(),
                                    "batch",
                                    "No batch “%s” is held.".formatted(name),
                                    "Read its history.csv first, or use the code on its label."));
                            return;
                        }
                        List<LookCommand> more = newCommands(batch.get(), looks, faults);
                        BatchView b = batch.get();
                        (more.isEmpty() ? held : grows)
                                .add(new Preview.Line(
                                        name,
                                        b.plant(),
                                        b.way().words(),
                                        b.stuckOn().toString(),
                                        b.stuck(),
                                        more.size(),
                                        "%d readings"
                                                .formatted(looks.stream()
                                                        .mapToInt(
                                                                l -> l.pieces().size())
                                                        .sum()),
                                        false));
                    });
        }
        return new Preview(id, "pieces", fileName, List.of(), grows, held, faults);
    }

    /** Commands for the looks that are not held yet, tried on the batch's history without being kept. */
    private List<LookCommand> newCommands(BatchView batch, List<PiecesFile.PieceLook> looks, List<BadLine> faults) {
        List<LookCommand> more = new ArrayList<>();
        for (PiecesFile.PieceLook look : looks) {
            LookCommand command = command(batch, look);
            if (batches.isHeld(command.clientId())) {
                continue;
            }
            more.add(command);
            try {
                batches.tryLooks(batch.code(), more);
            } catch (Refusal r) {
                String[] parts = r.getMessage().split("; ", 2);
                faults.add(new BadLine(
                        lineOf(look, r.getMessage()),
                        r.field().equals("day") ? "looked_on" : r.field().equals("look") ? "look" : "state",
                        parts[0] + ".",
                        parts.length > 1 ? parts[1] : "Correct it."));
                break;
            }
        }
        return more;
    }

    private static long lineOf(PiecesFile.PieceLook look, String message) {
        return look.pieces().stream()
                .filter(p -> message.startsWith("Piece %d".formatted(p.piece()))
                        && !Character.isDigit(message.charAt(("Piece " + p.piece()).length())))
                .map(PiecesFile.PieceLine::line)
                .findFirst()
                .orElse(look.line());
    }

    private int keepPieces(Upload upload) {
        PiecesFile file = PiecesFile.read(upload.content(), today.date());
        int kept = 0;
        for (PiecesFile.PieceLook look : file.looks()) {
            BatchView batch = batchNamed(look.batch()).orElseThrow(() -> new Missing("a batch of the file is gone"));
            LookCommand command = command(batch, look);
            if (batches.isHeld(command.clientId())) {
                continue;
            }
            batches.lookMany(batch.code(), List.of(command));
            for (PiecesFile.PieceLine p : look.pieces()) {
                if (p.kind() != null || p.lengthMm() != null || p.nodes() != null) {
                    batches.describePiece(batch.code(), p.piece(), p.kind(), p.lengthMm(), p.nodes());
                }
            }
            kept += look.pieces().size();
            entities.flush();
            entities.clear();
        }
        return kept;
    }

    private Optional<BatchView> batchNamed(String name) {
        return batches.ofOldCode(name).or(() -> batches.ofCode(name));
    }

    private static LookCommand command(BatchView batch, PiecesFile.PieceLook look) {
        UUID id = UUID.nameUUIDFromBytes(("pieces|%s|%s|%s|%s"
                        .formatted(
                                batch.id(),
                                look.day(),
                                look.kind(),
                                look.pieces().stream()
                                        .map(p -> Objects.hash(
                                                p.piece(), p.state().code(), p.rootMm(), p.note()))
                                        .toList()))
                .getBytes(StandardCharsets.UTF_8));
        return LookCommand.ofPieces(
                id,
                look.day(),
                look.kind(),
                look.pieces().stream()
                        .map(p -> new LookCommand.Seen(
                                p.piece(),
                                look.kind(),
                                p.state(),
                                p.cause(),
                                p.rootMm(),
                                p.sideRoots(),
                                p.topGrowth(),
                                p.firmness(),
                                p.note()))
                        .toList(),
                null,
                null);
    }
}
