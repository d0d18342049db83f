package garden.vivarium.app.bench;

import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A look by count as typed.
 *
 * @param ready pieces that stand ready now
 * @param lost pieces lost so far, in all
 * @param lostReady of them, those that had been ready
 * @param cause of what is newly lost; null where nobody says
 */
record CountsForm(
        UUID clientId,

        @NotNull(message = "{CountsForm.give.the.day.of.the}")
        LocalDate lookedOn,

        @NotNull(message = "{CountsForm.say.how.you.looked}")
        LookKind look,

        @Min(value = 0, message = "{CountsForm.first.sign.cannot.be.below}")
        Integer firstSign,

        @NotNull(message = "{CountsForm.say.how.many.stand.ready}")
        @Min(value = 0, message = "{CountsForm.ready.cannot.be.below.0}")
        Integer ready,

        @NotNull(message = "{CountsForm.say.how.many.are.lost}")
        @Min(value = 0, message = "{CountsForm.lost.cannot.be.below.0}")
        Integer lost,

        @Min(value = 0, message = "{CountsForm.lost.after.they.were.ready}")
        Integer lostReady,

        LossCause cause,

        @Min(value = 0, message = "{CountsForm.sent.cannot.be.below.0}")
        Integer sent,

        @Size(max = 500, message = "{CountsForm.shorten.the.note.to.500}")
        String note) {

    /** A look as it was written down, when so many had been moved; of a look by piece, its day and how. */
    static CountsForm of(LookCommand look, int moved) {
        LookCommand.Counted c = look.counts();
        int after = c == null || c.lostReady() == null ? 0 : c.lostReady();
        return new CountsForm(
                look.clientId(),
                look.lookedOn(),
                look.look(),
                c == null ? null : c.firstSign(),
                c == null ? 0 : Math.max(0, c.ready() - after - moved),
                c == null ? 0 : c.lost() + after,
                after == 0 ? null : after,
                c == null ? null : c.cause(),
                c == null ? 0 : c.sent(),
                look.note());
    }

    /**
     * The look. What stands ready, what was lost after it was ready and what was moved by that day was ready once.
     *
     * @param moved pieces moved by the day of the look
     * @throws InvalidField if more were lost after they were ready than in all
     */
    LookCommand command(int moved) {
        int after = lostReady == null ? 0 : lostReady;
        if (after > lost) {
            throw new InvalidField("lostReady", Messages.text("CountsForm.lost.after", "lost", lost));
        }
        return LookCommand.ofCounts(
                clientId == null ? UUID.randomUUID() : clientId,
                lookedOn,
                look,
                new LookCommand.Counted(
                        firstSign,
                        ready + after + moved,
                        lost - after,
                        sent == null ? 0 : sent,
                        null,
                        false,
                        lostReady,
                        cause),
                note,
                null);
    }
}
