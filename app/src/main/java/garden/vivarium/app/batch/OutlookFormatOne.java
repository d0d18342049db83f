package garden.vivarium.app.batch;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.timing.Window;
import java.util.Optional;

/**
 * Outlooks of format 1, which had no number: one strike rate and one pair of times, to which the factors of the season were put
 * afterwards, and times as a fit of mean and spread without what is unsure of the way.
 */
final class OutlookFormatOne {

    /** The tenth percentile of the normal law lies so many standard deviations below its mean. */
    private static final double TENTH = Window.NORMAL_SPAN / 2;

    /** What one batch told of its own speed, as a variance of ln(days): some two dozen pieces looked at weekly. */
    private static final double OF_ONE_BATCH = 0.02;

    private OutlookFormatOne() {}

    /** The same in format 2. */
    static ObjectNode brought(ObjectMapper json, ObjectNode old) {
        try {
            OutlookFormatTwo.brought(old);
            double slower = old.path("season").path("slower").asDouble(1);
            double poorer = old.path("season").path("poorer").asDouble(1);
            boolean always = old.path("season").path("months").isEmpty();
            StrikeRate strike = json.treeToValue(old.get("strike"), StrikeRate.class);
            RootingTime ready = time(old.get("ready"));
            Optional<RootingTime> firstSign =
                    old.path("firstSign").isObject() ? Optional.of(time(old.get("firstSign"))) : Optional.empty();
            ObjectNode now = json.createObjectNode();
            now.set("inSeason", json.valueToTree(season(strike, firstSign, ready)));
            now.set(
                    "outOfSeason",
                    json.valueToTree(
                            always
                                    ? season(strike, firstSign, ready)
                                    : season(
                                            poorer(strike, poorer),
                                            firstSign.map(f -> f.slowedBy(slower)),
                                            ready.slowedBy(slower))));
            for (String same : new String[] {"callus", "settle", "season"}) {
                now.set(same, old.get(same));
            }
            now.putObject("output").set("chances", old.path("output").get("chances"));
            return now;
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("an outlook of format 1 cannot be read: " + e.getMessage(), e);
        }
    }

    private static SeasonOutlook season(StrikeRate strike, Optional<RootingTime> firstSign, RootingTime ready) {
        return new SeasonOutlook(strike, strike, firstSign, ready, ShownTable.ofGuide(ready, strike.rho()));
    }

    private static StrikeRate poorer(StrikeRate strike, double factor) {
        double strength = strike.alpha() + strike.beta();
        double mean = strike.mean() * factor;
        return strike.withBeta(mean * strength, (1 - mean) * strength);
    }

    private static RootingTime time(JsonNode old) {
        double mu = old.get("mu").asDouble();
        double sigma = old.get("sigma").asDouble();
        double tau = old.get("tau").asDouble();
        int batches = old.get("batches").asInt();
        if (batches == 0) {
            return RootingTime.ofGuide(new Window(Math.exp(mu - TENTH * sigma), Math.exp(mu + TENTH * sigma)));
        }
        double precision = 1 / RootingTime.GUIDE_VARIANCE + batches / (tau * tau + OF_ONE_BATCH);
        return new RootingTime(mu, 0, 1 / precision, tau, Math.sqrt(sigma * sigma - tau * tau), batches);
    }
}
