package garden.vivarium.app.bench;

import garden.vivarium.app.platform.Words;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.watch.Behind;
import org.springframework.stereotype.Component;

/** Says how a batch stands. That it is slow is said otherwise than that it fails: a slow batch wants patience, a failing one help. */
@Component
class StandingWords {

    private static final int HARDLY_MORE = 100;
    private static final int ONE_IN_A_HUNDRED = 10;

    private final Words words;

    StandingWords(Words words) {
        this.words = words;
    }

    Standing of(Behind behind, Method method) {
        Behind.Judged last = behind.last();
        return switch (behind.verdict()) {
            case SLOW -> slow(behind, last, method);
            case FEW -> few(behind, last, method);
            case LATE -> late(behind, last, method);
            case AHEAD -> ahead(behind, last, method);
            case AS_USUAL -> new Standing(Behind.Verdict.AS_USUAL, "", "", behind.working());
        };
    }

    private Standing slow(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.slowest();
        String figures = figures(last.isSlowestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.SLOW,
                words.say("standing.slow", "figures", figures),
                words.say(
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

    private Standing few(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.furthest();
        String figures = figures(last.isFurthestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.FEW,
                words.say("standing.few", "figures", figures),
                words.say(
                        "standing.few.sentence", "day", last.day(), "figures", figures, "rarely", rarely(seen.tail())),
                behind.working());
    }

    private Standing ahead(Behind behind, Behind.Judged last, Method method) {
        String figures = figures(false, last.ready(), method);
        return new Standing(
                Behind.Verdict.AHEAD,
                words.say("standing.ahead", "figures", figures),
                words.say("standing.ahead.sentence", "day", last.day(), "figures", figures, "soon", last.soon()),
                behind.working());
    }

    private Standing late(Behind behind, Behind.Judged last, Method method) {
        return new Standing(
                Behind.Verdict.LATE,
                words.say("standing.late", "sign", sign(method)),
                words.say(
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

    private String sign(Method method) {
        return method.firstSign().map(Method.Told::word).orElseGet(() -> words.say("standing.first.sign"));
    }

    private String figures(boolean firstSign, Behind.Seen seen, Method method) {
        return words.say(
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

    private String rarely(double tail) {
        long inAThousand = Math.round(1000 * tail);
        return inAThousand < ONE_IN_A_HUNDRED
                ? words.say("standing.rarely.thousand", "inAThousand", inAThousand)
                : words.say("standing.rarely.hundred", "inAHundred", Math.round(100 * tail));
    }
}
