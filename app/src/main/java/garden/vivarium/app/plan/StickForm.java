package garden.vivarium.app.plan;

import garden.vivarium.app.batch.Guess;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.Material;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.platform.InUnit;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.treatment.Treatments;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** A batch as typed at the bench, part by part. */
record StickForm(
        @Valid Cut cut,
        @Valid Set set,
        @Valid Stands stands,
        @Valid Tray tray,
        @Valid Done done,
        @Valid Piece piece,
        @Valid Guessed guessed) {

    /** When how many were cut and, of divisions, how many growths, crowns or bulbs went with each. */
    record Cut(
            @NotNull(message = "{StickForm.say.when.they.were.cut}")
            LocalDate takenOn,

            @NotNull(message = "{StickForm.say.how.many.were.cut}")
            @Min(value = 1, message = "{StickForm.cut.1.piece.or.more}")
            Integer taken,

            @Min(value = 1, message = "{StickForm.a.division.has.1.growth}")
            @Max(value = 50, message = "{StickForm.give.at.most.50.growths}")
            Integer each) {}

    /** When how many were stuck; {@code later} means that wounds dry first and day 0 is still to come. */
    record Set(boolean later, LocalDate stuckOn, Integer stuck) {}

    /** Where it stands. */
    record Stands(
            @NotBlank(message = "{StickForm.say.where.it.stands}")
            @Size(max = 80, message = "{StickForm.shorten.the.place.to.80}")
            String place) {}

    /** What it stands in; {@code cells} that pieces stand in cells of a tray. */
    record Tray(
            boolean cells,

            @Min(value = 1, message = "{StickForm.a.tray.has.1.row}")
            @Max(value = 60, message = "{StickForm.a.tray.has.at.most}")
            Integer rows,

            @Min(value = 1, message = "{StickForm.a.tray.has.1.column}")
            @Max(value = 60, message = "{StickForm.a.tray.has.at.most.2}")
            Integer columns,

            @Size(max = 80, message = "{StickForm.shorten.the.vessel.to.80}")
            Prose vessel) {}

    /**
     * How it was done.
     *
     * @param medium as it is called, or a mix by parts
     * @param ownMedium it is said that a medium which nobody knows is one of their own
     * @param treatment those ticked
     * @param more those typed, one after another
     * @param sameDay it is said that wounds dried though the pieces were stuck on the day they were cut
     */
    record Done(
            @NotBlank(message = "{StickForm.say.what.they.root.in}")
            @Size(max = 80, message = "{StickForm.shorten.the.medium.to.80}")
            String medium,

            Boolean ownMedium,
            List<String> treatment,

            @Size(max = 200, message = "{StickForm.shorten.the.treatments.to.200}")
            String more,

            Boolean sameDay) {

        Done {
            treatment = treatment == null ? List.of() : List.copyOf(treatment);
        }

        boolean isOwnMedium() {
            return Boolean.TRUE.equals(ownMedium);
        }

        boolean isSameDay() {
            return Boolean.TRUE.equals(sameDay);
        }

        /** All that was done to the pieces. */
        Treatments treated() {
            return Treatments.read(treatment).and(Treatments.read(more));
        }
    }

    /** What the pieces were like. */
    record Piece(
            StockState stockState,

            @Size(max = 60, message = "{StickForm.shorten.the.kind.of.piece}")
            String pieceKind,

            @InUnit(value = Unit.MILLIMETRE, least = 1, most = Limits.LONGEST_PIECE_MM)
            Integer lengthMm,

            @Min(value = 0, message = "{StickForm.nodes.0.or.more}")
            @Max(value = 100, message = "{StickForm.nodes.at.most.100}")
            Integer nodes,

            boolean rootedOnDay0) {}

    /** What is thought of it, and how long it took. */
    record Guessed(
            @Min(value = 0, message = "{StickForm.a.hunch.is.0.or}")
            Integer hunch,

            @Min(value = 0, message = "{StickForm.minutes.0.or.more}")
            @Max(value = 6000, message = "{StickForm.minutes.at.most.6.000}")
            Integer minutes) {}

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
        cut = cut == null ? new Cut(null, null, null) : cut;
        set = set == null ? new Set(false, null, null) : set;
        stands = stands == null ? new Stands(null) : stands;
        tray = tray == null ? new Tray(false, null, null, null) : tray;
        done = done == null ? new Done(null, false, null, null, false) : done;
        piece = piece == null ? new Piece(null, null, null, null, false) : piece;
        guessed = guessed == null ? new Guessed(null, null) : guessed;
    }

    static StickForm of(PlanView plan, StockPlantView stock, Protocol protocol, Integer each, LocalDate today) {
        int[] tray = trayFor(plan.start().take());
        Prose vessel = protocol.placing().vessel().words();
        var piece = protocol.material().piece();
        return new StickForm(
                new Cut(today, plan.start().take(), each),
                new Set(
                        protocol.wound().callus().isPresent(),
                        today,
                        plan.start().take()),
                new Stands(stock.place().name()),
                new Tray(protocol.placing().vessel().kind() == Protocol.Vessel.Kind.CELLS, tray[0], tray[1], vessel),
                new Done(
                        protocol.medium(),
                        false,
                        protocol.technique().treatment().eachWritten(),
                        null,
                        false),
                new Piece(
                        stock.state(),
                        piece.kind(),
                        piece.lengthMm().orElse(null),
                        piece.nodes().orElse(null),
                        protocol.firstSign().isEmpty()),
                new Guessed(null, null));
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

    NewBatch batch(PlanView plan, StockPlantView stock, PlaceView where, Protocol protocol, String medium) {
        return new NewBatch(
                stock.plant(),
                new Origin(plan.id(), stock.id(), null, null),
                where.id(),
                new HowDone(
                        protocol.key(),
                        protocol.version(),
                        protocol.method(),
                        medium,
                        done.treated(),
                        deviation(protocol, medium),
                        null),
                new Taking(
                        cut.takenOn(),
                        cut.taken(),
                        set.later() ? null : set.stuckOn(),
                        set.later() ? null : Objects.requireNonNullElse(set.stuck(), cut.taken())),
                new Vessel(
                        tray.cells() ? tray.rows() : null,
                        tray.cells() ? tray.columns() : null,
                        Prose.inColumn(tray.vessel()),
                        plan.aim().piecesPerPot()),
                new Material(
                        piece.stockState(), piece.pieceKind(), piece.lengthMm(), piece.nodes(), piece.rootedOnDay0()),
                new Guess(guessed.hunch(), guessed.minutes()));
    }

    /** What was done instead of the protocol, in words; null when nothing was. */
    private String deviation(Protocol protocol, String medium) {
        List<String> differences = new ArrayList<>();
        Treatments treated = done.treated();
        Treatments usual = protocol.technique().treatment();
        if (!medium.equals(protocol.medium())) {
            differences.add(Messages.text("StickForm.not", "medium", medium, "mediumThen", protocol.medium()));
        }
        differences.addAll(treated.without(usual).eachWritten());
        usual.without(treated)
                .eachWritten()
                .forEach(t -> differences.add(Messages.text("StickForm.left.out", "treatment", t)));
        String words = String.join("; ", differences);
        return words.isEmpty() ? null : words;
    }
}
