package garden.vivarium.app.batch;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.looks.ImpossibleLook;
import java.util.Locale;

/** A look that cannot be true beside what is known, in words. */
public class LookRefused extends InvalidField {

    private static final long serialVersionUID = 1L;

    private final ImpossibleLook look;
    private final String fault;
    private final String remedy;

    LookRefused(ImpossibleLook look, Words words) {
        super(look.field().name().toLowerCase(Locale.ROOT), words.of(look));
        initCause(look);
        this.look = look;
        this.fault = words.of(look.fault());
        this.remedy = words.remedy(look.fault());
    }

    /** What of the look is wrong. */
    public ImpossibleLook.Field what() {
        return look.field();
    }

    /** What is wrong, without a full stop. */
    public String fault() {
        return fault;
    }

    /** What would do, as a sentence that goes on from the fault. */
    public String remedy() {
        return remedy;
    }

    /** The piece it is about, from 1; 0 where it is about counts. */
    public int piece() {
        return look.fault().figures().get("piece") instanceof Integer piece ? piece : 0;
    }
}
