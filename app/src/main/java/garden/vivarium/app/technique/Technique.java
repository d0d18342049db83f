package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.evidence.CurveDrawing;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.CurveBand;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.Level;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.TraySpace;
import garden.vivarium.core.timing.SeasonFactors;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every way that has data, and the curves of those chosen. */
@Service
class Technique {

    /** How many ways the page begins with. */
    static final int SHOWN = 30;

    private static final double USUALLY_SETTLE = 0.95;

    private final Evidence evidence;
    private final BatchBook book;
    private final Stock stock;
    private final Guide guide;
    private final GuideLookup lookup;
    private final CurrentNursery nursery;
    private final Map<UUID, Lines> lines = new ConcurrentHashMap<>();
    private final Map<UUID, Map<Way, Drawn>> curves = new ConcurrentHashMap<>();

    Technique(Evidence evidence, BatchBook book, Stock stock, Guide guide, GuideLookup lookup, CurrentNursery nursery) {
        this.evidence = evidence;
        this.book = book;
        this.stock = stock;
        this.guide = guide;
        this.lookup = lookup;
        this.nursery = nursery;
    }

    /** The nursery's record as of now. */
    @Transactional(readOnly = true)
    NurseryRecord record() {
        return evidence.record();
    }

    /** Ways with data: plants in order of name, and of each the way with the most pieces first. */
    List<WayLine> ways(NurseryRecord record, WaySort sort) {
        Lines known = lines(record);
        return known.ways().keySet().stream()
                .map(w -> line(known, w))
                .sorted(sort.order())
                .toList();
    }

    /** How many ways have data. */
    int count(NurseryRecord record) {
        return lines(record).ways().size();
    }

    /** The first so many of {@link #ways}; where their order is known without what each gives, the others are not reckoned. */
    List<WayLine> first(NurseryRecord record, WaySort sort, int howMany) {
        if (sort != WaySort.BY_PLANT) {
            return ways(record, sort).stream().limit(howMany).toList();
        }
        Lines known = lines(record);
        return known.ways().entrySet().stream()
                .sorted(Comparator.comparing(
                                (Map.Entry<Way, WayLine.Done> e) -> e.getKey().plant())
                        .thenComparing(e -> -e.getValue().pieces())
                        .thenComparing(e -> e.getKey().written()))
                .limit(howMany)
                .map(e -> line(known, e.getKey()))
                .toList();
    }

    /** Reckons again what the page begins with, where somebody has read it. */
    @Transactional(readOnly = true)
    public void reckon() {
        if (lines.containsKey(nursery.required())) {
            begin();
        }
    }

    /** Reckons what the page begins with. */
    @Transactional(readOnly = true)
    public void begin() {
        NurseryRecord record = record();
        first(record, WaySort.BY_PLANT, SHOWN);
        most(record).ifPresent(l -> curve(record, l.way()));
    }

    /** The way of that key, if it has data. */
    Optional<WayLine> find(NurseryRecord record, String key) {
        Lines known = lines(record);
        return known.ways().keySet().stream()
                .filter(w -> WayKey.of(w).text().equals(key))
                .findFirst()
                .map(w -> line(known, w));
    }

    /** The way with the most batches. */
    Optional<WayLine> most(NurseryRecord record) {
        Lines known = lines(record);
        return known.ways().entrySet().stream()
                .max(Comparator.comparingInt(e -> e.getValue().batches()))
                .map(e -> line(known, e.getKey()));
    }

    private Lines lines(NurseryRecord record) {
        UUID of = nursery.required();
        Lines known = lines.get(of);
        if (known == null || known.record() != record) {
            Map<Way, WayLine.Done> ways = new LinkedHashMap<>();
            record.ways().forEach((way, batches) -> {
                if (!way.isOfTrial()) {
                    ways.put(way, done(batches));
                }
            });
            known = new Lines(
                    record, ways, new ConcurrentHashMap<>(), known == null ? Map.of() : Map.copyOf(known.lines()));
            lines.put(of, known);
        }
        return known;
    }

    /** Lines of a record, as far as they were asked for; of the next only those change whose evidence does. */
    private record Lines(
            NurseryRecord record, Map<Way, WayLine.Done> ways, Map<Way, WayLine> lines, Map<Way, WayLine> before) {}

    private WayLine line(Lines of, Way way) {
        return of.lines()
                .computeIfAbsent(
                        way,
                        w -> line(of.record(), w, of.ways().get(w), of.before().get(w)));
    }

    private static WayLine.Done done(List<WayBatch> batches) {
        return new WayLine.Done(
                batches.size(),
                batches.stream().mapToLong(WayBatch::stuck).sum(),
                batches.stream().mapToLong(WayBatch::kept).sum(),
                batches.stream().mapToLong(WayBatch::running).sum());
    }

    /** The curve of a way, from all its batches that have been looked at; drawn once while they stand as they are. */
    Optional<CurveDrawing> curve(NurseryRecord record, Way way) {
        Map<Way, Drawn> of = curves.computeIfAbsent(nursery.required(), n -> new ConcurrentHashMap<>());
        List<WayBatch> batches = record.of(way);
        Drawn known = of.get(way);
        if (known == null || !known.batches().equals(batches) || !known.guide().equals(record.guide(way))) {
            known = new Drawn(batches, record.guide(way), draw(record, way));
            of.put(way, known);
        }
        return known.curve();
    }

    /** A curve, and what it was drawn from. */
    private record Drawn(List<WayBatch> batches, GuideFigures guide, Optional<CurveDrawing> curve) {}

    private static Optional<CurveDrawing> draw(NurseryRecord record, Way way) {
        List<Tallies> tallies = record.of(way).stream()
                .filter(b -> b.lastKnowingLook() > 0)
                .map(WayBatch::ready)
                .toList();
        return tallies.isEmpty()
                ? Optional.empty()
                : Optional.of(CurveDrawing.of(
                                way.plant() + ", " + WayWords.of(way),
                                RootingCurve.fit(Tallies.pooled(tallies)),
                                CurveBand.of(tallies))
                        .beside(record.guide(way)));
    }

    /** The median of a way among those ready by the last look. */
    Optional<RootingCurve.Between> median(NurseryRecord record, Way way) {
        Tallies pooled =
                Tallies.pooled(record.of(way).stream().map(WayBatch::ready).toList());
        return pooled.isEmpty() ? Optional.empty() : RootingCurve.fit(pooled).median();
    }

    /** By the keys of ways, the names of the places in which they were tried. */
    @Transactional(readOnly = true)
    Map<String, String> places() {
        Map<UUID, String> names = stock.places().stream().collect(Collectors.toMap(PlaceView::id, PlaceView::name));
        return book.placed().stream()
                .filter(p -> names.containsKey(p.placeId()))
                .collect(Collectors.toMap(
                        p -> WayKey.of(p.way()).text(),
                        p -> names.get(p.placeId()),
                        (one, other) -> one + " " + other));
    }

    private WayLine line(NurseryRecord record, Way way, WayLine.Done done, WayLine before) {
        StrikeRate strike = record.strike(way);
        return new WayLine(
                WayKey.of(way).text(),
                guide.method(way.method()).map(Method::planted).orElse(false),
                way,
                done,
                strike,
                record.ready(way),
                record.firstSign(way, SeasonFactors.IN_SEASON),
                gives(record, way, record.of(way)),
                new WayLine.ByGuide(strike.guideRate(), record.guide(way).ready()),
                before != null && before.strike().equals(strike) ? before.doubt() : WayLine.Doubt.of(strike));
    }

    private WayLine.Gives gives(NurseryRecord record, Way way, List<WayBatch> batches) {
        Optional<Protocol.Figures> figures = lookup.allFigures(way);
        double usually = figures.map(f -> f.establishment().rate()).orElse(USUALLY_SETTLE);
        // By this way's own moves alone: borrowed for all ways at once it would be a long list to wait for.
        double settle = StrikeRate.of(
                        Math.max(0.02, Math.min(0.98, usually)),
                        List.of(new Level(
                                Closeness.THIS_WAY,
                                batches.stream()
                                        .filter(b -> b.moved().of() > 0)
                                        .map(b -> new BatchCount(
                                                b.moved().settled(), b.moved().of()))
                                        .toList())),
                        record.spread().rho())
                .mean();
        double output = figures.map(f -> f.output().mean()).orElse(1.0);
        double perPiece = record.strike(way).mean() * output * settle;
        return new WayLine.Gives(
                settle,
                output,
                perPiece,
                TraySpace.PIECES_TO_A_TRAY
                        * perPiece
                        / Math.max(1, record.ready(way).day(0.5) / 7));
    }

    /** What differs between two ways, in words. */
    static List<String> differences(Way a, Way b) {
        return Map.of(
                        "plant", List.of(a.plant(), b.plant()),
                        "method", List.of(a.method(), b.method()),
                        "medium", List.of(a.medium(), b.medium()),
                        "treatment", List.of(none(WayWords.treated(a)), none(WayWords.treated(b))))
                .entrySet()
                .stream()
                .filter(e -> !e.getValue().get(0).equals(e.getValue().get(1)))
                .sorted(Map.Entry.comparingByKey())
                .map(e -> Messages.text(
                        "Technique.or",
                        "key",
                        e.getKey(),
                        "value",
                        e.getValue().get(0),
                        "valueThen",
                        e.getValue().get(1)))
                .toList();
    }

    private static String none(String treatment) {
        return treatment.isEmpty() ? "no treatment" : treatment;
    }

    @EventListener
    public void returned(NurseryReturned back) {
        lines.remove(back.nursery());
        curves.remove(back.nursery());
    }
}
