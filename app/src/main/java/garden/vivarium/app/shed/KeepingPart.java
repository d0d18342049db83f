package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.validation.Errors;

/** Water and air as typed. */
record KeepingPart(
        @NotNull @Valid WaterPart water, @NotNull @Valid AirPart air) {

    static KeepingPart of(Protocol.Keeping p) {
        return new KeepingPart(WaterPart.of(p.water()), AirPart.of(p.air()));
    }

    void refuseDisorder(Errors wrong) {
        wrong.pushNestedPath("air");
        air.refuseDisorder(wrong);
        wrong.popNestedPath();
    }

    Protocol.Keeping changed() {
        return new Protocol.Keeping(water.changed(), air.changed());
    }
}
