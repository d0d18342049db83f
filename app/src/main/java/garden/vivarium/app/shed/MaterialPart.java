package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.timing.Season;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Month;
import java.util.List;
import java.util.Optional;

/** The piece, its ripeness and its season as typed. Shares are in per cent. */
record MaterialPart(
        @NotBlank(message = "{MaterialPart.say.what.a.piece.is}")
        @Size(max = 80, message = "{MaterialPart.shorten.it.to.80.characters}")
        String pieceKind,

        @InUnit(value = Unit.MILLIMETRE, least = 1, most = Limits.LONGEST_PIECE_MM)
        Integer lengthMm,

        @Min(value = 0, message = "{MaterialPart.0.nodes.or.more}")
        @Max(value = 100, message = "{MaterialPart.at.most.100.nodes}")
        Integer nodes,

        @NotBlank(message = "{MaterialPart.say.which.leaves.stay}")
        @Size(max = 200, message = "{MaterialPart.shorten.it.to.200.characters}")
        Prose leaves,

        @NotBlank(message = "{MaterialPart.say.what.the.material.should}")
        @Size(max = 300, message = "{MaterialPart.shorten.it.to.300.characters}")
        Prose ripeness,

        List<Month> months,

        @NotNull(message = "{MaterialPart.say.how.many.times.slower}")
        @DecimalMin(value = "1", message = "{MaterialPart.out.of.season.is.slower}")
        @DecimalMax(value = "5", message = "{MaterialPart.at.most.5.times.slower}")
        Double slower,

        @NotNull(message = "{MaterialPart.say.at.what.share.of}")
        @Min(value = 5, message = "{MaterialPart.at.least.5.of.the}")
        @Max(value = 100, message = "{MaterialPart.at.most.100.of.the}")
        Integer poorer,

        @NotNull(message = "{MaterialPart.say.whether.the.season.is}")
        Season.Of seasonOf) {

    MaterialPart {
        months = months == null ? List.of() : List.copyOf(months);
    }

    static MaterialPart of(Protocol.Material p) {
        return new MaterialPart(
                p.piece().kind(),
                p.piece().lengthMm().orElse(null),
                p.piece().nodes().orElse(null),
                p.piece().leaves(),
                p.ripeness(),
                p.season().months().stream().sorted().toList(),
                p.season().slower(),
                (int) Math.round(100 * p.season().poorer()),
                p.season().of());
    }

    Protocol.Material onto(Protocol.Material before) {
        return new Protocol.Material(
                before.groups(),
                new Protocol.PieceSpec(pieceKind, Optional.ofNullable(lengthMm), Optional.ofNullable(nodes), leaves),
                ripeness,
                Season.of(months, slower, poorer / 100.0, seasonOf));
    }
}
