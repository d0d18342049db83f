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

/** Everything that the batch sheet shows. */
public record BatchSheet(
        Benches.Row row,
        Outlook outlook,
        Expected expected,
        List<PieceDetail> pieces,
        Optional<RootingCurve> curve,
        List<CheckView> checks,
        List<PottingView> pottings,
        Optional<Protocol> protocol,
        Method method,
        MilestoneSigns signs,
        Optional<StageClock> stages,
        Optional<StillToCome> toCome) {

    public BatchView batch() {
        return row.batch();
    }

    /** How such a batch is usually looked at. */
    LookKind usualLook() {
        return protocol.map(p -> p.course().looks().kind()).orElse(LookKind.LIFTED);
    }
}
