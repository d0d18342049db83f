package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.climate.AirRecord;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A logger sends, stops and catches up; readings are typed and read in; nights are warned of. */
class AirInTheBrowserTest extends AtThePages {

    @Autowired
    private AirRecord record;

    @Autowired
    private Today today;

    private String json(int fromMinutesAgo, int toMinutesAgo, double warmth) {
        Instant now = today.now();
        return IntStream.iterate(fromMinutesAgo, m -> m >= toMinutesAgo, m -> m - 10)
                .mapToObj(m -> "{\"at\": \"%s\", \"warmth\": %s, \"humidity\": 71}"
                        .formatted(now.minus(m, ChronoUnit.MINUTES).truncatedTo(ChronoUnit.SECONDS), warmth))
                .collect(Collectors.joining(",", "{\"readings\": [", "]}"));
    }

    private HttpResponse<String> send(String token, String body) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port() + "/readings"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (token != null) {
            request.header("Authorization", "Bearer " + token);
        }
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void aLoggerSendsStopsAndCatchesUp() throws Exception {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView plugs = in(() -> batches.make(
                Growing.newBatch(guide, "offset-in-gritty-mix", fuchsia, 10, TODAY.minusDays(9), TODAY.minusDays(9))));
        String place = "/benches/air/" + plugs.placeId();
        browser.open("/benches");
        browser.follow("Warmth and air");
        browser.untilText("h1", "Warmth and air");
        browser.follow("Bench");
        browser.untilText("main", "Nothing was read here");
        browser.type("name", "Mist logger");
        browser.press("form[action$='/logger'] button");
        browser.untilText("main .said", "The logger may send now");
        String token = browser.text("code");

        assertThat(send(null, json(60, 0, 18)).statusCode()).isEqualTo(401);
        assertThat(send("no-such-token", json(60, 0, 18)).statusCode()).isEqualTo(401);
        for (String unread : List.of("not json", "", "{\"readings\": \"" + "x".repeat(1_200_000) + "\"}")) {
            HttpResponse<String> stranger = send("no-such-token", unread);
            assertThat(stranger.statusCode()).as("the token is looked at first").isEqualTo(401);
            assertThat(stranger.body()).startsWith("{").contains("token");
            HttpResponse<String> known = send(token, unread);
            assertThat(known.statusCode()).isIn(400, 413, 422);
            assertThat(known.headers().firstValue("Content-Type").orElse("")).startsWith("application/json");
            assertThat(known.body()).startsWith("{").contains("message");
        }
        assertThat(send(token, "{\"readings\": [{\"at\": \"2026-06-15T08:00:00Z\", \"warmth\": 900}]}")
                        .statusCode())
                .isEqualTo(422);
        for (String odd : new String[] {"{\"readings\": [null]}", "{\"readings\": []}", "{}"}) {
            assertThat(send(token, odd).statusCode()).as(odd).isEqualTo(422);
        }
        for (String odd : new String[] {"null", "{", "{\"readings\": [{\"at\": \"now\"}]}"}) {
            assertThat(send(token, odd).statusCode()).as(odd).isBetween(400, 422);
        }
        assertThat(send(token, json(720, 300, 18)).body()).contains("\"stored\":43");
        assertThat(send(token, json(720, 300, 18)).body()).as("twice is once").contains("\"stored\":0");

        // It stopped five hours ago: the round says so.
        browser.open("/round");
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.text("main")).containsIgnoringCase("see to the logger Mist logger");
        assertThat(send(token, json(290, 0, 6)).body()).contains("\"stored\":30");
        browser.open("/round");
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.text("main"))
                .doesNotContainIgnoringCase("see to the logger")
                .containsIgnoringCase("too cold: 6 °C");

        browser.open(place);
        assertThat(browser.text("h1")).isEqualTo("Bench: 6 °C, 71%");
        assertThat(browser.text("main .warning")).contains("Too cold: 6 °C", "Close vents and doors");
        browser.until(d -> browser.count("[data-air] .air-mean") == 1);
        assertThat(browser.count("[data-air] .air-band")).isEqualTo(1);
        assertThat(browser.text("#wants")).contains(plugs.code());
        assertThat(browser.barriers()).isEmpty();

        int last = 0;
        for (int i = 0; i < 130 && last != 429; i++) {
            last = send(token, json(0, 0, 6)).statusCode();
        }
        assertThat(last).as("too often is refused").isEqualTo(429);
        browser.open("/benches/air");
        browser.press("form[action$='/withdraw'] button");
        browser.untilText("main .said", "Withdrawn");
        assertThat(send(token, json(60, 0, 18)).statusCode()).isEqualTo(401);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void readingsAreTypedAndReadInAndNightsWarnedOf() throws Exception {
        StockPlantView dahlia = in(() -> Growing.stockPlant(stock, "Chrysanthemum ‘Low Tide’"));
        UUID frame = in(() -> stock.placeNamed("Frame", Climate.COLD).id());
        BatchView plugs = in(
                () -> batches.make(Growing.newBatchAt(guide, "tip-in-water", dahlia, frame, 10, TODAY.minusDays(9))));
        String place = "/benches/air/" + plugs.placeId();
        browser.open(place);
        browser.type("warmth", "warm");
        browser.press("form[action$='/reading'] button");
        browser.untilText("main .refused", "warm");
        browser.type("warmth", "19,5");
        browser.press("form[action$='/reading'] button");
        browser.untilText("main .said", "Kept as read at 2026-06-15");
        assertThat(browser.text("h1")).contains("19.5 °C");
        // It was typed wrong: the same time again puts it right, in its hour too.
        browser.type("warmth", "9.5");
        browser.press("form[action$='/reading'] button");
        browser.untilText("h1", "9.5 °C");
        assertThat(in(() -> record.hours(
                        frame, today.now().minusSeconds(7200), today.now().plusSeconds(7200))))
                .singleElement()
                .satisfies(h -> assertThat(h.mean()).isEqualTo(9.5));

        Path file = Files.writeString(
                Files.createTempDirectory("vivarium").resolve("air.csv"),
                "at,warmth,humidity\n2026-06-14 10:00,15,80\n2026-06-14 10:10,16,78\n");
        browser.upload("file", file);
        browser.press("form[action$='/file'] button");
        browser.untilText("main .said", "2 readings are kept");
        Path bad = Files.writeString(
                Files.createTempDirectory("vivarium").resolve("air.csv"), "at,warmth\nyesterday,15\n");
        browser.upload("file", bad);
        browser.press("form[action$='/file'] button");
        browser.untilText("main .refused", "Line 2: “yesterday” is no time");

        // At 10 degrees south nights in June are over eleven hours: a chrysanthemum sets buds from ten on.
        browser.open("/benches/air");
        browser.type("latitude", "-10");
        browser.press("form[action$='/where'] button");
        browser.untilText("main", "Tonight is 12.");
        browser.open(place);
        assertThat(browser.text("main .warning")).contains("from 10 on it sets buds", "hours of lamp");
        browser.open("/round");
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.text("main")).containsIgnoringCase("mind the nights of " + plugs.code());
        assertThat(in(() -> record.latitude())).hasValue(-10.0);
        assertThat(browser.complaints()).isEmpty();
    }
}
