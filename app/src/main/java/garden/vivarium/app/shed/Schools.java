package garden.vivarium.app.shed;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Dispute;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Schools side by side, each with what this nursery's own batches say. */
@Service
class Schools {

    private static final double USUAL = 0.7;

    private final Evidence evidence;
    private final Protocols protocols;
    private final Guide guide;

    Schools(Evidence evidence, Protocols protocols, Guide guide) {
        this.evidence = evidence;
        this.protocols = protocols;
        this.guide = guide;
    }

    /** A protocol and the nursery's own record of it. */
    record Column(Protocol protocol, OwnRecord own) {}

    /** A side of a dispute and the nursery's own record of it. */
    record Side(Dispute.Side school, OwnRecord own) {}

    /**
     * A dispute with its sides.
     *
     * @param shared plants that were tried on every side; where there are any, only their batches are counted
     */
    record Question(Dispute dispute, List<Side> sides, int shared) {

        /** Whether every side has finished batches. */
        public boolean isTried() {
            return sides.stream().allMatch(s -> s.own().rate().isPresent());
        }
    }

    /** All ways of doing a method with plants of a group, the nursery's own first. */
    @Transactional(readOnly = true)
    List<Column> job(String group, String method) {
        NurseryRecord record = evidence.record();
        return protocols.suiting(group).stream()
                .filter(p -> p.method().equals(method))
                .map(p -> new Column(p, own(record, p, group)))
                .toList();
    }

    /** What this nursery's batches say of a protocol, over the plants of a group. */
    private static OwnRecord own(NurseryRecord record, Protocol p, String group) {
        Way way = Evidence.way(p, Grown.ofGroup(group));
        List<WayBatch> batches = record.ways().entrySet().stream()
                .filter(e -> e.getKey().group().equals(group) && !e.getKey().isOfTrial())
                .flatMap(e -> e.getValue().stream())
                .filter(b -> OwnRecord.isOf(b, way))
                .toList();
        return OwnRecord.of(batches, p.figures().rate(), record.spread().rho());
    }

    /** Where good growers disagree, with both sides' batches. */
    @Transactional(readOnly = true)
    List<Question> questions() {
        NurseryRecord record = evidence.record();
        List<WayBatch> all = record.ways().entrySet().stream()
                .filter(e -> !e.getKey().isOfTrial())
                .flatMap(e -> e.getValue().stream())
                .toList();
        return guide.disputes().stream().map(d -> question(d, all, record)).toList();
    }

    private Question question(Dispute d, List<WayBatch> all, NurseryRecord record) {
        List<WayBatch> concerned = all.stream()
                .filter(b -> guide.method(b.way().method())
                        .filter(m -> d.families().contains(m.family()))
                        .isPresent())
                .toList();
        List<List<WayBatch>> claimed = d.sides().stream()
                .map(s -> concerned.stream()
                        .filter(b -> s.claims(b.way().medium(), b.way().treatment()))
                        .toList())
                .toList();
        // Plants differ more than schools do: where the same plants were tried on every side, only those are compared.
        Set<String> shared = new HashSet<>(plants(claimed.get(0)));
        claimed.forEach(side -> shared.retainAll(plants(side)));
        List<Side> sides = new java.util.ArrayList<>();
        for (int i = 0; i < d.sides().size(); i++) {
            List<WayBatch> counted = shared.isEmpty()
                    ? claimed.get(i)
                    : claimed.get(i).stream()
                            .filter(b -> shared.contains(plant(b)))
                            .toList();
            sides.add(new Side(
                    d.sides().get(i),
                    OwnRecord.of(counted, USUAL, record.spread().rho())));
        }
        return new Question(d, sides, shared.size());
    }

    private static Set<String> plants(List<WayBatch> batches) {
        return batches.stream().map(Schools::plant).collect(Collectors.toSet());
    }

    private static String plant(WayBatch b) {
        return b.way().plant() + "|" + b.way().method();
    }
}
