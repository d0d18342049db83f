package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A nursery's own past, from files: looked through first, then kept whole or not at all; and taken back whole. */
@Service
public class Records {

    /** So many files may wait at once, each of up to 8 MB: then the oldest goes that was never kept. */
    private static final int MOST_WAITING = 20;

    private static final Duration FORGOTTEN = Duration.ofDays(30);
    private static final int SHOWN = 12;

    private final RecordImportRepository imports;
    private final ImportedRepository imported;
    private final List<RecordKind> kinds;
    private final FileWords words;
    private final CurrentNursery nursery;
    private final Today today;

    Records(
            RecordImportRepository imports,
            ImportedRepository imported,
            List<RecordKind> kinds,
            FileWords words,
            CurrentNursery nursery,
            Today today) {
        this.imports = imports;
        this.imported = imported;
        this.kinds = kinds;
        this.words = words;
        this.nursery = nursery;
        this.today = today;
    }

    /** Kinds of files, the commonest first. */
    List<RecordKind> kinds() {
        return kinds;
    }

    /** Takes a file in as it is; nothing of it is read yet. */
    @Transactional
    public UUID receive(String kind, String fileName, byte[] bytes) {
        kind(kind);
        imports.forgetOlderThan(today.now().minus(FORGOTTEN));
        List<UUID> waiting = imports.waiting();
        if (waiting.size() >= MOST_WAITING) {
            imports.deleteAllByIdInBatch(waiting.subList(MOST_WAITING - 1, waiting.size()));
        }
        String who = nursery.person().map(SignedIn::name).orElse("Vivarium");
        return imports.save(new RecordImport(kind, fileName, who, bytes, today.now()))
                .getId();
    }

    /**
     * Looks a file through by what is known of it so far, and says what it would do and what must be said first.
     *
     * @throws FileRefused if it is not read at all
     */
    @Transactional
    public Findings look(UUID id) {
        RecordImport file = file(id);
        if (file.raw() != null) {
            file.holds(Spreadsheets.text(file.raw()));
        }
        RecordKind kind = kind(file.kind());
        Table table = Table.read(file.content());
        if (file.findings() == null) {
            file.choose(words.before(file.kind(), table.headers()));
        }
        Findings findings = findings(kind, table, file.choices());
        file.found(findings);
        file.at(ImportState.ASKING, null, today.now());
        return findings;
    }

    private Findings findings(RecordKind kind, Table table, Choices choices) {
        Notebook notebook = Notebook.read(table, kind.columns(), choices, words.book(), today.date());
        Findings asks = notebook.asks();
        Csv csv = notebook.csv();
        Preview preview = csv.lines().isEmpty() && csv.faultCount() == 0 && !asks.isClear() ? null : kind.preview(csv);
        return new Findings(
                asks.lines(),
                asks.leftOut(),
                asks.columns(),
                asks.missing(),
                asks.days(),
                asks.words(),
                notebook.faults(csv.faults()),
                csv.faultCount(),
                asks.isClear() && csv.faultCount() == 0 ? preview : null);
    }

    /** Takes what was said of a file; it is looked through again afterwards. */
    @Transactional
    public void choose(UUID id, Choices said) {
        RecordImport file = file(id);
        if (file.state() == ImportState.ASKING || file.state() == ImportState.REFUSED) {
            file.choose(said);
            words.learn(file.kind(), kind(file.kind()).columns(), said);
        }
    }

    /**
     * Keeps a file that was looked through: all of it, or nothing.
     *
     * @return how many looks, readings, plants or places were kept
     * @throws NotFound if the file is no longer waiting, or the nursery has changed so that it no longer fits
     */
    @Transactional
    public int keep(UUID id) {
        return keep(id, (done, of) -> {});
    }

    /** Who is told how far it is. */
    interface Progress {
        void at(int done, int of);
    }

    @Transactional
    int keep(UUID id, Progress progress) {
        RecordImport file = file(id);
        if (file.content() == null || imported.existsByImportId(id)) {
            throw new NotFound(Messages.text("Records.that.file.is.no.longer"));
        }
        RecordKind kind = kind(file.kind());
        Notebook notebook =
                Notebook.read(Table.read(file.content()), kind.columns(), file.choices(), words.book(), today.date());
        if (!notebook.asks().isClear() || notebook.csv().faultCount() > 0) {
            throw new NotFound(Messages.text("Records.changed"));
        }
        try {
            return kind.keep(notebook.csv(), new RecordKind.Keeping() {
                @Override
                public void made(RecordKind.Made what, UUID subject) {
                    imported.save(new Imported(id, what, subject));
                }

                @Override
                public void at(int done, int of) {
                    progress.at(done, of);
                }
            });
        } catch (LookRefused changedSince) {
            throw new NotFound(Messages.text("Records.changed"));
        }
    }

    /** Says how far a file is. */
    @Transactional
    void at(UUID id, ImportState state, String problem) {
        file(id).at(state, problem, today.now());
    }

    /** It is kept; its lines are not needed any more. */
    @Transactional
    void kept(UUID id, int howMany) {
        RecordImport file = file(id);
        file.kept(howMany);
        file.forget();
        file.at(ImportState.KEPT, null, today.now());
    }

    @Transactional
    void progress(UUID id, int percent) {
        imports.progress(id, percent, today.now());
    }

    /** The file, as pages show it. */
    @Transactional(readOnly = true)
    ImportView find(UUID id) {
        return file(id).view();
    }

    /** Whether what the file made is part of the record. */
    @Transactional(readOnly = true)
    boolean isMade(UUID id) {
        return imported.existsByImportId(id);
    }

    /** The last files. */
    @Transactional(readOnly = true)
    List<RecordImportRepository.ImportRow> last() {
        return imports.last(SHOWN);
    }

    /** Forgets a file of which nothing was kept. */
    @Transactional
    void drop(UUID id) {
        RecordImport file = file(id);
        if (!imported.existsByImportId(id) && !file.state().isBusy()) {
            imports.delete(file);
        }
    }

    RecordKind kind(String name) {
        return kinds.stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("Records.no.such.kind.of.file")));
    }

    private RecordImport file(UUID id) {
        return imports.findById(id).orElseThrow(() -> new NotFound(Messages.text("Records.that.file.is.no.longer")));
    }
}
