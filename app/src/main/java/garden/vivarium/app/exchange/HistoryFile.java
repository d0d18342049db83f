package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.Limits;
import garden.vivarium.core.Rule;
import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.Look;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * {@code history.csv}: batches by count, one line a batch and look. Everything that can be said of the file alone is checked
 * here; what the nursery already holds is not looked at.
 *
 * @param batches batches of the file, in the order in which they appear
 * @param faults every bad line; nothing may be kept while there is one
 */
record HistoryFile(List<OldBatch> batches, List<InvalidLine> faults) {

    private static final Set<String> REQUIRED =
            ordered("batch", "plant", "method", "medium", "stuck_on", "stuck", "looked_on", "ready", "lost");
    private static final Set<String> OPTIONAL = ordered(
            "group", "stock", "treatment", "taken_on", "taken", "look", "first_sign", "sent", "young_plants", "note");

    HistoryFile {
        batches = List.copyOf(batches);
        faults = faults.stream()
                .sorted(Comparator.comparingLong(InvalidLine::line))
                .toList();
    }

    /** A batch of the file. What the file does not say is null. */
    record OldBatch(String name, long line, Named of, Done done, Taking taking, List<OldLook> looks) {

        /** Of which plant, in which group, cut from which stock plant. */
        record Named(String plant, String group, String stock) {}

        /** How it was done. */
        record Done(String method, String medium, String treatment) {}

        OldLook last() {
            return looks.get(looks.size() - 1);
        }
    }

    /** A look of the file: counts so far. */
    record OldLook(
            long line,
            LocalDate day,
            LookKind kind,
            Integer firstSign,
            int ready,
            int lost,
            int sent,
            Integer youngPlants,
            String note) {}

    /** Reads the file's text. */
    static HistoryFile read(String text, Guide guide, LocalDate today, Words words) {
        Csv csv = Csv.read(text, REQUIRED, OPTIONAL);
        Map<String, OldBatch> batches = new LinkedHashMap<>();
        Set<String> faulty = new HashSet<>();
        for (Csv.CsvLine line : csv.lines()) {
            int before = csv.faults().size();
            readLine(line, guide, today, csv, batches);
            if (csv.faults().size() > before) {
                faulty.add(line.raw("batch"));
            }
        }
        if (csv.faults().isEmpty() && batches.isEmpty()) {
            csv.fault(1, "—", "The file has no line after its header.", "Give a line for each look at a batch.");
        }
        // What follows from a bad line would only be noise; other batches are checked all the same.
        batches.values().stream()
                .filter(b -> !faulty.contains(b.name()))
                .forEach(b -> checkLooks(b, guide, csv, words));
        return new HistoryFile(new ArrayList<>(batches.values()), csv.faults());
    }

    /** What a file may name that the guide does not have. */
    enum NotInGuide implements Rule {
        PLANT_GROUP,
        METHOD,
        MEDIUM
    }

    private static String groupOf(String word, Guide guide) {
        return guide.group(word)
                .map(PlantGroup::key)
                .orElseThrow(() -> new UnknownWord(
                        NotInGuide.PLANT_GROUP,
                        word,
                        guide.groups().stream().map(PlantGroup::key).toList()));
    }

    private static String methodOf(String word, Guide guide) {
        return guide.method(word).map(Method::name).orElseThrow(() -> new UnknownWord(NotInGuide.METHOD, word));
    }

    private static String mediumOf(String word, Guide guide) {
        return guide.medium(word).orElseThrow(() -> new UnknownWord(NotInGuide.MEDIUM, word));
    }

    private static void readLine(
            Csv.CsvLine line, Guide guide, LocalDate today, Csv csv, Map<String, OldBatch> batches) {
        int before = csv.faults().size();
        Optional<String> name = line.needed("batch", 80);
        Optional<String> plant = line.needed("plant", 120);
        Optional<String> group = line.word("group", g -> groupOf(g, guide));
        line.needed("method", 80);
        Optional<String> method = line.word("method", m -> methodOf(m, guide));
        line.needed("medium", 80);
        Optional<String> medium = line.word("medium", m -> mediumOf(m, guide));
        line.needed("stuck_on", 40);
        Optional<LocalDate> stuckOn = notAhead(line, "stuck_on", today);
        line.needed("stuck", 40);
        Optional<Integer> stuck = line.number("stuck", 1, Limits.MOST_PIECES);
        line.needed("looked_on", 40);
        Optional<LocalDate> lookedOn = notAhead(line, "looked_on", today);
        line.needed("ready", 40);
        Optional<Integer> ready = line.number("ready", 0, Limits.MOST_PIECES);
        line.needed("lost", 40);
        Optional<Integer> lost = line.number("lost", 0, Limits.MOST_PIECES);
        Optional<Integer> sent = line.number("sent", 0, Limits.MOST_PIECES);
        Optional<Integer> firstSign = line.number("first_sign", 0, Limits.MOST_PIECES);
        Optional<Integer> young = line.number("young_plants", 0, 100_000);
        Optional<LookKind> look = line.word("look", LookKind::of);
        Optional<LocalDate> takenOn = notAhead(line, "taken_on", today);
        Optional<Integer> taken = line.number("taken", 1, Limits.MOST_PIECES);
        Optional<String> stock = line.text("stock", 120);
        Optional<String> treatment = line.text("treatment", 300);
        Optional<String> note = line.text("note", 500);
        if (csv.faults().size() > before) {
            return;
        }
        OldBatch read = new OldBatch(
                name.orElseThrow(),
                line.number(),
                new OldBatch.Named(plant.orElseThrow(), group.orElse(null), stock.orElse(null)),
                new OldBatch.Done(method.orElseThrow(), medium.orElseThrow(), Way.treatment(treatment.orElse(""))),
                new Taking(
                        takenOn.orElse(stuckOn.orElseThrow()),
                        taken.orElse(stuck.orElseThrow()),
                        stuckOn.orElseThrow(),
                        stuck.orElseThrow()),
                new ArrayList<>());
        OldBatch known = batches.computeIfAbsent(read.name(), n -> read);
        checkSame(line, known, read);
        if (read.taking().takenOn().isAfter(read.taking().stuckOn())) {
            line.bad("taken_on", "It is after the day stuck.", "Give the day stuck, or an earlier one.");
        }
        if (read.taking().taken() < read.taking().stuck()) {
            line.bad(
                    "taken",
                    Messages.text(
                            "HistoryFile.taken.fewer.than.stuck",
                            "taken",
                            read.taking().taken(),
                            "stuck",
                            read.taking().stuck()),
                    Messages.text(
                            "HistoryFile.give.more", "stuck", read.taking().stuck()));
        }
        known.looks()
                .add(new OldLook(
                        line.number(),
                        lookedOn.orElseThrow(),
                        look.orElse(LookKind.LIFTED),
                        firstSign.orElse(null),
                        ready.orElseThrow(),
                        lost.orElseThrow(),
                        sent.orElse(0),
                        young.orElse(null),
                        note.orElse(null)));
    }

    private static Optional<LocalDate> notAhead(Csv.CsvLine line, String column, LocalDate today) {
        Optional<LocalDate> day = line.day(column);
        if (day.filter(d -> d.isAfter(today)).isPresent()) {
            line.bad(
                    column, Messages.text("HistoryFile.still.come", "day", day.get()), "Give today or an earlier day.");
            return Optional.empty();
        }
        return day;
    }

    private static void checkSame(Csv.CsvLine line, OldBatch known, OldBatch read) {
        differs(line, "plant", known.of().plant(), read.of().plant(), known);
        differs(line, "method", known.done().method(), read.done().method(), known);
        differs(line, "medium", known.done().medium(), read.done().medium(), known);
        differs(line, "treatment", known.done().treatment(), read.done().treatment(), known);
        differs(line, "stuck_on", known.taking().stuckOn(), read.taking().stuckOn(), known);
        differs(line, "stuck", known.taking().stuck(), read.taking().stuck(), known);
    }

    private static void differs(Csv.CsvLine line, String column, Object known, Object read, OldBatch batch) {
        if (!Objects.equals(known, read)) {
            line.bad(
                    column,
                    Messages.text(
                            "HistoryFile.differs.from.line.same", "read", read, "known", known, "line", batch.line()),
                    "Give one batch one value, or give this line another batch name.");
        }
    }

    /** Replays the batch look by look, so that the first look that cannot be true is named with its line. */
    private static void checkLooks(OldBatch batch, Guide guide, Csv csv, Words words) {
        batch.looks().sort(Comparator.comparing(OldLook::day).thenComparingLong(OldLook::line));
        var method = guide.method(batch.done().method()).orElseThrow();
        MilestoneSigns signs = method.signs();
        List<Look> looks = new ArrayList<>();
        LocalDate before = null;
        for (OldLook look : batch.looks()) {
            if (look.day().equals(before)) {
                csv.fault(
                        look.line(),
                        "looked_on",
                        Messages.text("HistoryFile.batch.has.two.lines", "name", batch.name(), "day", look.day()),
                        "Keep one of them.");
                continue;
            }
            before = look.day();
            looks.add(new Look.ByCount(
                    (int) ChronoUnit.DAYS.between(batch.taking().stuckOn(), look.day()),
                    look.kind(),
                    look.firstSign() == null ? OptionalInt.empty() : OptionalInt.of(look.firstSign()),
                    look.ready(),
                    look.lost(),
                    look.sent()));
            try {
                BatchHistory.replay(batch.taking().stuck(), signs, looks);
            } catch (ImpossibleLook r) {
                csv.faults()
                        .add(InvalidLine.of(look.line(), "—", r.field(), words.of(r.fault()), words.remedy(r.fault())));
                looks.remove(looks.size() - 1);
            }
        }
    }

    private static Set<String> ordered(String... names) {
        return Collections.unmodifiableSet(new LinkedHashSet<>(List.of(names)));
    }
}
