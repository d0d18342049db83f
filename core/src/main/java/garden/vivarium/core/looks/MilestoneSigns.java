package garden.vivarium.core.looks;

import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Sign;
import java.util.Optional;

/**
 * By what a protocol tells its milestones.
 *
 * @param firstSign what first sign is told by; empty for families that have no first-sign time
 * @param ready what ready is told by
 */
public record MilestoneSigns(Optional<Sign> firstSign, Sign ready) {

    /** Both milestones told by roots, as with most stem cuttings. */
    public static MilestoneSigns roots() {
        return new MilestoneSigns(Optional.of(Sign.ROOT), Sign.ROOT);
    }

    boolean knowsFirstSign(LookKind kind) {
        return firstSign.isPresent() && kind.canKnow(firstSign.get());
    }

    boolean knowsReady(LookKind kind) {
        return kind.canKnow(ready);
    }
}
