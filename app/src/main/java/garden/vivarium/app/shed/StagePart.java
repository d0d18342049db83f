package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import org.springframework.validation.Errors;

/**
 * The days of a stage as typed.
 *
 * @param days after the stage before it, or until it is first asked for
 * @param every days until it is asked again; empty for one that goes by days
 */
record StagePart(Integer days, Integer every) {

    private static final int LONGEST = 730;

    static StagePart of(Protocol.Stage p) {
        return new StagePart(
                p.after().orElseGet(() -> p.when().orElseThrow().first()),
                p.when().map(Protocol.When::every).orElse(null));
    }

    void refuseDisorder(Protocol.Stage before, Errors wrong) {
        refuse("days", days, wrong);
        if (before.when().isPresent()) {
            refuse("every", every, wrong);
        }
    }

    private static void refuse(String field, Integer days, Errors wrong) {
        if (days == null || days < 1 || days > LONGEST) {
            wrong.rejectValue(field, "problem", "Days of a stage are 1 to 730; give them all.");
        }
    }

    Protocol.Stage onto(Protocol.Stage before) {
        return new Protocol.Stage(
                before.key(),
                before.act(),
                before.after().map(a -> days),
                before.when().map(w -> new Protocol.When(w.ask(), days, every)),
                before.startsClock());
    }
}
