package garden.vivarium.app.climate;

import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the air of places asks of somebody today. */
@Service
public class AirAlarms {

    private static final Duration SILENT = Duration.ofHours(3);

    private final PlaceAirs airs;
    private final AirRecord record;
    private final Loggers loggers;
    private final Words words;
    private final Says says;
    private final Today today;

    AirAlarms(PlaceAirs airs, AirRecord record, Loggers loggers, Words words, Says says, Today today) {
        this.airs = airs;
        this.record = record;
        this.loggers = loggers;
        this.words = words;
        this.says = says;
        this.today = today;
    }

    /**
     * One thing.
     *
     * @param key what names it
     * @param what in words
     * @param why the reason and what to do
     * @param pressing whether waiting does harm
     */
    public record Asked(PlaceView place, String key, String what, String why, boolean pressing) {}

    /** All of them; none where nobody measures. */
    @Transactional(readOnly = true)
    public List<Asked> now() {
        if (!record.isAny() && record.latitude().isEmpty()) {
            return List.of();
        }
        List<Loggers.View> instruments = loggers.list();
        List<Asked> asked = new ArrayList<>();
        for (PlaceAir air : airs.calling()) {
            air.alarm()
                    .ifPresent(a -> asked.add(new Asked(
                            air.place(),
                            a.alarm().name(),
                            words.say(
                                    "air.alarm",
                                    "alarm",
                                    a.alarm().name(),
                                    "warmth",
                                    Temperature.ofCelsius(Math.round(a.warmth() * 10) / 10.0),
                                    "hours",
                                    a.hours()),
                            words.of(Statement.of(a.alarm())),
                            true)));
            instruments.stream()
                    .filter(l -> l.place().equals(air.place().id()))
                    .filter(l -> isSilent(l, air.last()))
                    .forEach(l -> asked.add(new Asked(
                            air.place(),
                            "SILENT " + l.name(),
                            words.say("air.silent", "name", l.name()),
                            words.say(
                                    "air.silent.why",
                                    "since",
                                    l.lastSeen() == null ? "never" : says.away(today.of(l.lastSeen()))),
                            false)));
            air.nights()
                    .forEach(n -> asked.add(new Asked(
                            air.place(),
                            "NIGHT " + n.code(),
                            words.say("air.night", "code", n.code(), "plant", n.plant()),
                            words.of(n.said()),
                            false)));
        }
        return asked;
    }

    private boolean isSilent(Loggers.View logger, Optional<Reading> last) {
        Instant heard = last.map(Reading::at).orElse(logger.lastSeen());
        return heard != null && heard.isBefore(today.now().minus(SILENT));
    }
}
