package garden.vivarium.app.climate;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.measure.Night;
import garden.vivarium.core.measure.Unit;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The air of places: a list, a place over some days, and what is typed or read in. */
@Controller
@RequestMapping("/benches/air")
class AirController {

    private static final int MOST_DAYS = 366;

    private final PlaceAirs airs;
    private final PlaceNights nights;
    private final Readings readings;
    private final AirRecord record;
    private final Loggers loggers;
    private final Today today;
    private final Measures measures;

    AirController(
            PlaceAirs airs,
            PlaceNights nights,
            Readings readings,
            AirRecord record,
            Loggers loggers,
            Today today,
            Measures measures) {
        this.airs = airs;
        this.nights = nights;
        this.readings = readings;
        this.record = record;
        this.loggers = loggers;
        this.today = today;
        this.measures = measures;
    }

    @GetMapping
    String all(Model model) {
        model.addAttribute("airs", airs.all());
        model.addAttribute("loggers", loggers.list());
        model.addAttribute("latitude", record.latitude().orElse(null));
        model.addAttribute("rawDays", readings.rawDays());
        record.latitude().ifPresent(l -> {
            model.addAttribute("night", Night.hours(l, today.date()));
            model.addAttribute("noon", Math.max(0, Night.noonHeight(l, today.date())));
        });
        model.addAttribute("nightsOf", nights.ofPlants());
        return "climate/places";
    }

    @GetMapping("/{place}")
    String one(@PathVariable UUID place, @RequestParam(defaultValue = "7") int days, Model model) {
        int shown = Math.max(2, Math.min(MOST_DAYS, days));
        PlaceAir air = airs.of(place, shown);
        model.addAttribute("air", air);
        model.addAttribute("days", shown);
        model.addAttribute("chart", AirChart.of(air, record.latitude(), measures));
        model.addAttribute(
                "loggers",
                loggers.list().stream().filter(l -> l.place().equals(place)).toList());
        return "climate/place";
    }

    /** All hours of it, as a table. */
    @GetMapping(path = "/{place}.csv")
    ResponseEntity<String> csv(@PathVariable UUID place, @RequestParam(defaultValue = "7") int days) {
        StringBuilder text = new StringBuilder("hour,coldest,mean,warmest,humidity,light\n");
        airs.hours(place, Math.max(1, Math.min(MOST_DAYS, days)))
                .forEach(h -> text.append(h.at())
                        .append(',')
                        .append(h.coldest())
                        .append(',')
                        .append(h.mean())
                        .append(',')
                        .append(h.warmest())
                        .append(',')
                        .append(h.humidity() == null ? "" : h.humidity())
                        .append(',')
                        .append(h.light() == null ? "" : h.light())
                        .append('\n'));
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"air.csv\"")
                .body(text.toString());
    }

    @PostMapping("/where")
    String where(
            @RequestParam(required = false) String latitude,
            @RequestParam(required = false) String rawDays,
            RedirectAttributes next) {
        return FormActions.run(next, "/benches/air", () -> {
            Integer days = Figures.whole("rawDays", rawDays);
            readings.isAt(Figures.decimal("latitude", latitude), days == null ? 14 : days);
            return Messages.text("AirController.where");
        });
    }

    @PostMapping("/{place}/reading")
    String typed(
            @PathVariable UUID place,
            @RequestParam(required = false) LocalDateTime readAt,
            @RequestParam(required = false) String warmth,
            @RequestParam(required = false) String humidity,
            RedirectAttributes next) {
        return FormActions.run(next, "/benches/air/" + place, () -> {
            Double typed = Figures.decimal("warmth", warmth);
            if (typed == null) {
                throw new InvalidField(
                        "warmth", Messages.text("AirController.warmth", "unit", measures.unit(Unit.CELSIUS)));
            }
            Instant at = (readAt == null ? today.now() : today.instant(readAt)).truncatedTo(ChronoUnit.MINUTES);
            readings.put(
                    place,
                    new Reading(at, measures.metric(typed, Unit.CELSIUS), Figures.decimal("humidity", humidity), null));
            return Messages.text(
                    "AirController.put", "time", today.local(at).toString().replace('T', ' '));
        });
    }

    @PostMapping("/{place}/strike")
    String strike(
            @PathVariable UUID place,
            @RequestParam(required = false) LocalDateTime strikeFrom,
            @RequestParam(required = false) LocalDateTime strikeTo,
            RedirectAttributes next) {
        return FormActions.run(next, "/benches/air/" + place, () -> {
            if (strikeFrom == null || strikeTo == null) {
                throw new InvalidField("strikeFrom", Messages.text("Readings.strike"));
            }
            return Messages.text(
                    "AirController.struck",
                    "hours",
                    readings.strike(place, today.instant(strikeFrom), today.instant(strikeTo)));
        });
    }

    @PostMapping("/{place}/file")
    String file(@PathVariable UUID place, @RequestParam(required = false) MultipartFile file, RedirectAttributes next) {
        return FormActions.run(next, "/benches/air/" + place, () -> {
            if (file == null || file.isEmpty()) {
                throw new InvalidField("file", Messages.text("AirController.file"));
            }
            readings.refuseUnknown(place);
            try (Reader in = new InputStreamReader(file.getInputStream(), StandardCharsets.UTF_8)) {
                return Messages.text("AirController.kept", "kept", readings.keep(place, read(in)));
            } catch (IOException | UncheckedIOException e) {
                throw new InvalidField("file", Messages.text("AirController.unreadable"));
            }
        });
    }

    /** Reads "at,warmth,humidity,light"; times without an offset are those of the nursery. */
    private List<Reading> read(Reader in) throws IOException {
        List<Reading> found = new ArrayList<>();
        try (CSVParser rows = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .get()
                .parse(in)) {
            if (!rows.getHeaderMap().containsKey("at") || !rows.getHeaderMap().containsKey("warmth")) {
                throw new InvalidField("file", Messages.text("AirController.header"));
            }
            for (CSVRecord row : rows) {
                found.add(new Reading(at(row), number(row, "warmth"), number(row, "humidity"), number(row, "light")));
            }
        }
        return found;
    }

    private Instant at(CSVRecord row) {
        String text = row.get("at").replace(' ', 'T');
        try {
            return text.matches(".*(Z|[+-]\\d\\d:?\\d\\d)$")
                    ? OffsetDateTime.parse(text).toInstant()
                    : today.instant(LocalDateTime.parse(text));
        } catch (DateTimeException e) {
            throw new InvalidField(
                    "file", Messages.text("AirController.time", "line", row.getRecordNumber() + 1, "text", text));
        }
    }

    private static Double number(CSVRecord row, String column) {
        return row.isMapped(column) && row.isSet(column) ? Figures.decimal("file", row.get(column)) : null;
    }

    @PostMapping("/{place}/logger")
    String logger(@PathVariable UUID place, @RequestParam(required = false) String name, RedirectAttributes next) {
        return FormActions.run(next, "/benches/air/" + place, () -> {
            readings.refuseUnknown(place);
            next.addFlashAttribute("token", loggers.make(place, name));
            return Messages.text("AirController.logger");
        });
    }

    @PostMapping("/loggers/{id}/withdraw")
    String withdraw(@PathVariable UUID id, RedirectAttributes next) {
        return FormActions.run(next, "/benches/air", () -> {
            loggers.withdraw(id);
            return Messages.text("AirController.withdrawn");
        });
    }
}
