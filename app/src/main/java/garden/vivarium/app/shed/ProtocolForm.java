package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.function.Consumer;
import org.springframework.validation.Errors;

/** A protocol of the nursery's own as typed, part by part as the protocol itself. */
record ProtocolForm(
        @NotNull @Valid IdentityPart identity,
        @NotNull @Valid TechniquePart technique,
        @NotNull @Valid MaterialPart material,
        @NotNull @Valid WoundPart wound,
        @NotNull @Valid PlacingPart placing,
        @NotNull @Valid KeepingPart keeping,
        @NotNull @Valid CoursePart course,
        @NotNull @Valid PottingPart potting,
        @NotNull @Valid FiguresPart figures,
        @NotNull @Valid ReasonsPart reasons) {

    static ProtocolForm of(Protocol p) {
        return new ProtocolForm(
                IdentityPart.of(p.identity()),
                TechniquePart.of(p.technique()),
                MaterialPart.of(p.material()),
                WoundPart.of(p.wound()),
                PlacingPart.of(p.placing()),
                KeepingPart.of(p.keeping()),
                CoursePart.of(p.course()),
                PottingPart.of(p.potting()),
                FiguresPart.of(p.figures()),
                ReasonsPart.of(p.reasons()));
    }

    /** Refuses what no single field can know to be wrong. */
    void refuseDisorder(Protocol before, Errors wrong) {
        within("wound", wound::refuseDisorder, wrong);
        within("placing", placing::refuseDisorder, wrong);
        within("keeping", keeping::refuseDisorder, wrong);
        within("course", part -> course.refuseDisorder(before.course(), part), wrong);
        within("potting", potting::refuseDisorder, wrong);
        within("figures", figures::refuseDisorder, wrong);
    }

    private static void within(String part, Consumer<Errors> check, Errors wrong) {
        wrong.pushNestedPath(part);
        check.accept(wrong);
        wrong.popNestedPath();
    }

    /** The protocol as changed, in a medium by the guide's own name. What the form does not show stays. */
    Protocol onto(Protocol before, String knownMedium) {
        return new Protocol(
                identity.onto(before.identity()),
                technique.onto(before.technique(), knownMedium),
                material.onto(before.material()),
                wound.onto(before.wound()),
                placing.onto(before.placing()),
                keeping.changed(),
                course.onto(before.course()),
                potting.changed(),
                figures.onto(before.figures()),
                reasons.onto(before.reasons()));
    }
}
