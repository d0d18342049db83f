package garden.vivarium.app.bench;

import garden.vivarium.app.platform.Sentence;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.watch.Behind;
import org.springframework.stereotype.Component;

/** Says how a batch stands. That it is slow is said otherwise than that it fails: a slow batch wants patience, a failing one help. */
@Component
class StandingWords {

    private static final int HARDLY_MORE = 100;
    private static final int ONE_IN_A_HUNDRED = 10;

    Standing of(Behind behind, Method method) {
        Behind.Judged last = behind.last();
        return switch (behind.verdict()) {
            case SLOW -> slow(behind, last, method);
            case FEW -> few(behind, last, method);
            case LATE -> late(behind, last, method);
            case AHEAD -> ahead(behind, last, method);
            case AS_USUAL -> Standing.asUsual(behind.working());
        };
    }

    private static Standing slow(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.slowest();
        Sentence figures = figures(last.isSlowestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.SLOW,
                Sentence.of("standing.slow", "figures", figures),
                Sentence.of(
                        "standing.slow.sentence",
                        "day",
                        last.day(),
                        "figures",
                        figures,
                        "hundreds",
                        seen.slow() > HARDLY_MORE,
                        "times",
                        Math.round(seen.slow())),
                behind.working());
    }

    private static Standing few(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.furthest();
        Sentence figures = figures(last.isFurthestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.FEW,
                Sentence.of("standing.few", "figures", figures),
                Sentence.of(
                        "standing.few.sentence", "day", last.day(), "figures", figures, "rarely", rarely(seen.tail())),
                behind.working());
    }

    private static Standing ahead(Behind behind, Behind.Judged last, Method method) {
        Sentence figures = figures(false, last.ready(), method);
        return new Standing(
                Behind.Verdict.AHEAD,
                Sentence.of("standing.ahead", "figures", figures),
                Sentence.of("standing.ahead.sentence", "day", last.day(), "figures", figures, "soon", last.soon()),
                behind.working());
    }

    private static Standing late(Behind behind, Behind.Judged last, Method method) {
        return new Standing(
                Behind.Verdict.LATE,
                Sentence.of("standing.late", "sign", sign(method)),
                Sentence.of(
                        "standing.late.sentence",
                        "sign",
                        sign(method),
                        "day",
                        last.day(),
                        "half",
                        last.late() == Behind.Late.PAST_THE_MEDIAN,
                        "late",
                        Math.max(0, last.day() - last.lateFrom())),
                behind.working());
    }

    private static Object sign(Method method) {
        return method.firstSign().<Object>map(Method.Told::word).orElseGet(() -> Sentence.of("standing.first.sign"));
    }

    private static Sentence figures(boolean firstSign, Behind.Seen seen, Method method) {
        return Sentence.of(
                firstSign ? "standing.sign" : "standing.ready",
                "reached",
                seen.reached(),
                "pieces",
                seen.pieces(),
                "sign",
                sign(method),
                "expected",
                Math.round(seen.expected()));
    }

    private static Sentence rarely(double tail) {
        long inAThousand = Math.round(1000 * tail);
        return inAThousand < ONE_IN_A_HUNDRED
                ? Sentence.of("standing.rarely.thousand", "inAThousand", inAThousand)
                : Sentence.of("standing.rarely.hundred", "inAHundred", Math.round(100 * tail));
    }
}
