package garden.vivarium.core.evidence;

import java.util.List;

/** The batches of one way in one season: what is near a way is near all of them, so that they are summed once. */
final class WayGroup {

    private final WayInSeason of;
    private final List<WayBatch> all;
    private final List<WayBatch> finished;
    private final List<WayBatch> running;

    WayGroup(WayInSeason of, List<WayBatch> all) {
        this.of = of;
        this.all = List.copyOf(all);
        this.finished = all.stream().filter(WayBatch::isFinished).toList();
        this.running = all.stream().filter(b -> !b.isFinished()).toList();
    }

    WayInSeason of() {
        return of;
    }

    List<WayBatch> all() {
        return all;
    }

    List<WayBatch> finished() {
        return finished;
    }

    /** Those of which pieces may yet come, and those of which nothing can be judged. */
    List<WayBatch> running() {
        return running;
    }
}
