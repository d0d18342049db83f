package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.Look;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.treatment.Treatments;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * {@code history.csv}: batches by count, one line a batch and look, or a batch of which nobody wrote down a look. Everything that can be said of the file alone is checked
 * here; what the nursery already holds is not looked at.
 *
 * @param batches batches of the file, in the order in which they appear
 * @param faults every bad line; nothing may be kept while there is one
 */
record HistoryFile(List<OldBatch> batches, List<InvalidLine> faults) {

    /** Said of a whole file: what is not ready was lost. */
    static final String REST = "rest";

    HistoryFile {
        batches = List.copyOf(batches);
        faults = faults.stream()
                .sorted(Comparator.comparingLong(InvalidLine::line))
                .toList();
    }

    /** Reads the file's text. */
    static HistoryFile read(Csv csv, Guide guide, LocalDate today, Words words) {
        Map<String, OldBatch> batches = new LinkedHashMap<>();
        Set<String> faulty = new HashSet<>();
        for (Csv.CsvLine line : csv.lines()) {
            if (csv.isFaulty()) {
                return new HistoryFile(List.of(), csv.faults());
            }
            int before = csv.faultCount();
            readLine(line, today, csv, batches);
            if (csv.faultCount() > before) {
                faulty.add(line.raw("batch"));
            }
        }
        if (csv.faultCount() == 0 && batches.isEmpty()) {
            csv.fault(1, "—", "The file has no line after its header.", "Give a line for each look at a batch.");
        }
        // What follows from a bad line would only be noise; other batches are checked all the same.
        batches.values().stream()
                .filter(b -> !faulty.contains(b.name()))
                .forEach(b -> checkLooks(b, guide, csv, words));
        return new HistoryFile(new ArrayList<>(batches.values()), csv.faults());
    }

    private static void readLine(Csv.CsvLine line, LocalDate today, Csv csv, Map<String, OldBatch> batches) {
        int before = csv.faultCount();
        Optional<String> plant = line.needed("plant", 120);
        Optional<String> group = line.text("group", 40);
        Optional<String> method = line.needed("method", 80);
        Optional<String> medium = line.needed("medium", 80);
        line.needed("stuck_on", 40);
        Optional<AboutDay> stuckOn = line.day("stuck_on", today);
        line.needed("stuck", 40);
        Optional<Integer> stuck = line.number("stuck", 1, Limits.MOST_PIECES);
        Optional<AboutDay> takenOn = line.day("taken_on", today);
        Optional<Integer> taken = line.number("taken", 1, Limits.MOST_PIECES);
        Optional<String> stock = line.text("stock", 120);
        Optional<String> treatment = line.text("treatment", 300);
        Optional<OldLook> look = look(line, today, stuck);
        Optional<String> name = line.text("batch", 80);
        if (csv.faultCount() > before) {
            return;
        }
        AboutDay day0 = stuckOn.orElseThrow();
        OldBatch read = new OldBatch(
                name.orElseGet(() -> unnamed(batches, plant.orElseThrow(), day0)),
                line.number(),
                new OldBatch.Named(plant.orElseThrow(), group.orElse(null), stock.orElse(null)),
                new OldBatch.Done(method.orElseThrow(), medium.orElseThrow(), Treatments.read(treatment.orElse(""))),
                new Taking(
                        takenOn.map(AboutDay::middle).orElse(day0.middle()),
                        taken.orElse(stuck.orElseThrow()),
                        day0.middle(),
                        stuck.orElseThrow(),
                        day0.giveOrTake()),
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
        look.map(l -> l.notBefore(read.taking().stuckOn()))
                .filter(l -> known.looks().size() <= Caps.LOOKS)
                .ifPresent(known.looks()::add);
        if (known.looks().size() > Caps.LOOKS) {
            line.bad(
                    "looked_on",
                    Messages.text("HistoryFile.looks", "most", Caps.LOOKS),
                    "Leave out the looks that say nothing new.");
        }
    }

    /** A notebook names no batches: the plant and the day do, and a number where several were stuck on one day. */
    private static String unnamed(Map<String, OldBatch> batches, String plant, AboutDay day) {
        String stem = plant.substring(0, Math.min(60, plant.length())) + " " + day.middle();
        String name = stem;
        for (int i = 2; batches.containsKey(name); i++) {
            name = stem + " (" + i + ")";
        }
        return name;
    }

    /** The look of a line; none where it says neither a day nor a count. */
    private static Optional<OldLook> look(Csv.CsvLine line, LocalDate today, Optional<Integer> stuck) {
        Optional<AboutDay> day = line.day("looked_on", today);
        Optional<Integer> ready = line.number("ready", 0, Limits.MOST_PIECES);
        boolean rest = line.raw("lost").equals(REST);
        Optional<Integer> lost =
                rest ? stuck.map(n -> Math.max(0, n - ready.orElse(0))) : line.number("lost", 0, Limits.MOST_PIECES);
        Optional<Integer> sent = line.number("sent", 0, Limits.MOST_PIECES);
        Optional<Integer> firstSign = line.number("first_sign", 0, Limits.MOST_PIECES);
        Optional<Integer> young = line.number("young_plants", 0, 100_000);
        Optional<LookKind> look = line.word("look", LookKind::of);
        Optional<String> note = line.text("note", 500);
        boolean said =
                !line.raw("ready").isEmpty() || (!rest && !line.raw("lost").isEmpty());
        if (line.raw("looked_on").isEmpty()) {
            if (said) {
                line.bad(
                        "looked_on",
                        Messages.text("HistoryFile.when.looked"),
                        Messages.text("HistoryFile.give.look.day"));
            }
            return Optional.empty();
        }
        line.needed("ready", 40);
        if (!rest) {
            line.needed("lost", 40);
        }
        return day.filter(d -> ready.isPresent() && lost.isPresent())
                .map(d -> new OldLook(
                        line.number(),
                        d.middle(),
                        d.giveOrTake(),
                        look.orElse(LookKind.LIFTED),
                        new OldLook.Counted(
                                firstSign.orElse(null),
                                ready.orElseThrow(),
                                lost.orElseThrow(),
                                sent.orElse(0),
                                young.orElse(null)),
                        note.orElse(null)));
    }

    private static void checkSame(Csv.CsvLine line, OldBatch known, OldBatch read) {
        differs(line, "plant", known.of().plant(), read.of().plant(), known);
        differs(line, "method", known.done().method(), read.done().method(), known);
        differs(line, "medium", known.done().medium(), read.done().medium(), known);
        differs(
                line,
                "treatment",
                WayWords.of(known.done().treatment()),
                WayWords.of(read.done().treatment()),
                known);
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
                    look.counts().firstSign() == null
                            ? OptionalInt.empty()
                            : OptionalInt.of(look.counts().firstSign()),
                    look.counts().ready(),
                    look.counts().lost(),
                    look.counts().sent()));
            try {
                BatchHistory.replay(batch.taking().stuck(), signs, looks);
            } catch (ImpossibleLook r) {
                csv.fault(InvalidLine.of(look.line(), "—", r.field(), words.of(r.fault()), words.remedy(r.fault())));
                looks.remove(looks.size() - 1);
            }
        }
    }
}
