package garden.vivarium.app.walk;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.climate.Reading;
import garden.vivarium.app.climate.Readings;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.Climate;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * A nursery of 1,000,000 pieces in 18,000 batches, 400 of them running, at the server: how long each main page takes, the first
 * page after a look, and the save of a check of 104 cells; heap and bytes sent. Printed, not asserted.
 */
@OnDatabase
@EnabledIfSystemProperty(named = "vivarium.bench", matches = "scale")
class ScaleBench {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);
    private static final int FINISHED = 17_600;
    private static final int RUNNING = 400;
    private static final int PIECES = 56;
    private static final int ROWS = 8;
    private static final int COLUMNS = 13;
    private static final int PLANTS = 120;
    private static final int PATTERNS = 400;
    private static final int RUNS = 21;
    private static final int WARM_UP = 30;
    private static final List<String> WAYS =
            List.of("tip-in-plugs", "tip-in-water", "tip-in-perlite", "tip-in-coir", "tip-in-sand");

    @Autowired
    private MockMvc pages;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private OldBatches oldBatches;

    @Autowired
    private Batches batches;

    @Autowired
    private Moves moves;

    @Autowired
    private BatchBook book;

    @Autowired
    private Guide guide;

    @Autowired
    private Readings air;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private JdbcClient database;

    private final Random random = new Random(18);
    private List<Protocol> ways;
    private List<StockPlantView> parents;

    @Test
    void aMillionPieces() throws Exception {
        Nurseries.Made nursery = Nurseries.make(people);
        ways = WAYS.stream().flatMap(w -> guide.protocol(w).stream()).toList();
        long start = System.nanoTime();
        List<String> running = current.workingFor(nursery.id(), () -> fill(nursery.id()));
        // A nursery is not written in one go: a batch was written last on the day that it was closed. What was written
        // in
        // the last two minutes is read with more care.
        database.sql("update batch set written_at = coalesce(timestamp(closed_on), written_at - interval 1 day)")
                .update();
        System.out.printf(
                Locale.ROOT,
                "filled with %,d pieces in %,d batches, %d running, in %.0f s%n",
                (long) FINISHED * PIECES + (long) RUNNING * ROWS * COLUMNS,
                FINISHED + RUNNING,
                RUNNING,
                (System.nanoTime() - start) / 1e9);
        SignedIn grower = new SignedIn(UUID.randomUUID(), nursery.id(), nursery.signIn(), "Grower", "");
        UUID parent = parents.get(0).id();
        first(grower, "/technique", "the very first /technique");
        for (String page : List.of(
                "/round",
                "/benches",
                "/benches/map",
                "/batches/" + running.get(0),
                "/batches/" + running.get(0) + "/check",
                "/plan?stock=" + parent + "&wanted=24&due=2026-09-15&sure=90",
                "/promises",
                "/plan/space",
                "/plan/materials",
                "/plan/outcomes",
                "/stock",
                "/stock/" + parent,
                "/stock/" + parent + "/family",
                "/technique",
                "/technique/settling",
                "/find/list?q=plant",
                "/shed")) {
            time(grower, page);
        }
        askedAnew(grower, parent);
        save(nursery, running);
        // What a whole round of looks has changed is not what one look changes.
        for (String page : List.of("/technique", "/round")) {
            first(grower, page, page + " after " + RUNS + " looks");
        }
        int next = 5;
        for (String page : List.of("/technique", "/round")) {
            for (int pause : List.of(0, 500)) {
                String code = running.get(next++);
                current.workingFor(nursery.id(), () -> batches.lookUnchanged(code, TODAY));
                Thread.sleep(pause);
                first(grower, page, "%s %d ms after a look".formatted(page, pause));
            }
        }
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        System.out.printf(
                Locale.ROOT, "heap in use %,d MB%n", (runtime.totalMemory() - runtime.freeMemory()) / 1_000_000);
    }

    /** A year of readings at one a minute from twenty places: kept as they came for two weeks, by hour and by day for the year. */
    @Test
    void aYearOfReadings() throws Exception {
        Nurseries.Made nursery = Nurseries.make(people);
        ways = WAYS.stream().flatMap(w -> guide.protocol(w).stream()).toList();
        SignedIn grower = new SignedIn(UUID.randomUUID(), nursery.id(), nursery.signIn(), "Grower", "");
        List<UUID> places = current.workingFor(nursery.id(), () -> {
            StockPlantView parent = Growing.stockPlant(stock, "Plant");
            List<UUID> made = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                UUID place = stock.placeNamed("Place " + i, Climate.HEATED).id();
                made.add(place);
                for (int b = 0; b < 5; b++) {
                    batches.make(Growing.newBatchAt(guide, WAYS.get(b), parent, place, 20, TODAY.minusDays(10 + b)));
                }
            }
            return made;
        });
        long start = System.nanoTime();
        for (UUID place : places) {
            readings(nursery.id(), place);
        }
        System.out.printf(
                Locale.ROOT,
                "%,d readings, %,d hours, %,d days of 20 places in %.0f s%n",
                20L * 14 * 1440,
                20L * 8760,
                20L * 365,
                (System.nanoTime() - start) / 1e9);
        UUID place = places.get(3);
        for (String page : List.of(
                "/benches/air",
                "/benches/air/" + place,
                "/benches/air/" + place + "?days=30",
                "/benches/air/" + place + "?days=365",
                "/round")) {
            time(grower, page);
        }
        double[] ms = new double[RUNS];
        Instant noon = TODAY.atTime(11, 0).toInstant(ZoneOffset.UTC);
        for (int run = 0; run < RUNS; run++) {
            int second = run + 1;
            List<Reading> hour = IntStream.range(0, 60)
                    .mapToObj(m -> new Reading(noon.plusSeconds(60L * m - 3600 + second), 18.0, 70.0, 0.2))
                    .toList();
            long from = System.nanoTime();
            current.workingFor(nursery.id(), () -> air.keep(place, hour));
            ms[run] = (System.nanoTime() - from) / 1e6;
        }
        print("an hour of readings, sent at once", ms, 0);
    }

    private void readings(UUID nursery, UUID place) {
        String now = TODAY + " 11:00:00";
        database.sql("insert into air_reading select ?, ?, ? - interval seq minute, 14 + 6 * sin(seq / 229), 70, 0.2"
                        + " from seq_0_to_20159")
                .params(nursery.toString(), place.toString(), now)
                .update();
        database.sql(
                        "insert into air_hour select ?, ?, ? - interval seq hour, 60, 12, 14 + 6 * sin(seq / 3.8), 20, 70, 60, 0.2"
                                + " from seq_0_to_8759")
                .params(nursery.toString(), place.toString(), now)
                .update();
        database.sql(
                        "insert into air_day select ?, ?, date(?) - interval seq day, 24, 9, 14, 20, 70, 0.2 from seq_0_to_364")
                .params(nursery.toString(), place.toString(), now)
                .update();
    }

    private List<String> fill(UUID nursery) {
        parents = IntStream.rangeClosed(1, PLANTS)
                .mapToObj(i -> Growing.stockPlant(stock, "Plant " + i))
                .toList();
        transaction.executeWithoutResult(t -> IntStream.range(0, PATTERNS).forEach(this::finished));
        stock.holds(parents.get(0).place().id(), (double) RUNNING);
        // The rest are copies of these, row by row: what is measured is reading them.
        for (int copy = 1; copy < FINISHED / PATTERNS; copy++) {
            copy(nursery, copy);
        }
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RUNNING; i++) {
            int age = 5 + i % 40;
            codes.add(transaction.execute(t -> running(age)).code());
        }
        return codes;
    }

    private void copy(UUID nursery, int number) {
        database.sql("create or replace table copied as select id as old, uuid() as fresh from batch"
                        + " where nursery_id = ? and code not like 'N%'")
                .param(nursery.toString())
                .update();
        copy("batch", "t.id = m.old", Map.of("id", "m.fresh", "code", "concat('N" + number + "-', t.code)"));
        for (String table : List.of("batch_check", "tally", "evidence_batch", "potting")) {
            copy(
                    table,
                    "t.batch_id = m.old",
                    table.equals("batch_check")
                            ? Map.of("id", "uuid()", "batch_id", "m.fresh", "client_id", "uuid()")
                            : Map.of("id", "uuid()", "batch_id", "m.fresh"));
        }
    }

    private void copy(String table, String on, Map<String, String> other) {
        List<String> columns = database.sql("select column_name from information_schema.columns"
                        + " where table_schema = database() and table_name = ? order by ordinal_position")
                .param(table)
                .query(String.class)
                .list();
        database.sql("insert into %s (%s) select %s from %s t join copied m on %s"
                        .formatted(
                                table,
                                String.join(", ", columns),
                                columns.stream()
                                        .map(c -> other.getOrDefault(c, "t." + c))
                                        .collect(Collectors.joining(", ")),
                                table,
                                on))
                .update();
    }

    private void finished(int i) {
        Protocol way = ways.get(i % ways.size());
        LocalDate stuck = TODAY.minusDays(120 + random.nextInt(3500));
        int ready = (int) Math.round(PIECES * Math.min(0.98, Math.max(0.1, 0.72 + 0.16 * random.nextGaussian())));
        List<LookCommand> looks = List.of(
                Growing.count(stuck.plusDays(14), ready / 4, 0),
                Growing.count(stuck.plusDays(28), 3 * ready / 4, Math.min(1, PIECES - ready)),
                Growing.count(stuck.plusDays(56), ready, PIECES - ready));
        BatchView made =
                oldBatches.make(batch(way, parents.get(i % PLANTS), stuck).made(), looks, false);
        moves.move(made.code(), stuck.plusDays(60), ready, ready);
        UUID move = book.pottings(made.id()).get(0).id();
        moves.settle(made.code(), move, stuck.plusDays(90), (int) Math.round(0.93 * ready));
    }

    private BatchView running(int age) {
        LocalDate stuck = TODAY.minusDays(age);
        NewBatch tray = NewBatch.by(ways.get(0))
                .of(
                        parents.get(age % PLANTS).plant(),
                        parents.get(age % PLANTS).id(),
                        parents.get(0).place().id())
                .taken(stuck, ROWS * COLUMNS)
                .stuck(stuck, ROWS * COLUMNS)
                .inTray(ROWS, COLUMNS)
                .made();
        BatchView made = oldBatches.make(tray, List.of(), false);
        return age < 14
                ? made
                : oldBatches.addLooks(made.code(), List.of(pieces(TODAY.minusDays(age - 12L), 20)), false);
    }

    private static NewBatch.Draft batch(Protocol way, StockPlantView parent, LocalDate day) {
        return NewBatch.by(way)
                .of(parent.plant(), parent.id(), parent.place().id())
                .taken(day, PIECES)
                .stuck(day, PIECES);
    }

    private static LookCommand pieces(LocalDate day, int firstSign) {
        PieceState[] states = new PieceState[ROWS * COLUMNS];
        Arrays.fill(states, PieceState.NONE);
        Arrays.fill(states, 0, firstSign, PieceState.FIRST_SIGN);
        return Growing.pieces(day, states);
    }

    private void save(Nurseries.Made nursery, List<String> running) {
        double[] ms = new double[RUNS];
        for (int run = 0; run < RUNS; run++) {
            String code = running.get(20 + run);
            long from = System.nanoTime();
            current.workingFor(nursery.id(), () -> batches.look(code, pieces(TODAY, 40)));
            ms[run] = (System.nanoTime() - from) / 1e6;
        }
        print("save of a check of 104 cells", ms, 0);
    }

    /** A plan for another day each time: what was reckoned for the same question before is of no help. */
    private void askedAnew(SignedIn grower, UUID parent) throws Exception {
        double[] ms = new double[RUNS];
        for (int run = 0; run < RUNS; run++) {
            LocalDate due = LocalDate.of(2026, 9, 16).plusDays(run);
            long from = System.nanoTime();
            open(grower, "/plan?stock=" + parent + "&wanted=24&due=" + due + "&sure=90");
            ms[run] = (System.nanoTime() - from) / 1e6;
        }
        print("/plan, another question each time", ms, 0);
    }

    private void first(SignedIn grower, String page, String words) throws Exception {
        long from = System.nanoTime();
        open(grower, page);
        System.out.printf(Locale.ROOT, "%-40s %7.0f ms%n", words, (System.nanoTime() - from) / 1e6);
    }

    private void time(SignedIn grower, String page) throws Exception {
        double[] ms = new double[RUNS];
        int bytes = 0;
        // A server that has run for a while is what people wait for.
        for (int run = 0; run < WARM_UP; run++) {
            open(grower, page);
        }
        for (int run = 0; run < RUNS; run++) {
            long from = System.nanoTime();
            bytes = open(grower, page).getContentAsByteArray().length;
            ms[run] = (System.nanoTime() - from) / 1e6;
        }
        print(
                page.replaceAll("\\?(?!days).*", "")
                        .replaceAll("[0-9a-f-]{36}", "ID")
                        .replaceAll("\\d\\dw\\d\\d-\\w+", "CODE"),
                ms,
                bytes);
    }

    private MockHttpServletResponse open(SignedIn grower, String page) throws Exception {
        MockHttpServletResponse answer = pages.perform(
                        MockMvcRequestBuilders.get(page).with(SecurityMockMvcRequestPostProcessors.user(grower)))
                .andReturn()
                .getResponse();
        if (answer.getStatus() != 200) {
            throw new IllegalStateException(page + " answered " + answer.getStatus());
        }
        return answer;
    }

    private static void print(String what, double[] ms, int bytes) {
        Arrays.sort(ms);
        System.out.printf(
                Locale.ROOT,
                "%-40s median %7.0f ms   95%% %7.0f ms%s%n",
                what,
                ms[RUNS / 2],
                ms[(int) Math.ceil(0.95 * RUNS) - 1],
                bytes == 0 ? "" : String.format(Locale.ROOT, "   %,9d bytes", bytes));
    }
}
