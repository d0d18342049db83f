package garden.vivarium.app.bench;

import garden.vivarium.core.guide.Method;
import garden.vivarium.core.watch.Behind;
import org.springframework.stereotype.Component;

/** Says how a batch stands. That it is slow is said otherwise than that it fails: a slow batch wants patience, a failing one help. */
@Component
class StandingWords {

    Standing of(Behind behind, Method method) {
        Behind.Judged last = behind.last();
        return switch (behind.verdict()) {
            case SLOW -> slow(behind, last, method);
            case FEW -> few(behind, last, method);
            case LATE -> late(behind, last, method);
            case AS_USUAL -> new Standing(Behind.Verdict.AS_USUAL, "", "", behind.working());
        };
    }

    private static Standing slow(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.slowest();
        String figures = figures(last.isSlowestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.SLOW,
                "slower than usual: " + figures,
                "Slower than usual: on day %d, %s. That is %s times as likely of a batch that runs a third slower, so most may still come: give it time, and see that it is warm enough."
                        .formatted(last.day(), figures, times(seen.slow())),
                behind.working());
    }

    private static Standing few(Behind behind, Behind.Judged last, Method method) {
        Behind.Seen seen = last.furthest();
        String figures = figures(last.isFurthestByFirstSign(), seen, method);
        return new Standing(
                Behind.Verdict.FEW,
                "fewer than usual: " + figures,
                "Fewer than usual: on day %d, %s. So few come in %s, and slowness does not explain it: look for what fails before more are lost."
                        .formatted(last.day(), figures, rarely(seen.tail())),
                behind.working());
    }

    private static Standing late(Behind behind, Behind.Judged last, Method method) {
        String sign = method.firstSignWord().orElse("first sign");
        boolean half = last.late() == Behind.Late.PAST_THE_MEDIAN;
        return new Standing(
                Behind.Verdict.LATE,
                "no %s yet".formatted(sign),
                "No %s yet on day %d; %s have one by day %d. No alarm: single batches often take longer."
                        .formatted(sign, last.day(), half ? "half" : "one in ten", last.lateFrom()),
                behind.working());
    }

    private static String figures(boolean firstSign, Behind.Seen seen, Method method) {
        return "%d of %d %s where about %d were to be expected"
                .formatted(
                        seen.reached(),
                        seen.pieces(),
                        firstSign ? "show a " + method.firstSignWord().orElse("first sign") : "are ready",
                        Math.round(seen.expected()));
    }

    private static String times(double slow) {
        return slow > 100 ? "more than a hundred" : String.valueOf(Math.round(slow));
    }

    private static String rarely(double tail) {
        long inAThousand = Math.round(1000 * tail);
        return inAThousand < 1
                ? "less than 1 of 1,000 batches"
                : inAThousand < 10 ? inAThousand + " of 1,000 batches" : Math.round(100 * tail) + " of 100 batches";
    }
}
