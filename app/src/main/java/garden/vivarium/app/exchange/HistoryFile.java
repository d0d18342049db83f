package garden.vivarium.app.exchange;

import static garden.vivarium.app.exchange.Column.Sort.CODE;
import static garden.vivarium.app.exchange.Column.Sort.COUNT;
import static garden.vivarium.app.exchange.Column.Sort.DAY;
import static garden.vivarium.app.exchange.Column.Sort.GROUP;
import static garden.vivarium.app.exchange.Column.Sort.MEDIUM;
import static garden.vivarium.app.exchange.Column.Sort.METHOD;
import static garden.vivarium.app.exchange.Column.Sort.PLANT;
import static garden.vivarium.app.exchange.Column.Sort.TEXT;

import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.Limits;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.Look;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.LookKind;
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

    private static final int MOST_UNSURE = 400;

    static final List<Column> COLUMNS = List.of(
            Column.optional(
                    "batch", "Batch, by its old name", TEXT, "batch no", "batch code", "code", "label", "id", "tray"),
            Column.needed("plant", "Plant", PLANT, "variety", "cultivar", "species", "name", "plant name", "what"),
            Column.optional("group", "Group of a new plant", GROUP, "plant group"),
            Column.optional("stock", "Stock plant", TEXT, "stock plant", "mother", "mother plant", "from", "parent"),
            Column.needed(
                    "method",
                    "Method",
                    METHOD,
                    "how",
                    "type",
                    "cutting type",
                    "kind of cutting",
                    "technique",
                    "material"),
            Column.needed("medium", "Medium", MEDIUM, "substrate", "in", "mix", "rooting medium", "compost", "soil"),
            Column.optional("treatment", "Treatments", TEXT, "treatments", "hormone", "rooting hormone", "treated"),
            Column.optional(
                    "taken_on", "Day taken", DAY, "taken", "date taken", "cut on", "cut", "date cut", "taken on"),
            Column.optional("taken", "Pieces taken", COUNT, "number taken", "no taken", "cut number"),
            Column.needed(
                    "stuck_on",
                    "Day stuck",
                    DAY,
                    "date",
                    "stuck",
                    "date stuck",
                    "started",
                    "start",
                    "planted",
                    "planted on",
                    "date planted",
                    "day",
                    "stuck on",
                    "set",
                    "start date"),
            Column.needed(
                    "stuck",
                    "Pieces stuck",
                    COUNT,
                    "number",
                    "no stuck",
                    "how many",
                    "count",
                    "quantity",
                    "qty",
                    "pieces",
                    "cuttings",
                    "number stuck",
                    "total",
                    "n",
                    "no"),
            Column.optional(
                            "looked_on",
                            "Day of the look",
                            DAY,
                            "looked",
                            "checked",
                            "date checked",
                            "checked on",
                            "look on",
                            "date rooted",
                            "rooted on",
                            "looked at",
                            "last look",
                            "potted",
                            "potted on",
                            "date potted")
                    .neededWith("ready"),
            Column.optional("look", "How it was looked at", CODE),
            Column.optional("first_sign", "First roots seen", COUNT, "callused", "with roots", "first roots"),
            Column.optional(
                    "ready",
                    "Rooted so far",
                    COUNT,
                    "rooted",
                    "ready",
                    "success",
                    "took",
                    "struck",
                    "alive",
                    "survived",
                    "number rooted",
                    "no rooted",
                    "potted up",
                    "good",
                    "ok"),
            Column.optional(
                            "lost",
                            "Lost so far",
                            COUNT,
                            "dead",
                            "died",
                            "failed",
                            "rotted",
                            "losses",
                            "lost",
                            "number lost",
                            "no lost")
                    .neededWith("ready"),
            Column.optional("sent", "Sent away", COUNT, "sent away", "given", "sold"),
            Column.optional("young_plants", "Young plants", COUNT, "plants", "plants made"),
            Column.optional("note", "Note", TEXT, "notes", "remarks", "comment", "comments"));

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

        /** The last look, if there was one. */
        Optional<OldLook> last() {
            return looks.isEmpty() ? Optional.empty() : Optional.of(looks.get(looks.size() - 1));
        }

        /** When it was taken and stuck; the day is as unsure as the least sure of its looks makes it. */
        Taking taken() {
            int unsure = looks.stream().mapToInt(OldLook::unsureDays).max().orElse(0);
            return new Taking(
                    taking.takenOn(),
                    taking.taken(),
                    taking.stuckOn(),
                    taking.stuck(),
                    Math.min(MOST_UNSURE, taking.unsureDays() + unsure));
        }
    }

    /** A look of the file, on that day or up to so many days before or after it. */
    record OldLook(long line, LocalDate day, int unsureDays, LookKind kind, Counted counts, String note) {

        /** Counts so far; what the file does not say is null. */
        record Counted(Integer firstSign, int ready, int lost, int sent, Integer youngPlants) {}

        /** About the day on which it was stuck is that day or later. */
        OldLook notBefore(LocalDate stuckOn) {
            boolean about = unsureDays > 0
                    && day.isBefore(stuckOn)
                    && !day.plusDays(unsureDays).isBefore(stuckOn);
            return about ? new OldLook(line, stuckOn, unsureDays, kind, counts, note) : this;
        }
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
                new OldBatch.Done(method.orElseThrow(), medium.orElseThrow(), Way.treatment(treatment.orElse(""))),
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
