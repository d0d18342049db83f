package garden.vivarium.app.walk;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.exchange.Records;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** How long an import of 2,000 batches takes, and each page at 50,000 propagules, at the server. Printed, not asserted. */
@OnDatabase
class PageBench {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);
    private static final int BATCHES = 2000;
    private static final int PIECES = 25;
    private static final int RUNS = 21;

    @Autowired
    private MockMvc pages;

    @Autowired
    private DemoNursery demo;

    @Autowired
    private People people;

    @Autowired
    private Records records;

    @Autowired
    private Batches batches;

    @Autowired
    private Benches benches;

    @Autowired
    private Stock stock;

    @Autowired
    private Guide guide;

    @Autowired
    private CurrentNursery current;

    @Test
    void importAndPages() throws Exception {
        Nurseries.Made nursery = Nurseries.make(people);
        String file = file();
        long start = System.nanoTime();
        UUID id = current.workingFor(
                nursery.id(), () -> records.receive("history", "old.csv", file.getBytes(StandardCharsets.UTF_8)));
        current.workingFor(nursery.id(), () -> records.look(id));
        long looked = System.nanoTime();
        int kept = current.workingFor(nursery.id(), () -> records.keep(id));
        long done = System.nanoTime();
        System.out.printf(
                Locale.ROOT,
                "import, %,d batches, %,d looks: looked through in %.1f s, kept in %.1f s%n",
                BATCHES,
                kept,
                (looked - start) / 1e9,
                (done - looked) / 1e9);

        UUID parent = current.workingFor(nursery.id(), () -> {
            var plant = Growing.stockPlant(stock, "Plant 1");
            IntStream.range(0, 30).forEach(i -> Growing.tray(batches, guide, plant, 5, 5, TODAY.minusDays(5 + i % 40)));
            return plant.id();
        });
        String code =
                current.workingFor(nursery.id(), benches::open).get(0).batch().code();
        SignedIn grower = new SignedIn(UUID.randomUUID(), nursery.id(), nursery.signIn(), "Grower", "");
        time(
                grower,
                "/round",
                "/plan?stock=" + parent + "&wanted=24&due=2026-09-15&sure=90",
                "/benches",
                "/batches/" + code,
                "/batches/" + code + "/check",
                "/stock",
                "/stock/" + parent,
                "/technique");
        current.workingFor(nursery.id(), () -> batches.look(code, Growing.count(TODAY, 1, 0)));
        long from = System.nanoTime();
        pages.perform(MockMvcRequestBuilders.get("/technique").with(SecurityMockMvcRequestPostProcessors.user(grower)))
                .andReturn();
        System.out.printf(
                Locale.ROOT, "page /technique after one more look    %7.0f ms%n", (System.nanoTime() - from) / 1e6);
    }

    /** The sample nursery: three years, all families. Every page is to be answered in under 150 ms. */
    @Test
    void pagesOfTheSampleNursery() throws Exception {
        long start = System.nanoTime();
        demo.fillOnce();
        System.out.printf(Locale.ROOT, "sample nursery filled in %.1f s%n", (System.nanoTime() - start) / 1e9);
        UUID nursery = people.nurseryOf(DemoNursery.SIGN_IN).orElseThrow();
        SignedIn grower = new SignedIn(UUID.randomUUID(), nursery, DemoNursery.SIGN_IN, "Wren", "");
        UUID fuchsia = current.workingFor(
                nursery, () -> stock.named("FUC-1").orElseThrow().id());
        String code = current.workingFor(nursery, benches::open).get(0).batch().code();
        time(
                grower,
                "/round",
                "/plan?stock=" + fuchsia + "&wanted=24&due=2026-09-01&sure=90",
                "/promises",
                "/plan/build-up?stock=" + fuchsia + "&wanted=400&due=2027-09-01",
                "/plan/rescue?stock=" + fuchsia + "&TIP=3&MIDDLE=5&alone=40&cut=20",
                "/plan/space",
                "/plan/materials",
                "/plan/outcomes",
                "/round/away?from=2026-06-20&back=2026-07-01",
                "/benches",
                "/batches/" + code,
                "/batches/" + code + "/check",
                "/batches/" + code + "/offspring",
                "/wrong?batch=" + code + "&seen=black-base",
                "/stock",
                "/stock/new",
                "/stock/" + fuchsia,
                "/stock/" + fuchsia + "/family",
                "/stock/" + fuchsia + "/change",
                "/technique",
                "/shed?group=rosette",
                "/guide/tip-in-plugs",
                "/guide/own-slipway-plugs/change",
                "/guide/methods/tip cutting",
                "/guide/jobs/soft/tip cutting",
                "/guide/schools",
                "/find/list?q=fu",
                "/records");
    }

    private void time(SignedIn grower, String... addresses) throws Exception {
        for (String page : addresses) {
            double[] ms = new double[RUNS];
            for (int run = 0; run < RUNS; run++) {
                long from = System.nanoTime();
                int status = pages.perform(MockMvcRequestBuilders.get(page)
                                .with(SecurityMockMvcRequestPostProcessors.user(grower)))
                        .andReturn()
                        .getResponse()
                        .getStatus();
                ms[run] = (System.nanoTime() - from) / 1e6;
                if (status != 200) {
                    throw new IllegalStateException(page + " answered " + status);
                }
            }
            double first = ms[0];
            Arrays.sort(ms);
            System.out.printf(
                    Locale.ROOT,
                    "page %-34s median %7.0f ms   first %7.0f ms%n",
                    page.replaceAll("\\?.*", "")
                            .replaceAll("[0-9a-f-]{36}", "ID")
                            .replaceAll("\\d\\dw\\d\\d-\\w+", "CODE"),
                    ms[RUNS / 2],
                    first);
        }
    }

    private static String file() {
        Random random = new Random(5);
        String[] ways = {
            "soft,tip cutting,water",
            "soft,tip cutting,plug compost",
            "soft,tip cutting,perlite",
            "woody,semi-ripe cutting,perlite",
            "woody,heel cutting,coarse grit"
        };
        StringBuilder text =
                new StringBuilder("batch,plant,group,method,medium,stuck_on,stuck,looked_on,first_sign,ready,lost\n");
        for (int b = 0; b < BATCHES; b++) {
            String way = ways[b % ways.length];
            LocalDate stuck = TODAY.minusDays(120 + random.nextInt(900));
            int ready = 0;
            int lost = 0;
            for (int look = 1; look <= 8; look++) {
                int left = PIECES - ready - lost;
                ready += Math.min(left, random.nextInt(6));
                lost += Math.min(PIECES - ready - lost, random.nextInt(2));
                text.append("N%d,Plant %d,%s,%s,%d,%s,%d,%d,%d%n"
                        .formatted(
                                b,
                                b % 5 * 12 + b % 12,
                                way,
                                stuck,
                                PIECES,
                                stuck.plusDays(7L * look),
                                ready,
                                ready,
                                lost));
            }
        }
        return text.toString();
    }
}
