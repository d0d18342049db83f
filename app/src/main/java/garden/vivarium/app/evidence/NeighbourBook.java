package garden.vivarium.app.evidence;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.evidence.Neighbours;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What other nurseries have given away and was read here; it counts at once, and no more once it is taken out. */
@Service
public class NeighbourBook {

    private final NeighbourWayRepository ways;
    private final EvidenceStamp stamp;
    private final CurrentNursery nursery;
    private final Today today;

    NeighbourBook(NeighbourWayRepository ways, EvidenceStamp stamp, CurrentNursery nursery, Today today) {
        this.ways = ways;
        this.stamp = stamp;
        this.nursery = nursery;
        this.today = today;
    }

    /** A way that was given, with how it is done where that was said. */
    public record GivenWay(Neighbours.Given given, List<String> steps) {}

    /** What one file held. */
    public record Source(UUID file, String name, Instant readAt, String readBy, List<GivenWay> ways) {

        /** Pieces that were judged. */
        public long pieces() {
            return ways.stream()
                    .flatMap(w -> w.given().batches().stream())
                    .mapToLong(b -> Math.round(b.of()))
                    .sum();
        }

        /** Share of them that was ready, 0 to 1. */
        public double share() {
            return 1.0 * kept() / pieces();
        }

        /** Of these, ready. */
        public long kept() {
            return ways.stream()
                    .flatMap(w -> w.given().batches().stream())
                    .mapToLong(b -> Math.round(b.kept()))
                    .sum();
        }
    }

    /** All sources, the earliest read first. */
    @Transactional(readOnly = true)
    public List<Source> sources() {
        Map<UUID, List<NeighbourWay>> files = new LinkedHashMap<>();
        ways.findAllByOrderByReadAtAscMethodAscMediumAscKindAscIdAsc()
                .forEach(w -> files.computeIfAbsent(w.fileId(), f -> new ArrayList<>())
                        .add(w));
        return files.entrySet().stream()
                .map(e -> new Source(
                        e.getKey(),
                        e.getValue().get(0).source(),
                        e.getValue().get(0).readAt(),
                        e.getValue().get(0).personName(),
                        e.getValue().stream()
                                .map(w -> new GivenWay(w.given(), w.steps()))
                                .toList()))
                .toList();
    }

    /** Keeps what a file holds. */
    @Transactional
    public void keep(String source, List<GivenWay> given) {
        UUID file = UUID.randomUUID();
        String who = nursery.person().map(SignedIn::name).orElse("Vivarium");
        given.forEach(g -> {
            NeighbourWay way = new NeighbourWay(file, source, g.given(), g.steps());
            way.readBy(who, today.now());
            ways.save(way);
        });
        stamp.raise(nursery.required());
    }

    /** Takes out again what a file held. */
    @Transactional
    public void takeOut(UUID file) {
        List<NeighbourWay> of = ways.findByFileId(file);
        if (of.isEmpty()) {
            throw new NotFound(Messages.text("NeighbourBook.nothing.of.that.file.is"));
        }
        ways.deleteAll(of);
        stamp.raise(nursery.required());
    }

    /** As evidence. */
    @Transactional(readOnly = true)
    Neighbours neighbours() {
        return Neighbours.of(ways.findAllByOrderByReadAtAscMethodAscMediumAscKindAscIdAsc().stream()
                .map(NeighbourWay::given)
                .toList());
    }
}
