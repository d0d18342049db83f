package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.batch.OldBatches.Fate;
import garden.vivarium.app.exchange.PiecesFile.PieceLine;
import garden.vivarium.app.exchange.PiecesFile.PieceLook;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.WayWords;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Keeps {@code pieces.csv}: readings by piece, of batches that the nursery holds. */
@Component
@Order(2)
class PieceRecords implements RecordKind {

    private final OldBatches batches;
    private final Today today;
    private final EntityManager entities;

    PieceRecords(OldBatches batches, Today today, EntityManager entities) {
        this.batches = batches;
        this.today = today;
        this.entities = entities;
    }

    @Override
    public String name() {
        return "pieces";
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
        return Messages.text("PieceRecords.readings.by.piece.of.batches");
    }

    @Override
    public List<Column> columns() {
        return PiecesFile.COLUMNS;
    }

    @Override
    public Preview preview(Csv csv) {
        PiecesFile file = PiecesFile.read(csv, today.date());
        List<Preview.PreviewRow> grows = new ArrayList<>();
        List<Preview.PreviewRow> held = new ArrayList<>();
        if (csv.faultCount() == 0) {
            byBatch(file).forEach((name, looks) -> {
                Optional<BatchView> batch = batches.named(name);
                if (batch.isEmpty() || !batch.get().isStuck()) {
                    csv.fault(new InvalidLine(
                            looks.get(0).line(),
                            "batch",
                            Messages.text("PieceRecords.no.batch.held", "name", name),
                            "Read its history.csv first, or use the code on its label."));
                    return;
                }
                BatchView b = batch.get();
                List<LookCommand> more = newCommands(b, looks);
                tryOn(b, looks, more, csv);
                (more.isEmpty() ? held : grows)
                        .add(new Preview.PreviewRow(
                                name,
                                b.plant(),
                                WayWords.of(b.way()),
                                b.stuckOn().toString(),
                                b.stuck(),
                                more.size(),
                                Messages.text(
                                        "PieceRecords.readings",
                                        "sum",
                                        looks.stream()
                                                .mapToInt(l -> l.pieces().size())
                                                .sum()),
                                false));
            });
        }
        return Preview.of(List.of(), grows, held);
    }

    @Override
    public int keep(Csv csv, Keeping keeping) {
        PiecesFile file = PiecesFile.read(csv, today.date());
        int kept = 0;
        int done = 0;
        Map<String, List<PieceLook>> all = byBatch(file);
        for (List<PieceLook> looks : all.values()) {
            keeping.at(done++, all.size());
            String name = looks.get(0).batch();
            BatchView batch = batches.named(name)
                    .orElseThrow(() -> new NotFound(Messages.text("PieceRecords.a.batch.of.the.file")));
            List<LookCommand> more = newCommands(batch, looks);
            if (more.isEmpty()) {
                continue;
            }
            batches.addLooks(batch.code(), more, false);
            more.forEach(c -> keeping.made(Made.LOOK, c.clientId()));
            looks.stream()
                    .flatMap(l -> l.pieces().stream())
                    .filter(PieceLine::hasFacts)
                    .forEach(p -> batches.describePiece(
                            batch.code(),
                            p.piece(),
                            p.facts().kind(),
                            p.facts().lengthMm(),
                            p.facts().nodes()));
            kept += more.stream().mapToInt(c -> c.pieces().size()).sum();
            entities.flush();
            entities.clear();
        }
        return kept;
    }

    private static Map<String, List<PieceLook>> byBatch(PiecesFile file) {
        return file.looks().stream()
                .collect(Collectors.groupingBy(PieceLook::batch, LinkedHashMap::new, Collectors.toList()));
    }

    /** The looks that do not stand yet. */
    private List<LookCommand> newCommands(BatchView batch, List<PieceLook> looks) {
        return looks.stream()
                .map(l -> command(batch, l))
                .filter(c -> batches.fate(c.clientId()) != Fate.STANDS)
                .map(c -> batches.fate(c.clientId()) == Fate.TAKEN_BACK ? c.withClientId(UUID.randomUUID()) : c)
                .toList();
    }

    /** Tries all looks at once and, only if that is refused, one after the other for the line to blame. */
    private void tryOn(BatchView batch, List<PieceLook> looks, List<LookCommand> more, Csv csv) {
        if (isTrue(batch, more).isEmpty()) {
            return;
        }
        for (int n = 1; n <= more.size(); n++) {
            Optional<LookRefused> refusal = isTrue(batch, more.subList(0, n));
            if (refusal.isPresent()) {
                LookCommand blamed = more.get(n - 1);
                PieceLook look = looks.stream()
                        .filter(l -> l.day().equals(blamed.lookedOn()) && l.kind() == blamed.look())
                        .findFirst()
                        .orElseThrow();
                csv.fault(InvalidLine.of(lineOf(look, refusal.get().piece()), "state", refusal.get()));
                return;
            }
        }
    }

    private Optional<LookRefused> isTrue(BatchView batch, List<LookCommand> looks) {
        try {
            batches.tryLooks(batch.code(), looks);
            return Optional.empty();
        } catch (LookRefused r) {
            return Optional.of(r);
        }
    }

    private static long lineOf(PieceLook look, int piece) {
        return look.pieces().stream()
                .filter(p -> p.piece() == piece)
                .map(PieceLine::line)
                .findFirst()
                .orElse(look.line());
    }

    private static LookCommand command(BatchView batch, PieceLook look) {
        UUID id = UUID.nameUUIDFromBytes("pieces|%s|%s|%s|%s"
                .formatted(
                        batch.id(),
                        look.day(),
                        look.kind(),
                        look.pieces().stream()
                                .map(p -> Objects.hash(
                                        p.piece(),
                                        p.state().code(),
                                        p.readings().rootMm(),
                                        p.note()))
                                .toList())
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
                                p.readings().rootMm(),
                                p.readings().sideRoots(),
                                p.readings().topGrowth(),
                                p.readings().firmness(),
                                p.note()))
                        .toList(),
                null,
                null);
    }
}
