package garden.vivarium.core.plan;

import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.guide.Certainty;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Shoots;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Aims as growers have them, what a propagator would answer, and what the guide alone answers. */
final class AimAnswers {

    private static final double RHO = 0.1;
    private static final int YEAR = 2027;
    /** Nobody writes down so much of anything uncounted. */
    private static final int NONE = -1;

    private AimAnswers() {}

    /**
     * An aim.
     *
     * @param sort counted, or empty
     * @param counted how many; {@link #NONE} where nobody counted
     * @param says take, soon, all or sown
     * @param least that a propagator would take, or the first day they would name
     * @param most likewise
     */
    record Aimed(
            String line,
            String name,
            Climate place,
            LocalDate start,
            String sort,
            int counted,
            int wanted,
            int days,
            DayAsked until,
            double sure,
            String says,
            int least,
            int most) {}

    static List<Aimed> load() {
        try (InputStream in = AimAnswers.class.getResourceAsStream("/numbers/aims.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank())
                    .map(AimAnswers::read)
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Aimed read(String line) {
        String[] p = line.split(" ; ");
        String[] counted = p[3].split(" ");
        String[] says = p[8].split(" ");
        String[] range = says.length > 1 ? says[1].split("\\.\\.") : new String[] {"0", "0"};
        return new Aimed(
                line,
                p[0],
                Climate.valueOf(p[1]),
                MonthDay.parse("--" + p[2]).atYear(YEAR),
                counted.length > 1 ? counted[0] : "",
                counted.length > 1 ? Integer.parseInt(counted[1]) : NONE,
                Integer.parseInt(p[4]),
                Integer.parseInt(p[5]),
                DayAsked.valueOf(p[6]),
                Integer.parseInt(p[7]) / 100.0,
                says[0],
                Integer.parseInt(range[0]),
                Integer.parseInt(range[1]));
    }

    /** The first way in answer to an aim; empty where there is none. */
    static Optional<AdvisedWay> first(Guide guide, Aimed aim) {
        PlantKind kind = guide.names().read(aim.name()).meanings().get(0);
        List<AdvisedWay> ways = guide.offered(Optional.of(kind), kind.group(), guide.protocols()).stream()
                .map(o -> way(guide, kind, o, aim))
                .toList();
        return Advice.sorted(ways, w -> w).stream().findFirst();
    }

    private static AdvisedWay way(Guide guide, PlantKind kind, OfferedWay offered, Aimed aim) {
        Method method = guide.method(offered.protocol().method()).orElseThrow();
        Protocol p = guide.fit(kind, method.name()).fitted(offered.protocol());
        Grown grown = new Grown(kind.title(), kind.key(), kind.group());
        Outlook outlook = Outlook.ofGuide(p, worth(kind, method), RHO).until(aim.until());
        PieceSort sort = guide.sortOf(method.name());
        OptionalInt bears = bears(guide, grown, sort, aim);
        int each = guide.each(grown, method.name());
        WayPlan plan = WayPlan.of(
                outlook,
                new Aim(aim.wanted(), 1, aim.start().plusDays(aim.days()), aim.sure()),
                new Setting(aim.place(), Hemisphere.NORTH),
                new Harvesting(
                        bears.isPresent() ? OptionalInt.of(bears.getAsInt() / each) : bears,
                        1,
                        0,
                        1,
                        OptionalInt.of(sort.large() / each)),
                aim.start());
        return new AdvisedWay(offered, plan, 0, p.figures().rate(), p.figures().minutesPerTen());
    }

    private static OptionalInt bears(Guide guide, Grown grown, PieceSort sort, Aimed aim) {
        if (aim.counted() == NONE) {
            return OptionalInt.empty();
        }
        if (sort.key().equals(aim.sort())) {
            return OptionalInt.of(aim.counted());
        }
        return Shoots.other(aim.sort()).filter(sort.key()::equals).isPresent()
                ? OptionalInt.of(guide.shoots(grown).implied(sort.key(), aim.counted()))
                : OptionalInt.empty();
    }

    static GuideFigures.Worth worth(PlantKind kind, Method method) {
        Certainty days = kind.daysKnown(method.name());
        return new GuideFigures.Worth(
                kind.rateKnown(method.name()).pieces(),
                days.daysVariance(),
                method.stages().callus().pieces(),
                method.stages().settling().pieces());
    }

    /**
     * What is wrong with the answer to an aim, in words; empty where a propagator would take it.
     *
     * @param laughable whether it is more than twice the most that they would
     */
    record Wrong(String says, boolean laughable) {}

    static Optional<Wrong> wrong(Guide guide, Aimed aim) {
        Optional<AdvisedWay> first = first(guide, aim);
        if (aim.says().equals("sown")) {
            return first.map(w -> new Wrong("offers " + w.offered().protocol().title(), true));
        }
        if (first.isEmpty()) {
            return Optional.of(new Wrong("no way", true));
        }
        WayPlan plan = first.get().plan();
        String title = first.get().offered().protocol().title();
        boolean all = plan.isAllThatThereIs();
        if (plan.tooSoon().isPresent()) {
            long day = plan.tooSoon()
                    .get()
                    .by()
                    .map(d -> ChronoUnit.DAYS.between(aim.start(), d))
                    .orElse(9999L);
            boolean right = aim.says().equals("soon") && day >= aim.least() && day <= aim.most();
            return right
                    ? Optional.empty()
                    : Optional.of(new Wrong(
                            "too soon, by day %d, by %s".formatted(day, title),
                            !aim.says().equals("soon") || day > 2L * aim.most()));
        }
        if (plan.inTurn().isEmpty()) {
            return Optional.of(new Wrong("cannot, by " + title, true));
        }
        int pieces = plan.inTurn().get().pieces();
        boolean right = aim.says().equals("all")
                ? all
                : aim.says().equals("take") && !all && pieces >= aim.least() && pieces <= aim.most();
        return right
                ? Optional.empty()
                : Optional.of(new Wrong(
                        "%s %d by %s".formatted(all ? "all" : "take", pieces, title),
                        aim.says().equals("take") && !all && pieces > 2 * aim.most()));
    }
}
