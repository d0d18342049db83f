package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.Sharing;
import garden.vivarium.core.compare.TimeScores;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What made the difference, of all batches that are over. */
@Service
class Differences {

    /** For sooner or later whole batches change places, which tells nothing with fewer on a side. */
    private static final int ENOUGH_FOR_TIMES = 4;

    private final JudgedBatches finished;
    private final Watched watched;
    private final Evidence evidence;

    Differences(JudgedBatches finished, Watched watched, Evidence evidence) {
        this.finished = finished;
        this.watched = watched;
        this.evidence = evidence;
    }

    /**
     * What is asked.
     *
     * @param factor what may have made it
     * @param plant of which plant alone, or blank for all
     * @param first one value; blank for the commonest
     * @param second another; blank for the next
     */
    record Question(Factor factor, String plant, String first, String second) {}

    /**
     * The answer.
     *
     * @param tried the values that can be set against each other, the commonest first
     * @param comparison of the two that were asked about; empty where fewer than two were tried
     * @param sooner whether the first was sooner or gave more often; empty with too few batches
     * @param wouldTell how many batches more on each side would tell; 0 where none are needed
     */
    record Answer(
            List<Comparison.Tried> tried,
            Optional<Comparison> comparison,
            Optional<TimeScores.Result> sooner,
            int wouldTell) {}

    /** The plants that have batches to ask about. */
    @Transactional(readOnly = true)
    List<String> plants() {
        return finished.all().stream().map(FinishedBatch::plant).collect(Collectors.toCollection(TreeSet::new)).stream()
                .toList();
    }

    /** Questions of which at least two values were tried. */
    @Transactional(readOnly = true)
    List<Factor> questions() {
        List<FinishedBatch> all = finished.all();
        return Arrays.stream(Factor.values())
                .filter(Factor::isQuestion)
                .filter(f -> all.stream()
                                .flatMap(b -> b.is(f).stream())
                                .distinct()
                                .limit(2)
                                .count()
                        == 2)
                .toList();
    }

    /** Answers. */
    @Transactional(readOnly = true)
    Answer answer(Question q) {
        List<FinishedBatch> all = finished.all().stream()
                .filter(b -> q.plant().isBlank() || b.plant().equals(q.plant()))
                .toList();
        List<Comparison.Tried> tried = Comparison.tried(q.factor(), all);
        Optional<String> first = chosen(tried, q.first(), "");
        Optional<String> second = first.flatMap(f -> chosen(tried, q.second(), f));
        if (second.isEmpty()) {
            return new Answer(tried, Optional.empty(), Optional.empty(), 0);
        }
        double rho = evidence.record().spread().rho();
        Comparison.Asked asked = new Comparison.Asked(q.factor(), first.get(), second.get());
        Comparison comparison = Comparison.of(asked, all, rho, Sharing.of(watched.shared()));
        return new Answer(
                tried,
                Optional.of(comparison),
                sooner(asked, all),
                comparison.wouldTell(rho).orElse(0));
    }

    private static Optional<String> chosen(List<Comparison.Tried> tried, String wanted, String but) {
        return tried.stream()
                .map(Comparison.Tried::value)
                .filter(v -> v.equals(wanted) && !v.equals(but))
                .findFirst()
                .or(() -> tried.stream()
                        .map(Comparison.Tried::value)
                        .filter(v -> !v.equals(but))
                        .findFirst());
    }

    private static Optional<TimeScores.Result> sooner(Comparison.Asked asked, List<FinishedBatch> all) {
        List<TimeScores.Unit> units = all.stream()
                .filter(b -> b.is(asked.factor())
                        .filter(v -> v.equals(asked.first()) || v.equals(asked.second()))
                        .isPresent())
                .filter(b -> b.ready().lastDay() > 0)
                .map(b -> new TimeScores.Unit(
                        b.plant() + ", " + b.method(),
                        b.is(asked.factor()).orElseThrow().equals(asked.first()),
                        b.ready()))
                .toList();
        List<TimeScores.Unit> shared = units.stream()
                .filter(u -> units.stream().anyMatch(o -> o.stratum().equals(u.stratum()) && o.first() != u.first()))
                .toList();
        long first = shared.stream().filter(TimeScores.Unit::first).count();
        return first < ENOUGH_FOR_TIMES || shared.size() - first < ENOUGH_FOR_TIMES
                ? Optional.empty()
                : Optional.of(TimeScores.of(shared));
    }
}
