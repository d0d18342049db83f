package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchChanges;
import garden.vivarium.app.batch.BatchFacts;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.treatment.Treatments;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All batches of a nursery that are over, with what is known of how each was done. Read once while nothing is written down of any of them. */
@Service
class JudgedBatches {

    private final Evidence evidence;
    private final BatchChanges changes;
    private final Stock stock;
    private final GuideLookup guide;
    private final People people;
    private final CurrentNursery nursery;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    JudgedBatches(
            Evidence evidence,
            BatchChanges changes,
            Stock stock,
            GuideLookup guide,
            People people,
            CurrentNursery nursery) {
        this.evidence = evidence;
        this.changes = changes;
        this.stock = stock;
        this.guide = guide;
        this.people = people;
        this.nursery = nursery;
    }

    private record Held(
            NurseryRecord record, BatchChanges.Done done, Map<UUID, Made> made, List<FinishedBatch> batches) {}

    /** A batch, and what it was made of: as long as that stands, so does it. */
    private record Made(BatchFacts facts, WayBatch told, FinishedBatch batch) {}

    /** All of them, the first stuck first. */
    @Transactional(readOnly = true)
    List<FinishedBatch> all() {
        UUID id = nursery.required();
        Held before = held.get(id);
        BatchChanges.Done done = changes.done(before == null ? BatchChanges.Done.NOTHING : before.done());
        NurseryRecord record = evidence.record();
        if (before != null && before.record() == record && before.done().batches() == done.batches()) {
            return before.batches();
        }
        Map<UUID, BatchFacts> facts = done.batches();
        Map<UUID, String> places = stock.places().stream().collect(Collectors.toMap(PlaceView::id, PlaceView::name));
        Map<UUID, String> plants =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, StockPlantView::code));
        Words words = new Words(places, plants, new HashMap<>(), people.hemisphere());
        Map<UUID, Made> known = before == null ? Map.of() : before.made();
        Map<UUID, Made> made = new HashMap<>();
        evidence.known().batches().forEach((batch, told) -> {
            BatchFacts now = facts.get(batch);
            // Both ways of a trial stand in its trays; it is read by itself.
            if (told.isFinished() && now != null && !told.way().isOfTrial()) {
                Made then = known.get(batch);
                made.put(
                        batch,
                        then != null && then.facts() == now && then.told() == told
                                ? then
                                : new Made(now, told, finished(now, told, words)));
            }
        });
        List<FinishedBatch> batches = before != null && isSame(before.made(), made)
                ? before.batches()
                : made.values().stream()
                        .map(Made::batch)
                        .sorted(Comparator.comparing(FinishedBatch::stuckOn).thenComparing(FinishedBatch::code))
                        .toList();
        held.put(id, new Held(record, done, made, batches));
        return batches;
    }

    private static boolean isSame(Map<UUID, Made> before, Map<UUID, Made> now) {
        return before.size() == now.size()
                && now.entrySet().stream().allMatch(e -> before.get(e.getKey()) == e.getValue());
    }

    /** Of each of them its id, by its label. */
    @Transactional(readOnly = true)
    Map<String, UUID> ids() {
        all();
        Map<String, UUID> ids = new HashMap<>();
        Optional.ofNullable(held.get(nursery.required()))
                .ifPresent(h -> h.made().forEach((id, m) -> ids.put(m.batch().code(), id)));
        return ids;
    }

    /** By what names are said: places, stock plants, and how a version of a protocol keeps what was stuck. */
    private record Words(
            Map<UUID, String> places,
            Map<UUID, String> plants,
            Map<String, Optional<Protocol.Air>> airs,
            Hemisphere hemisphere) {}

    private FinishedBatch finished(BatchFacts f, WayBatch b, Words words) {
        Map<Factor, String> is = new EnumMap<>(Factor.class);
        is.put(Factor.MEDIUM, b.way().medium());
        Treatments treatments = f.done().treatment();
        is.put(Factor.HORMONE, said(treatments.hormones(), Factor.HORMONE));
        is.put(Factor.TREATMENT, said(treatments.others(), Factor.TREATMENT));
        is.put(Factor.DRIED, Facts.dried(f.taking().takenOn(), f.taking().stuckOn()));
        is.put(Factor.SEASON, Facts.season(f.taking().stuckOn(), words.hemisphere()));
        put(is, Factor.PIECE, f.material().pieceKind());
        put(
                is,
                Factor.LENGTH,
                f.material().lengthMm() == null
                        ? null
                        : Facts.length(f.material().lengthMm()));
        put(
                is,
                Factor.NODES,
                f.material().nodes() == null
                        ? null
                        : String.valueOf(f.material().nodes()));
        put(
                is,
                Factor.CONDITION,
                f.material().stockState() == null
                        ? null
                        : f.material().stockState().words());
        put(is, Factor.PLACE, words.places().get(f.placeId()));
        put(is, Factor.STOCK_PLANT, words.plants().get(f.stockPlantId()));
        put(is, Factor.PERSON, f.madeBy());
        Optional<Protocol.Air> air = Optional.empty();
        if (f.done().protocol() != null && f.done().protocolVersion() != null) {
            air = words.airs()
                    .computeIfAbsent(
                            f.done().protocol() + " " + f.done().protocolVersion(),
                            k -> guide.protocol(f.done().protocol(), f.done().protocolVersion(), b.way())
                                    .map(p -> p.keeping().air()));
            is.put(Factor.VERSION, f.done().protocol() + ", version " + f.done().protocolVersion());
            air.ifPresent(a -> is.put(Factor.BASE, a.base().isPresent() ? "warm from below" : "no warmth from below"));
        }
        Map<Measure, Double> measures =
                Facts.measures(f.taking(), treatments, f.material().lengthMm());
        air.ifPresent(a -> measures.put(Measure.LAMP, (double) a.lampHours()));
        return new FinishedBatch(
                f.code(),
                b.way().plant(),
                b.way().method(),
                f.taking().stuckOn(),
                f.taking()
                        .stuckOn()
                        .plusDays(Math.max(b.lastKnowingLook(), b.ready().lastLook())),
                new BatchCount(b.kept(), b.judgeable()),
                b.ready(),
                is,
                measures);
    }

    private static String said(Treatments treatments, Factor factor) {
        return treatments.isEmpty() ? factor.none().orElseThrow() : treatments.written();
    }

    private static void put(Map<Factor, String> is, Factor factor, String words) {
        if (words != null && !words.isBlank()) {
            is.put(factor, words);
        }
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.remove(back.nursery());
    }
}
