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

/** Plans of a simulated way, without callus and settling. */
final class TrustPlans {

    private static final Protocol ANY = Guide.load().protocol("tip-in-water").orElseThrow();

    private TrustPlans() {}

    static PlannedPieces pieces(Way way, NurseryRecord record, double days) {
        SeasonOutlook season = Outlook.of(ANY, record, way).inSeason();
        Outlook alone = Outlook.always(season);
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
