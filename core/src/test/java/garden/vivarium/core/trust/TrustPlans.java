package garden.vivarium.core.trust;

import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.PlannedPieces;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.plan.SharedDoubt;
import garden.vivarium.core.timing.SeasonFactors;
import java.util.Optional;

/** Plans of a simulated way, without callus and settling. */
final class TrustPlans {

    private static final Protocol ANY = Guide.load().protocol("tip-in-water").orElseThrow();

    private TrustPlans() {}

    static PlannedPieces pieces(Way way, NurseryRecord record, double days) {
        Outlook outlook = Outlook.of(ANY, record, way);
        SeasonOutlook season = outlook.inSeason();
        Outlook alone =
                new Outlook(season, season, Optional.empty(), Optional.empty(), outlook.output(), outlook.season());
        return alone.planned(
                way,
                s -> new SharedDoubt(
                        record.finishedStrike(way, s), record.prior(way, s).time()),
                season,
                SeasonFactors.IN_SEASON,
                days,
                1);
    }
}
