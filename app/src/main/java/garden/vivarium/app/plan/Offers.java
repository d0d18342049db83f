package garden.vivarium.app.plan;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.PlantWayView;
import garden.vivarium.app.stock.Plants;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Verdict;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The ways that are offered for a plant: what the guide says of its kind, less what was struck off, with what was added here. */
@Component
public class Offers {

    private final Protocols protocols;
    private final Plants plants;
    private final Guide guide;
    private final Evidence evidence;

    Offers(Protocols protocols, Plants plants, Guide guide, Evidence evidence) {
        this.protocols = protocols;
        this.plants = plants;
        this.guide = guide;
        this.evidence = evidence;
    }

    /** Methods that have gone well with a plant here: its record opens a way, whatever the guide holds of it. */
    private Set<String> proven(PlantView plant) {
        NurseryRecord record = evidence.record();
        Map<String, int[]> judged = new HashMap<>();
        record.ways().keySet().stream()
                .filter(w -> w.plant().equals(plant.name()))
                .forEach(w -> {
                    NurseryRecord.Past past = record.past(w);
                    int[] sum = judged.computeIfAbsent(w.method(), m -> new int[2]);
                    sum[0] += past.pieces();
                    sum[1] += past.kept();
                });
        return judged.entrySet().stream()
                .filter(e -> e.getValue()[0] >= FEWEST_JUDGED && 2 * e.getValue()[1] >= e.getValue()[0])
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** All that are offered, as they are done with the plant's kind. */
    @Transactional(readOnly = true)
    public List<OfferedWay> of(PlantView plant) {
        Map<Boolean, Set<String>> said = plants.ways(plant.id()).stream()
                .collect(Collectors.partitioningBy(
                        PlantWayView::struck, Collectors.mapping(PlantWayView::method, Collectors.toSet())));
        List<Protocol> all = Stream.concat(protocols.own().stream(), guide.protocols().stream())
                .toList();
        List<OfferedWay> offered = new ArrayList<>(guide.offered(guide.kind(plant.kind()), plant.group(), all));
        Set<String> known = offered.stream().map(o -> o.protocol().method()).collect(Collectors.toSet());
        Stream.concat(said.get(false).stream(), proven(plant).stream())
                .distinct()
                .filter(m -> !known.contains(m))
                .flatMap(m -> guide.near(m, plant.group(), all).stream())
                .map(p -> new OfferedWay(p, Verdict.USUAL, MOST, false))
                .forEach(offered::add);
        return offered.stream()
                .filter(o -> !said.get(true).contains(o.protocol().method()))
                .map(o -> new OfferedWay(guide.fitted(o.protocol(), plant.grown()), o.verdict(), o.rank(), o.guess()))
                .toList();
    }

    /** The protocols that are offered, the usual ones first. */
    @Transactional(readOnly = true)
    public List<Protocol> protocols(PlantView plant) {
        return of(plant).stream()
                .sorted((a, b) -> a.verdict().compareTo(b.verdict()))
                .map(OfferedWay::protocol)
                .toList();
    }

    private static final int MOST = 99;
    /** Fewer pieces than this prove nothing. */
    private static final int FEWEST_JUDGED = 5;

    /**
     * A method that is not offered, and why.
     *
     * @param method its name
     * @param why in a few words
     * @param struck what was said here, where it was struck off here
     */
    public record Refused(String method, String why, Optional<PlantWayView> struck) {}

    /** The methods that are not offered: struck off here first, then those that the guide never uses for the kind. */
    @Transactional(readOnly = true)
    public List<Refused> refused(PlantView plant) {
        List<PlantWayView> said = plants.ways(plant.id());
        List<Refused> refused = new ArrayList<>(said.stream()
                .filter(PlantWayView::struck)
                .map(w -> new Refused(w.method(), w.word(), Optional.of(w)))
                .toList());
        Optional<PlantKind> kind = guide.kind(plant.kind());
        Set<String> proven = proven(plant);
        kind.ifPresent(k -> guide.methods().stream()
                .filter(m -> k.verdict(m.name()) == Verdict.NEVER)
                .filter(m -> !proven.contains(m.name()))
                .filter(m -> said.stream().noneMatch(w -> w.method().equals(m.name())))
                .map((Method m) -> new Refused(m.name(), guide.whyNever(k, m), Optional.empty()))
                .forEach(refused::add));
        return refused;
    }
}
