package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.validation.Errors;

/**
 * What is to be expected, as typed. Shares are in per cent.
 *
 * @param output chances in per cent of one, two, three… young plants of a ready piece, as "55, 30, 15"
 */
record FiguresPart(
        @NotNull(message = "{FiguresPart.say.what.share.becomes.ready}")
        @Min(value = 5, message = "{FiguresPart.a.rate.of.5.or}")
        @Max(value = 99, message = "{FiguresPart.a.rate.of.99.at}")
        Integer rate,

        @NotNull(message = "{FiguresPart.say.what.share.of.potted}")
        @Min(value = 5, message = "{FiguresPart.5.or.more}")
        @Max(value = 100, message = "{FiguresPart.100.at.most}")
        Integer establishRate,

        @NotNull(message = "{FiguresPart.say.after.how.many.days}")
        @Min(value = 0, message = "{FiguresPart.0.days.or.more}")
        @Max(value = 365, message = "{FiguresPart.at.most.365.days}")
        Integer establishDays,

        @NotBlank(message = "{FiguresPart.say.how.many.young.plants}")
        String output,

        @NotNull(message = "{FiguresPart.say.how.many.minutes.ten}")
        @Min(value = 1, message = "{FiguresPart.1.minute.or.more}")
        @Max(value = 600, message = "{FiguresPart.at.most.600.minutes}")
        Integer minutesPerTen) {

    private static final int MOST_YOUNG_PLANTS = 12;

    static FiguresPart of(Protocol.Figures p) {
        return new FiguresPart(
                percent(p.rate()),
                percent(p.establishment().rate()),
                p.establishment().days(),
                p.output().chances().stream()
                        .map(c -> String.valueOf(percent(c)))
                        .collect(Collectors.joining(", ")),
                p.minutesPerTen());
    }

    private static int percent(double share) {
        return (int) Math.round(100 * share);
    }

    void refuseDisorder(Errors wrong) {
        if (shares().isEmpty() && output != null) {
            wrong.rejectValue("output", "problem", Messages.text("FiguresPart.give.the.chances.of.one"));
        }
    }

    /** The figures as changed. Per cent are rounded; what was not changed keeps its figure. */
    Protocol.Figures onto(Protocol.Figures before) {
        FiguresPart shown = of(before);
        double settles = establishRate.equals(shown.establishRate)
                ? before.establishment().rate()
                : establishRate / 100.0;
        return new Protocol.Figures(
                rate.equals(shown.rate) ? before.rate() : rate / 100.0,
                new Protocol.Establishment(settles, establishDays),
                output.equals(shown.output) ? before.output() : new OutputRatio(shares()),
                minutesPerTen,
                before.thin());
    }

    /** The chances typed, 0 to 1; empty where they are none. */
    private List<Double> shares() {
        try {
            List<Double> shares = Arrays.stream((output == null ? "" : output).split("[,;\\s]+"))
                    .filter(s -> !s.isEmpty())
                    .map(s -> Double.parseDouble(s) / 100)
                    .toList();
            double sum = shares.stream().mapToDouble(s -> s).sum();
            boolean good = shares.stream().allMatch(s -> s >= 0) && Math.abs(sum - 1) < 1e-9;
            return good && shares.size() <= MOST_YOUNG_PLANTS ? shares : List.of();
        } catch (NumberFormatException e) {
            return List.of();
        }
    }
}
