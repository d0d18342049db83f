package garden.vivarium.app.technique;

import garden.vivarium.app.batch.LossBook;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.watch.HandWork;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Young plants an hour of work, by way: taking and sticking, looks as often as they were made, potting, and clearing up what did not come. */
@Service
class WorkByWay {

    private static final double HOUR = 60;
    private static final int ENOUGH = 3;

    private final Technique technique;
    private final Evidence evidence;
    private final LossBook losses;

    WorkByWay(Technique technique, Evidence evidence, LossBook losses) {
        this.technique = technique;
        this.evidence = evidence;
        this.losses = losses;
    }

    /** About so many minutes of a batch. */
    record Minutes(double start, double look, double pot, double clear) {

        public double all() {
            return start + look + pot + clear;
        }
    }

    /**
     * A way.
     *
     * @param looks of a batch, on average
     * @param pieces of a batch, on average
     * @param young plants of a batch that settle, by this nursery's record
     */
    record Line(WayLine line, double looks, double pieces, double young, Minutes minutes) {

        public double perHour() {
            return HOUR * young / minutes.all();
        }
    }

    /** Two ways of one plant. */
    record Within(Line best, Line other) {}

    /** The plant whose ways, of three batches each, differ most in what an hour brings. */
    static Optional<Within> within(List<Line> lines) {
        Map<String, List<Line>> byPlant = lines.stream()
                .filter(l -> l.line().done().batches() >= ENOUGH)
                .collect(Collectors.groupingBy(l -> l.line().way().plant()));
        return byPlant.values().stream()
                .filter(l -> l.size() > 1)
                .map(l -> new Within(l.get(0), l.get(l.size() - 1)))
                .filter(w -> w.other().perHour() > 0)
                .max(Comparator.comparingDouble(
                        w -> w.best().perHour() / w.other().perHour()));
    }

    /** Ways that were finished at least once, the most an hour first. */
    @Transactional(readOnly = true)
    List<Line> lines() {
        NurseryRecord record = technique.record();
        Map<UUID, Integer> looks = losses.looks();
        Map<Way, int[]> sums = new HashMap<>();
        evidence.known().batches().forEach((id, b) -> {
            if (b.isFinished()) {
                int[] sum = sums.computeIfAbsent(b.way(), w -> new int[3]);
                sum[0]++;
                sum[1] += looks.getOrDefault(id, 0);
                sum[2] += b.stuck();
            }
        });
        List<Line> lines = new ArrayList<>();
        for (WayLine l : technique.ways(record, WaySort.BY_PLANT)) {
            int[] sum = sums.get(l.way());
            if (sum != null) {
                lines.add(line(l, sum[1] / (double) sum[0], sum[2] / (double) sum[0]));
            }
        }
        lines.sort(Comparator.comparingDouble(Line::perHour).reversed());
        return lines;
    }

    private static Line line(WayLine l, double looks, double pieces) {
        int n = (int) Math.max(1, Math.round(pieces));
        double ready = n * l.strike().mean();
        Minutes minutes = new Minutes(
                HandWork.START.minutes(n),
                looks * HandWork.LOOK.minutes(n),
                HandWork.POT.minutes((int) Math.round(ready * l.gives().output())),
                HandWork.CLEAR.minutes((int) Math.round(n - ready)));
        return new Line(l, looks, pieces, n * l.gives().perPiece(), minutes);
    }
}
