package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.CheckView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.watch.StageClock;
import java.util.List;
import java.util.Optional;

/**
 * Everything that the batch sheet shows.
 *
 * @param row what the benches show of it too
 * @param outlook what was expected when it was stuck
 * @param expected days expected now
 * @param pieces its pieces, the first first
 * @param curve how many by when, where anybody has looked
 * @param done what was done since
 * @param way how it was done, by the guide
 * @param stages callus and settling, where it has them
 * @param toCome what is still to be expected of it
 */
public record BatchSheet(
        Benches.Row row,
        Outlook outlook,
        Expected expected,
        List<PieceDetail> pieces,
        Optional<RootingCurve> curve,
        Done done,
        ByGuide way,
        Optional<StageClock> stages,
        Optional<StillToCome> toCome) {

    /** Whether it can be said what is still to come, by looks. */
    public boolean isForetold() {
        return toCome.map(t -> t.tells() > 0).orElse(false);
    }

    /** Looks and moves, the last first. */
    public record Done(List<CheckView> checks, List<PottingView> pottings) {}

    /** What the guide has of its way; the protocol is absent where the batch followed none. */
    public record ByGuide(Optional<Protocol> protocol, Method method, MilestoneSigns signs) {}

    public BatchView batch() {
        return row.batch();
    }

    /** How such a batch is usually looked at. */
    LookKind usualLook() {
        return way.protocol()
                .map(p -> p.course().looks().kind())
                .orElse(LookKind.LIFTED)
                .in(batch().way().medium());
    }
}
