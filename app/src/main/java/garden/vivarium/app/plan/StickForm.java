package garden.vivarium.app.plan;

import garden.vivarium.app.batch.Guess;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.Material;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.Limits;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * A batch as typed at the bench. {@code later} means that wounds dry first and day 0 is still to come; {@code tray} that
 * pieces stand in cells.
 */
record StickForm(
        @NotNull(message = "Say when they were cut.") LocalDate takenOn,

        @NotNull(message = "Say how many were cut.") @Min(value = 1, message = "Cut 1 piece or more.")
        Integer taken,

        boolean later,
        LocalDate stuckOn,
        Integer stuck,
        boolean tray,

        @Min(value = 1, message = "A tray has 1 row or more.") @Max(value = 60, message = "A tray has at most 60 rows.")
        Integer rows,

        @Min(value = 1, message = "A tray has 1 column or more.")
        @Max(value = 60, message = "A tray has at most 60 columns.")
        Integer columns,

        @Size(max = 80, message = "Shorten the vessel to 80 characters.")
        String vessel,

        @NotBlank(message = "Say where it stands.") @Size(max = 80, message = "Shorten the place to 80 characters.")
        String place,

        @NotBlank(message = "Say what they root in.") String medium,
        List<String> treatment,
        StockState stockState,

        @Size(max = 60, message = "Shorten the kind of piece to 60 characters.")
        String pieceKind,

        @Min(value = 1, message = "Length is in mm, 1 or more.")
        @Max(value = Limits.LONGEST_PIECE_MM, message = "Length is in mm, at most 5,000.")
        Integer lengthMm,

        @Min(value = 0, message = "Nodes: 0 or more.") @Max(value = 100, message = "Nodes: at most 100.")
        Integer nodes,

        boolean rootedOnDay0,
        @Min(value = 0, message = "A hunch is 0 or more.") Integer hunch,

        @Min(value = 0, message = "Minutes: 0 or more.") @Max(value = 6000, message = "Minutes: at most 6,000.")
        Integer minutes) {

    /** What a grower may do beside or instead of the protocol, in one touch each. */
    static final List<String> TREATMENTS = List.of(
            "hormone 0.1%",
            "hormone 0.3%",
            "hormone 0.8%",
            "callus",
            "bottom heat",
            "dark",
            "covered",
            "open",
            "lamp light",
            "weak feed",
            "slant cut",
            "straight cut",
            "tip pinched",
            "rooted on parent",
            "roots stripped",
            "reused medium");

    StickForm {
        treatment = treatment == null ? List.of() : List.copyOf(treatment);
    }

    static StickForm of(PlanView plan, StockPlantView stock, Protocol protocol, LocalDate today) {
        boolean later = protocol.wound().callus().isPresent();
        int[] tray = trayFor(plan.take());
        return new StickForm(
                today,
                plan.take(),
                later,
                today,
                plan.take(),
                protocol.placing().vessel().words().contains("plug tray"),
                tray[0],
                tray[1],
                protocol.placing().vessel().words(),
                stock.place().name(),
                protocol.medium(),
                protocol.technique().treatment(),
                stock.state(),
                protocol.material().piece().kind(),
                protocol.material().piece().lengthMm().orElse(null),
                protocol.material().piece().nodes().orElse(null),
                protocol.firstSign().isEmpty(),
                null,
                null);
    }

    /** The smallest of the usual trays that holds so many, or rows of twelve. */
    private static int[] trayFor(int pieces) {
        for (int[] tray : new int[][] {{3, 4}, {4, 6}, {5, 8}, {6, 10}, {6, 12}, {8, 13}}) {
            if (tray[0] * tray[1] >= pieces) {
                return tray;
            }
        }
        return new int[] {Math.min(60, (pieces + 11) / 12), 12};
    }

    NewBatch batch(PlanView plan, StockPlantView stock, PlaceView where, Protocol protocol) {
        return new NewBatch(
                stock.plant(),
                new Origin(plan.id(), stock.id(), null, null),
                where.id(),
                new HowDone(
                        protocol.key(),
                        protocol.version(),
                        protocol.method(),
                        medium,
                        String.join(";", treatment),
                        deviation(protocol)),
                new Taking(
                        takenOn,
                        taken,
                        later ? null : stuckOn,
                        later ? null : Objects.requireNonNullElse(stuck, taken)),
                new Vessel(tray ? rows : null, tray ? columns : null, vessel, plan.piecesPerPot()),
                new Material(stockState, pieceKind, lengthMm, nodes, rootedOnDay0),
                new Guess(hunch, minutes));
    }

    /** What was done instead of the protocol, in words; null when nothing was. */
    private String deviation(Protocol protocol) {
        List<String> differences = new ArrayList<>();
        if (!medium.equals(protocol.medium())) {
            differences.add("in %s, not %s".formatted(medium, protocol.medium()));
        }
        treatment.stream()
                .filter(t -> !protocol.technique().treatment().contains(t))
                .forEach(differences::add);
        protocol.technique().treatment().stream()
                .filter(t -> !treatment.contains(t))
                .forEach(t -> differences.add("no " + t));
        String words = Way.treatment(String.join(";", differences));
        return words.isEmpty() ? null : words;
    }
}
