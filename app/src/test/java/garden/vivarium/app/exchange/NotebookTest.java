package garden.vivarium.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.DayOrder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Anybody's notebook, as it was written. */
class NotebookTest extends AtANursery {

    private static final String ODD = """
            Variety;Potted;Started;What;Into;No.;OK;Remarks;weather
            Fuchsia ‘Skery Lantern’;3/5/2025;12/4/2025;tip cuttings;perlite/compost 50:50;24;18;"good
            roots";wet
            Sage ‘Grey Gull’;20/6/2025;June 2025;tip;sphagnum;10;;
            Sage ‘Grey Gull’;wk 30;25/6/2025;stem cuttings;unicorn dust;12;9;;
            Hoya ‘Pearl Drift’;;1/2/2025;tip cuttings;water;six;;;
            """;

    @Autowired
    private Records records;

    @Autowired
    private RecordsWork work;

    @Autowired
    private OldBatches old;

    private UUID file;

    private Findings look(String kind, byte[] bytes) {
        file = in(() -> records.receive(kind, "notes", bytes));
        return in(() -> records.look(file));
    }

    private Findings look(String kind, String text) {
        return look(kind, text.getBytes(StandardCharsets.UTF_8));
    }

    private Findings say(Choices said) {
        run(() -> records.choose(file, said));
        return in(() -> records.look(file));
    }

    private Choices choices() {
        return in(() -> records.find(file)).choices();
    }

    @BeforeEach
    void twoPlants() {
        in(() -> stock.plantNamed("Fuchsia ‘Skerry Lantern’", "soft"));
    }

    @Test
    void anOddNotebookIsLetInWithoutAnEditor() {
        Findings first = look("history", ODD);

        assertThat(first.columns())
                .extracting(Findings.ColumnFound::column)
                .containsExactly("plant", "looked_on", "stuck_on", "method", "medium", "stuck", "ready", "note", "");
        assertThat(first.missing()).extracting(Findings.Missing::column).containsExactly("lost");

        Findings second =
                say(new Choices(Map.of("weather", ""), Map.of("lost", HistoryFile.REST), null, null, null, null, null));
        assertThat(second.days().order()).isTrue();
        assertThat(second.days().example()).isEqualTo("12/4/2025");
        assertThat(second.days().year()).isTrue();
        assertThat(second.days().yearless()).isEqualTo("wk 30");
        assertThat(second.words())
                .extracting(Findings.WordFound::typed, Findings.WordFound::means)
                .contains(
                        tuple("Fuchsia ‘Skery Lantern’", "Fuchsia ‘Skerry Lantern’"),
                        tuple("tip", "tip cutting"),
                        tuple("stem cuttings", "stem section"),
                        tuple("sphagnum", "long-fibre moss"),
                        tuple("perlite/compost 50:50", "1 peat-free compost + 1 perlite"),
                        tuple("unicorn dust", null));

        Choices said = choices();
        Findings third = say(new Choices(
                said.columns(),
                said.same(),
                DayOrder.DAY_FIRST,
                2025,
                Map.of(
                        "plant", Map.of("Fuchsia ‘Skery Lantern’", "Fuchsia ‘Skerry Lantern’"),
                        "method", Map.of("tip", "tip cutting", "stem cuttings", "stem section"),
                        "medium",
                                Map.of(
                                        "sphagnum",
                                        "long-fibre moss",
                                        "perlite/compost 50:50",
                                        "1 peat-free compost + 1 perlite",
                                        "unicorn dust",
                                        Choices.OWN)),
                null,
                null));
        assertThat(third.faults())
                .extracting(Findings.Fault::line, Findings.Fault::header)
                .containsExactly(tuple(4L, "OK"), tuple(6L, "No."));

        said = choices();
        Findings fourth = say(new Choices(
                said.columns(),
                said.same(),
                said.order(),
                said.year(),
                said.words(),
                Map.of(4L, Map.of("ready", "7")),
                Set.of(6L)));
        assertThat(fourth.isGood()).isTrue();
        assertThat(fourth.leftOut()).isOne();
        assertThat(fourth.preview().counts().makes()).isEqualTo(3);

        run(() -> work.keep(file));
        assertThat(in(() -> records.find(file)).state()).isEqualTo(ImportState.KEPT);
        BatchView fuchsia = named("Fuchsia ‘Skerry Lantern’ 2025-04-12");
        assertThat(fuchsia.medium()).isEqualTo("1 peat-free compost + 1 perlite");
        assertThat(fuchsia.counts().ready()).isEqualTo(18);
        assertThat(fuchsia.counts().lost()).as("the rest was lost").isEqualTo(6);
        BatchView june = named("Sage ‘Grey Gull’ 2025-06-15");
        assertThat(june.taking().unsureDays()).as("some day of June").isEqualTo(15);
        assertThat(june.counts().ready()).as("mended").isEqualTo(7);
        BatchView week = named("Sage ‘Grey Gull’ 2025-06-25");
        assertThat(week.medium()).isEqualTo("unicorn dust");
        assertThat(week.lastLook()).as("the middle of week 30").isEqualTo(LocalDate.of(2025, 7, 24));
        assertThat(week.taking().unsureDays()).isEqualTo(3);
    }

    private BatchView named(String name) {
        return in(() -> old.named(name)).orElseThrow();
    }

    @Test
    void whatWasSaidOnceIsKnownForTheNextFile() {
        look("history", "Sort,Date,How,In,Pieces\nSage,5/6/2025,tip,moss,9\n");
        say(new Choices(
                Map.of("Sort", "plant"),
                null,
                DayOrder.DAY_FIRST,
                null,
                Map.of("method", Map.of("tip", "tip cutting"), "medium", Map.of("moss", "living moss")),
                null,
                null));

        Findings next = look("history", "Sort,Date,How,In,Pieces\nSage,6/7/2025,TIP,moss,8\n");

        assertThat(next.isGood()).isTrue();
        assertThat(next.preview().makes().get(0).way()).isEqualTo("tip cutting in living moss");
        assertThat(next.preview().makes().get(0).stuckOn()).isEqualTo("2025-07-06");
    }

    @Test
    void spreadsheetsAreReadAsTextIs() {
        Object[][] rows = {
            {"plant", "method", "medium", "stuck_on", "stuck", "looked_on", "ready", "lost"},
            {"Sage", "tip cutting", "water", LocalDate.of(2025, 5, 1), 20, LocalDate.of(2025, 6, 1), 15, 5}
        };
        assertThat(look("history", Spreadsheet.xlsx(rows)).isGood()).isTrue();
        Findings ods = look("history", Spreadsheet.ods(rows));
        assertThat(ods.isGood()).isTrue();
        assertThat(ods.preview().makes().get(0).stands()).isEqualTo("15 ready, 5 lost by Sun 1 Jun 2025");
    }

    @Test
    void aWholeFileCanBeTakenBackAndReadInAgain() {
        look("history", RecordsTest.GOOD);
        run(() -> work.keep(file));
        assertThat(in(() -> evidence.record().ways())).hasSize(2);

        run(() -> work.takeBack(file));

        assertThat(in(() -> records.find(file)).state()).isEqualTo(ImportState.TAKEN_BACK);
        assertThat(in(() -> old.named("A1"))).isEmpty();
        assertThat(in(() -> evidence.record().ways())).isEmpty();
        assertThat(look("history", RecordsTest.GOOD).preview().counts().makes()).isEqualTo(2);
        run(() -> work.keep(file));
        assertThat(named("A1").counts().ready()).isEqualTo(17);
    }

    @Test
    void looksThatAFileAddedAreTakenBackAlone() {
        look("history", RecordsTest.GOOD.lines().limit(3).reduce("", (a, b) -> a + b + "\n"));
        run(() -> work.keep(file));
        look("history", RecordsTest.GOOD.lines().limit(4).reduce("", (a, b) -> a + b + "\n"));
        run(() -> work.keep(file));
        assertThat(named("A1").counts().ready()).isEqualTo(17);

        run(() -> work.takeBack(file));

        assertThat(named("A1").counts().ready()).isEqualTo(9);
    }

    @Test
    void aStockListOfManyPlantsIsLetIn() {
        StringBuilder list = new StringBuilder("plant,group,place,pieces\n");
        for (int i = 0; i < 420; i++) {
            list.append("Plant %s%s,soft,Bench %d,%d\n".formatted("qwrtzpsdfg".charAt(i / 42), i, i % 12, 20 + i % 60));
        }
        Findings found = look("stock", list.toString());
        assertThat(found.faults()).isEmpty();
        assertThat(found.isGood()).isTrue();
        assertThat(found.lines()).isEqualTo(420);
    }

    @Test
    void stockAndPlacesComeInAndGoBack() {
        look("places", "Bench,Kind,Room\nBench 7,greenhouse,12\nBack shelf,under lights,4\n");
        Findings places = say(new Choices(
                null,
                null,
                null,
                null,
                Map.of("climate", Map.of("greenhouse", "heated house", "under lights", "lit room")),
                null,
                null));
        assertThat(places.isGood()).isTrue();
        run(() -> work.keep(file));
        UUID placesFile = file;
        assertThat(in(() -> stock.places()))
                .extracting(PlaceView::name, PlaceView::trays)
                .contains(tuple("Bench 7", 12.0));

        Findings list = look(
                "stock",
                "label,plant,where,shoot tips,date counted\nROS-9,Rosemary ‘Wrack Line’,Bench 7,14,2026-03-04\n,Quern ‘Nobody’,Bench 7,,\n");
        assertThat(list.faults()).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(3);
            assertThat(f.fault()).contains("does not know Quern");
        });
        Choices said = choices();
        Findings mended =
                say(new Choices(said.columns(), null, null, null, null, Map.of(3L, Map.of("group", "woody")), null));
        assertThat(mended.isGood()).isTrue();
        run(() -> work.keep(file));
        StockPlantView rosemary = in(() -> stock.named("ROS-9")).orElseThrow();
        assertThat(rosemary.piecesNow()).isNotNull();
        assertThat(look("stock", "label,plant,where\nROS-9,Rosemary ‘Wrack Line’,Bench 7\n")
                        .preview()
                        .isNew())
                .isFalse();

        UUID stockFile = in(() -> records.last()).stream()
                .filter(i -> i.getKind().equals("stock") && i.getState() == ImportState.KEPT)
                .findFirst()
                .orElseThrow()
                .getId();
        run(() -> work.takeBack(placesFile));
        assertThat(in(() -> records.find(placesFile)).problem()).contains("1 stock plant or place stays");
        run(() -> work.takeBack(stockFile));
        assertThat(in(() -> stock.named("ROS-9"))).isEmpty();
    }

    @Test
    void aFileIsOfItsOwnNurseryOnly() {
        look("history", RecordsTest.GOOD);
        UUID other = Nurseries.make(people).id();

        assertThat(current.workingFor(other, () -> records.last())).isEmpty();
    }
}
