package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.validation.Errors;

/**
 * What happens from the day stuck to the move, as typed.
 *
 * @param firstSign empty for families potted on day 0
 * @param stages one for each stage of the protocol, in order
 */
record CoursePart(
        @NotNull @Valid LooksPart looks,

        @Valid MilestonePart firstSign,

        @NotNull @Valid MilestonePart ready,

        @Valid List<StagePart> stages,

        @NotNull(message = "{CoursePart.say.how.many.days.a}")
        @Min(value = 1, message = "{CoursePart.1.day.or.more}")
        @Max(value = 1000, message = "{CoursePart.at.most.1.000.days}")
        Integer tooLong,

        @Min(value = 1, message = "{CoursePart.1.day.or.more.or}")
        @Max(value = 365, message = "{CoursePart.at.most.365.days}")
        Integer inTurn) {

    CoursePart {
        stages = stages == null ? List.of() : new ArrayList<>(stages);
    }

    static CoursePart of(Protocol.Course p) {
        return new CoursePart(
                LooksPart.of(p.looks()),
                p.firstSign().map(MilestonePart::of).orElse(null),
                MilestonePart.of(p.ready()),
                p.stages().stream().map(StagePart::of).toList(),
                p.tooLong(),
                p.inTurn().orElse(null));
    }

    void refuseDisorder(Protocol.Course before, Errors wrong) {
        wrong.pushNestedPath("looks");
        looks.refuseDisorder(wrong);
        wrong.popNestedPath();
        wrong.pushNestedPath("ready");
        ready.refuseDisorder(wrong);
        wrong.popNestedPath();
        if (before.firstSign().isPresent()) {
            refuseFirstSign(wrong);
        }
        if (stages.size() != before.stages().size()) {
            wrong.rejectValue("stages", "problem", Messages.text("CoursePart.days.of.a.stage.are"));
            return;
        }
        for (int i = 0; i < stages.size(); i++) {
            wrong.pushNestedPath("stages[" + i + "]");
            stages.get(i).refuseDisorder(before.stages().get(i), wrong);
            wrong.popNestedPath();
        }
    }

    private void refuseFirstSign(Errors wrong) {
        if (firstSign == null) {
            wrong.rejectValue("firstSign", "problem", Messages.text("CoursePart.say.how.first.sign.is"));
            return;
        }
        wrong.pushNestedPath("firstSign");
        firstSign.refuseDisorder(wrong);
        if (firstSign.from() != null && ready.from() != null && firstSign.from() >= ready.from()) {
            wrong.rejectValue("from", "problem", Messages.text("CoursePart.first.sign.comes.before.ready"));
        }
        wrong.popNestedPath();
    }

    Protocol.Course onto(Protocol.Course before) {
        return new Protocol.Course(
                looks.changed(),
                before.firstSign().map(f -> firstSign.onto(f)),
                ready.onto(before.ready()),
                IntStream.range(0, stages.size())
                        .mapToObj(i -> stages.get(i).onto(before.stages().get(i)))
                        .toList(),
                tooLong,
                Optional.ofNullable(inTurn));
    }
}
