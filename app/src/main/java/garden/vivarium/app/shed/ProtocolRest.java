package garden.vivarium.app.shed;

import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.validation.BindingResult;

/**
 * The rest of a protocol as typed: what is changed more seldom.
 *
 * @param stageDays for each stage, days after the one before it, or until it is first asked for
 * @param stageEvery for each stage that is asked for, days until it is asked again; 0 for those by day
 * @param output chances in per cent of one, two, three… young plants of a ready piece, as "55, 30, 15"
 */
record ProtocolRest(
        @NotBlank(message = "Say what a piece is.") @Size(max = 80, message = "Shorten it to 80 characters.")
        String pieceKind,

        @Min(value = 1, message = "1 mm or more.") @Max(value = Limits.LONGEST_PIECE_MM, message = "At most 5,000 mm.")
        Integer lengthMm,

        @Min(value = 0, message = "0 nodes or more.") @Max(value = 100, message = "At most 100 nodes.")
        Integer nodes,

        @NotBlank(message = "Say which leaves stay.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String leaves,

        @NotBlank(message = "Say what it stands in.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String vessel,

        @NotBlank(message = "Say how moist at sticking.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String atSticking,

        @NotBlank(message = "Say how moist once rooted.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String moistureAfter,

        @NotBlank(message = "Say which water.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String water,

        @NotBlank(message = "Say what warmth from below, or none.")
        @Size(max = 100, message = "Shorten it to 100 characters.")
        String base,

        @NotBlank(message = "Say how humid.") @Size(max = 100, message = "Shorten it to 100 characters.")
        String humidity,

        @NotNull(message = "Say how many hours of lamps; 0 for none.")
        @Min(value = 0, message = "0 hours or more.")
        @Max(value = 24, message = "At most 24 hours.")
        Integer lampHours,

        @Size(max = 200, message = "Shorten it to 200 characters.")
        String firstSignTest,

        List<Integer> stageDays,
        List<Integer> stageEvery,

        @Min(value = 1, message = "1 day or more, or leave it empty.") @Max(value = 365, message = "At most 365 days.")
        Integer inTurn,

        @NotNull(message = "Say how many to a pot.")
        @Min(value = 1, message = "1 to a pot or more.")
        @Max(value = 50, message = "At most 50 to a pot.")
        Integer perPot,

        @NotNull(message = "Say how many days until it is watered; 0 for at once.")
        @Min(value = 0, message = "0 days or more.")
        @Max(value = 60, message = "At most 60 days.")
        Integer waitForWater,

        @NotNull(message = "Say after how many weeks it is fed.")
        @Min(value = 0, message = "0 weeks or more.")
        @Max(value = 104, message = "At most 104 weeks.")
        Integer weeksBeforeFeed,

        @NotNull(message = "Say what share of potted pieces settle.")
        @Min(value = 5, message = "5% or more.")
        @Max(value = 100, message = "100% at most.")
        Integer establishRate,

        @NotNull(message = "Say after how many days they have settled.")
        @Min(value = 0, message = "0 days or more.")
        @Max(value = 365, message = "At most 365 days.")
        Integer establishDays,

        @NotBlank(message = "Say how many young plants a ready piece gives, as “100” for one.")
        String output) {

    private static final int MOST_YOUNG_PLANTS = 12;

    static ProtocolRest of(Protocol p) {
        return new ProtocolRest(
                p.piece().kind(),
                p.piece().lengthMm().orElse(null),
                p.piece().nodes().orElse(null),
                p.piece().leaves(),
                p.vessel().words(),
                p.moisture().atSticking(),
                p.moisture().after(),
                p.water(),
                p.air().base(),
                p.air().humidity(),
                p.air().lampHours(),
                p.firstSign().map(Protocol.Test::test).orElse(null),
                p.stages().stream()
                        .map(s ->
                                s.after().orElseGet(() -> s.when().orElseThrow().first()))
                        .toList(),
                p.stages().stream()
                        .map(s -> s.when().map(Protocol.When::every).orElse(0))
                        .toList(),
                p.inTurn().orElse(null),
                p.potting().perPot(),
                p.potting().waitForWater(),
                p.potting().weeksBeforeFeed(),
                (int) Math.round(100 * p.establishment().rate()),
                p.establishment().days(),
                p.output().chances().stream()
                        .map(c -> String.valueOf(Math.round(100 * c)))
                        .collect(Collectors.joining(", ")));
    }

    /** Refuses what no single field can know to be wrong. */
    void refuseDisorder(Protocol before, BindingResult wrong) {
        if (shares().isEmpty() && output != null) {
            wrong.rejectValue(
                    "rest.output",
                    "problem",
                    "Give the chances of one, two, three… young plants in per cent, as “55, 30, 15”; together they are 100.");
        }
        if (before.firstSign().isPresent() && firstSignTest == null) {
            wrong.rejectValue("rest.firstSignTest", "problem", "Say how first sign is told.");
        }
        for (int i = 0; i < before.stages().size(); i++) {
            boolean asked = before.stages().get(i).when().isPresent();
            if (!isDays(at(stageDays, i)) || (asked && !isDays(at(stageEvery, i)))) {
                wrong.rejectValue("rest.stageDays", "problem", "Days of a stage are 1 to 730; give them all.");
                return;
            }
        }
    }

    private static boolean isDays(Integer days) {
        return days != null && days >= 1 && days <= 730;
    }

    private static Integer at(List<Integer> days, int i) {
        return days == null || i >= days.size() ? null : days.get(i);
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

    Protocol.PieceSpec piece() {
        return new Protocol.PieceSpec(pieceKind, Optional.ofNullable(lengthMm), Optional.ofNullable(nodes), leaves);
    }

    Protocol.Vessel vesselOf(Protocol before) {
        return new Protocol.Vessel(
                vessel, before.vessel().clear(), before.vessel().depthCm());
    }

    OutputRatio outputOf(Protocol before) {
        // Per cent are rounded; what was not changed keeps its figures.
        return output.equals(of(before).output()) ? before.output() : new OutputRatio(shares());
    }

    Protocol.Establishment establishmentOf(Protocol before) {
        boolean same = establishRate.equals(of(before).establishRate());
        return new Protocol.Establishment(same ? before.establishment().rate() : establishRate / 100.0, establishDays);
    }

    List<Protocol.Stage> stagesOf(Protocol before) {
        List<Protocol.Stage> stages = new ArrayList<>();
        IntStream.range(0, before.stages().size()).forEach(i -> {
            Protocol.Stage s = before.stages().get(i);
            stages.add(new Protocol.Stage(
                    s.key(),
                    s.act(),
                    s.after().map(a -> stageDays.get(i)),
                    s.when().map(w -> new Protocol.When(w.ask(), stageDays.get(i), stageEvery.get(i))),
                    s.startsClock()));
        });
        return stages;
    }
}
