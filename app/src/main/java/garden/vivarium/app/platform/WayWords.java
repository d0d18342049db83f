package garden.vivarium.app.platform;

import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.Text;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.measure.TimeSpan;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.treatment.Drying;
import garden.vivarium.core.treatment.Handling;
import garden.vivarium.core.treatment.Hormone;
import garden.vivarium.core.treatment.OwnTreatment;
import garden.vivarium.core.treatment.Soak;
import garden.vivarium.core.treatment.Treatment;
import garden.vivarium.core.treatment.Treatments;
import garden.vivarium.core.treatment.UnreadTreatment;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How ways and treatments are told, in the reader's language. */
public final class WayWords {

    private WayWords() {}

    /** How a grower would say it, without the plant: "tip cutting in water, hormone 0.3%". */
    public static String of(Way way) {
        String treated = treated(way);
        return Messages.text(
                "WayWords.way",
                "method",
                way.method(),
                "medium",
                way.medium(),
                "in",
                way.isIn(),
                "treated",
                treated.isEmpty() ? "no" : "yes",
                "treatment",
                treated);
    }

    /** The treatment, with the version of an own protocol; empty for nothing. */
    public static String treated(Way way) {
        Stream<String> own = way.own().stream()
                .map(o -> Messages.text(
                        "WayWords.own", "protocol", ProtocolKey.name(o.protocol()), "version", o.version()));
        return Stream.concat(own, way.treatment().all().stream().map(WayWords::of))
                .collect(Collectors.joining("; "));
    }

    /** All that is done; empty for nothing. */
    public static String of(Treatments treatments) {
        return treatments.all().stream().map(WayWords::of).collect(Collectors.joining("; "));
    }

    private static String of(Treatment treatment) {
        if (treatment instanceof Hormone hormone) {
            return Messages.text(
                    "WayWords.hormone",
                    "strength",
                    hormone.strength()
                            .map(s -> " " + Text.figure(s.in(Unit.PERCENT)) + "%")
                            .orElse(""),
                    "form",
                    hormone.form().name());
        } else if (treatment instanceof Drying drying) {
            return timed("WayWords.dried", drying.time(), Unit.DAY);
        } else if (treatment instanceof Soak soak) {
            return timed("WayWords.soaked", soak.time(), Unit.HOUR);
        } else if (treatment instanceof Handling handling) {
            return Messages.name(handling);
        } else if (treatment instanceof OwnTreatment own) {
            return own.written();
        }
        return ((UnreadTreatment) treatment).written();
    }

    private static String timed(String key, Optional<TimeSpan> time, Unit unit) {
        String figure = time.map(t -> Text.figure(t.in(unit))).orElse("");
        return Messages.text(key, "timed", time.isPresent(), "time", figure);
    }
}
