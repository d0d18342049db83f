package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What this nursery should do differently, as its own record says: at most five sentences. It is reckoned once a quarter, from the batches that were
 * over when the quarter began, and all questions are asked at once, so that each has to be surer the more there are (Bonferroni): in a
 * nursery where nothing differs, any sentence that calls something better stands in at most one quarter of twenty.
 *
 * @param asOf the first day of the quarter
 * @param asked how many questions were asked of the record
 * @param sentences the most worth first
 * @param needless what is done for nothing: no claim of a difference, and the likelier to be said the more batches there are, so that it stands apart
 * @param nextQuestion of what is not told yet, what needs the fewest batches more; empty where nothing was tried in two ways
 */
public record WhatToDo(
        LocalDate asOf, int asked, List<Sentence> sentences, List<Sentence> needless, Optional<Open> nextQuestion) {

    private static final int MOST = 5;
    private static final int FEWEST_A_SIDE = 3;
    private static final double ERROR = 0.05;
    private static final int FEWEST_ALIKE = 8;
    private static final double ALIKE = 0.06;
    private static final int FEWEST_LOOKED = 6;

    /** Below so many standard deviations nothing is sure enough to be said of one question among many: 1.96 would be, of one. */
    private static final double WORTH_ASKING = 1.6;

    private static final int NEAREST = 8;
    private static final int SHARING = 1500;

    /** What a sentence says. */
    public enum Kind implements Rule {
        /** One way gives more: do it so. */
        BETTER,
        /** What is done for nothing. */
        NEEDLESS,
        /** Most were ready at the first look, so nobody knows how soon. */
        LOOK_EARLIER;

        /** Whether something else is to be done from now on. */
        public boolean isBetter() {
            return this == BETTER;
        }
    }

    /**
     * One sentence.
     *
     * @param plant of which it is said
     * @param comparison what it rests on; empty for looks
     * @param gain young plants a year that it would be worth, by what was stuck in the last one; 0 where it is not about plants
     * @param says it with its figures
     */
    public record Sentence(Kind kind, String plant, Optional<Comparison> comparison, double gain, Statement says) {

        /** Whether it is of something that a way may be changed in. */
        public boolean isOfAWay() {
            return comparison.map(c -> c.asked().factor().isOfAWay()).orElse(false);
        }
    }

    /**
     * A question that is not answered yet.
     *
     * @param batches how many more on each side would tell
     */
    public record Open(String plant, Comparison comparison, int batches) {}

    /** The first day of the quarter that a day lies in. */
    public static LocalDate quarter(LocalDate day) {
        return LocalDate.of(day.getYear(), (day.getMonthValue() - 1) / 3 * 3 + 1, 1);
    }

    /**
     * Asks everything of the record.
     *
     * @param all finished batches
     * @param rho how alike pieces of one batch are
     * @param today any day of the quarter
     */
    public static WhatToDo of(List<FinishedBatch> all, double rho, LocalDate today) {
        LocalDate asOf = quarter(today);
        List<FinishedBatch> then =
                all.stream().filter(b -> b.overOn().isBefore(asOf)).toList();
        List<Candidate> candidates = candidates(then);
        List<Sentence> sentences = new ArrayList<>();
        List<Open> open = new ArrayList<>();
        double each = ERROR / (2.0 * Math.max(1, candidates.size()));
        // A whole comparison is dear: it is made of what may be sure enough, and of the few that come nearest to it.
        List<Rough> rough = candidates.stream()
                .flatMap(c ->
                        Comparison.roughly(c.asked(), c.batches(), rho).stream().map(z -> new Rough(c, z)))
                .sorted(Comparator.comparingDouble((Rough r) -> -r.apart()))
                .toList();
        Sharing sharing = rough.isEmpty() ? Sharing.NONE : Sharing.of(Shared.of(latest(then), rho));
        int asked = 0;
        for (Rough r : rough) {
            boolean near = r.apart() >= WORTH_ASKING || asked < NEAREST;
            if (near || r.candidate().isTreatment()) {
                Candidate c = r.candidate();
                Comparison found = Comparison.of(c.asked(), c.batches(), rho, sharing);
                said(c, found, each, then, asOf).ifPresent(sentences::add);
                found.wouldTell(rho).ifPresent(n -> open.add(new Open(c.plant(), found, n)));
                asked++;
            }
        }
        sentences.addAll(looks(then));
        sentences.sort(Comparator.comparing(Sentence::kind).thenComparing(s -> -s.gain()));
        return new WhatToDo(
                asOf,
                candidates.size(),
                sentences.stream()
                        .filter(s -> s.kind() != Kind.NEEDLESS)
                        .limit(MOST)
                        .toList(),
                sentences.stream()
                        .filter(s -> s.kind() == Kind.NEEDLESS)
                        .limit(MOST)
                        .toList(),
                open.stream().min(Comparator.comparingInt(Open::batches)));
    }

    /** What batches of many years share tells little of these. */
    private static List<FinishedBatch> latest(List<FinishedBatch> all) {
        return all.subList(Math.max(0, all.size() - SHARING), all.size());
    }

    private record Candidate(String plant, Comparison.Asked asked, List<FinishedBatch> batches) {

        boolean isTreatment() {
            return asked.factor() == Factor.HORMONE || asked.factor() == Factor.TREATMENT;
        }
    }

    /** A question with how far its values are apart, in standard deviations, roughly. */
    private record Rough(Candidate candidate, double apart) {}

    /** For each plant in each respect the two values that were tried most: what is good for a fuchsia is not for a bulb. */
    private static List<Candidate> candidates(List<FinishedBatch> all) {
        Map<String, List<FinishedBatch>> byPlant =
                new TreeMap<>(all.stream().collect(Collectors.groupingBy(FinishedBatch::plant)));
        List<Candidate> found = new ArrayList<>();
        byPlant.forEach((plant, batches) -> found.addAll(candidates(plant, batches)));
        return found;
    }

    private static List<Candidate> candidates(String plant, List<FinishedBatch> batches) {
        List<Candidate> found = new ArrayList<>();
        for (Factor factor :
                Arrays.stream(Factor.values()).filter(WhatToDo::canBeChosen).toList()) {
            List<Comparison.Tried> tried = Comparison.tried(factor, batches).stream()
                    .filter(t -> t.batches() >= FEWEST_A_SIDE)
                    .limit(2)
                    .toList();
            if (tried.size() == 2) {
                found.add(new Candidate(
                        plant,
                        new Comparison.Asked(
                                factor, tried.get(0).value(), tried.get(1).value()),
                        batches));
            }
        }
        return found;
    }

    /** What somebody can do otherwise tomorrow. */
    private static boolean canBeChosen(Factor factor) {
        return switch (factor) {
            case PLANT, PERSON, STOCK_PLANT, VERSION -> false;
            default -> true;
        };
    }

    private static Optional<Sentence> said(
            Candidate c, Comparison found, double each, List<FinishedBatch> all, LocalDate asOf) {
        if (found.difference().isEmpty()) {
            return Optional.empty();
        }
        Difference d = found.difference().get();
        boolean sure = d.chance() >= 1 - each || d.chance() <= each;
        boolean called = found.verdict() == Comparison.Verdict.FIRST || found.verdict() == Comparison.Verdict.SECOND;
        if (sure && called) {
            boolean first = found.verdict() == Comparison.Verdict.FIRST;
            String worse = first ? c.asked().second() : c.asked().first();
            double pieces = lastYear(c, worse, all, asOf);
            // Of what is seen, the half that is surely there: what looks best of many looks better than it is.
            double least = Math.max(0, first ? d.low() : -d.high());
            return Optional.of(new Sentence(
                    Kind.BETTER,
                    c.plant(),
                    Optional.of(found),
                    pieces * least,
                    Statement.of(
                            Kind.BETTER,
                            "plant",
                            c.plant(),
                            "better",
                            first ? c.asked().first() : c.asked().second(),
                            "worse",
                            worse,
                            "a",
                            first ? found.first().share() : found.second().share(),
                            "b",
                            first ? found.second().share() : found.first().share(),
                            "batches",
                            found.first().batches() + found.second().batches(),
                            "pieces",
                            pieces,
                            "gain",
                            Math.floor(pieces * least))));
        }
        return needless(c, found, d);
    }

    /** Pieces that were judged the worse way in the year before. */
    private static double lastYear(Candidate c, String worse, List<FinishedBatch> all, LocalDate asOf) {
        return all.stream()
                .filter(b -> b.plant().equals(c.plant()))
                .filter(b -> b.is(c.asked().factor()).filter(worse::equals).isPresent())
                .filter(b -> !b.stuckOn().isBefore(asOf.minusYears(1)))
                .mapToDouble(b -> b.count().of())
                .sum();
    }

    /** A treatment that changes nothing, by enough batches to say so. */
    private static Optional<Sentence> needless(Candidate c, Comparison found, Difference d) {
        boolean treats = c.isTreatment();
        boolean firstIsNone = isNone(c.asked(), c.asked().first());
        boolean alike = d.low() > -ALIKE && d.high() < ALIKE;
        boolean enough = Math.min(found.first().batches(), found.second().batches()) >= FEWEST_ALIKE;
        if (!treats
                || !alike
                || !enough
                || firstIsNone == isNone(c.asked(), c.asked().second())) {
            return Optional.empty();
        }
        return Optional.of(new Sentence(
                Kind.NEEDLESS,
                c.plant(),
                Optional.of(found),
                0,
                Statement.of(
                        Kind.NEEDLESS,
                        "plant",
                        c.plant(),
                        "what",
                        firstIsNone ? c.asked().second() : c.asked().first(),
                        "with",
                        firstIsNone ? found.second().share() : found.first().share(),
                        "without",
                        firstIsNone ? found.first().share() : found.second().share(),
                        "batches",
                        found.first().batches() + found.second().batches())));
    }

    private static boolean isNone(Comparison.Asked asked, String value) {
        return asked.factor().none().filter(value::equals).isPresent();
    }

    /** Plants of which most were ready at the first look in most batches: how soon they are nobody can know. */
    private static List<Sentence> looks(List<FinishedBatch> all) {
        Map<List<String>, List<FinishedBatch>> ways = all.stream()
                .filter(b -> b.ready().total(Outcome.REACHED) > 0)
                .collect(Collectors.groupingBy(b -> List.of(b.plant(), b.method())));
        List<Late> late = ways.entrySet().stream()
                .map(e -> Late.of(e.getKey(), e.getValue()))
                .filter(l -> l.batches() >= FEWEST_LOOKED && 4 * l.late() >= 3 * l.batches())
                .sorted(Comparator.comparingInt((Late l) -> -l.late())
                        .thenComparing(l -> l.way().toString()))
                .toList();
        return late.stream().limit(1).map(l -> l.sentence(late.size() - 1)).toList();
    }

    /** A way of which most was ready at the first look: in how many batches of how many, and about which day that was. */
    private record Late(List<String> way, int late, int batches, double day) {

        static Late of(List<String> way, List<FinishedBatch> batches) {
            List<FinishedBatch> late =
                    batches.stream().filter(WhatToDo::wasLate).toList();
            double first = late.stream()
                    .mapToInt(b -> b.ready().counts().keySet().stream()
                            .filter(i -> i.outcome() == Outcome.REACHED)
                            .mapToInt(Interval::by)
                            .min()
                            .orElse(0))
                    .average()
                    .orElse(0);
            return new Late(way, late.size(), batches.size(), first);
        }

        Sentence sentence(int others) {
            return new Sentence(
                    Kind.LOOK_EARLIER,
                    way.get(0),
                    Optional.empty(),
                    0,
                    Statement.of(
                            Kind.LOOK_EARLIER,
                            "plant",
                            way.get(0),
                            "method",
                            way.get(1),
                            "late",
                            late,
                            "batches",
                            batches,
                            "day",
                            Math.round(day),
                            "earlier",
                            Math.round(2 * day / 3),
                            "others",
                            others));
        }
    }

    /** Nine in ten of those that became ready were so at the first look that could know. */
    private static boolean wasLate(FinishedBatch b) {
        long reached = b.ready().total(Outcome.REACHED);
        long atFirst = b.ready().counts().entrySet().stream()
                .filter(e ->
                        e.getKey().outcome() == Outcome.REACHED && e.getKey().after() == 0)
                .mapToLong(Map.Entry::getValue)
                .sum();
        return 10 * atFirst >= 9 * reached;
    }
}
