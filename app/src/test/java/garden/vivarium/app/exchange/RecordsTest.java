package garden.vivarium.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.OldBatches;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.treatment.Treatments;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

@OnDatabase
class RecordsTest {

    static final String GOOD = """
            batch,plant,group,method,medium,treatment,stuck_on,stuck,looked_on,first_sign,ready,lost,note
            A1,Sage ‘Lighter Grey’,soft,tip cutting,water,,2025-05-01,20,2025-05-08,6,0,0,
            A1,Sage ‘Lighter Grey’,soft,tip cutting,water,,2025-05-01,20,2025-05-15,16,9,1,"warm, bright"
            A1,Sage ‘Lighter Grey’,soft,tip cutting,water,,2025-05-01,20,2025-05-25,17,17,3,
            A2,Sage ‘Lighter Grey’,soft,Tip cutting,Perlite,Hormone 0.3%;covered,2025-06-01,30,2025-06-20,,10,2,
            A2,Sage ‘Lighter Grey’,soft,tip cutting,perlite,covered;hormone 0.3%,2025-06-01,30,2025-07-05,,22,8,
            """;

    private static final String TEN_FAULTS = """
            batch,plant,group,method,medium,stuck_on,stuck,looked_on,look,ready,lost
            B1,Fuchsia,soft,wishing,water,2025-05-01,20,2025-05-08,lifted,0,0
            B2,Fuchsia,soft,tip cutting,mud,2025-05-01,20,2025-05-08,lifted,0,0
            B3,Fuchsia,soft,tip cutting,water,Mayday,20,2025-05-08,lifted,0,0
            B4,Fuchsia,soft,tip cutting,water,2025-05-01,twenty,2025-05-08,lifted,0,0
            B5,Fuchsia,soft,tip cutting,water,2025-05-01,20,2027-05-08,lifted,0,0
            B6,Fuchsia,soft,tip cutting,water,2025-05-01,20,2025-05-08,sniffed,0,0
            B7,,soft,tip cutting,water,2025-05-01,20,2025-05-08,lifted,0,0
            B8,Fuchsia,weeds,tip cutting,water,2025-05-01,20,2025-05-08,lifted,0,0
            B9,Fuchsia,soft,tip cutting,water,2025-05-01,20,2025-05-08,lifted,-3,0
            B10,Fuchsia,soft,tip cutting,water,2025-05-01,20,2025-05-08,lifted,0,0,7
            """;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private People people;

    @Autowired
    private Records records;

    @Autowired
    private LearnedWordRepository learned;

    @Autowired
    private Batches batches;

    @Autowired
    private OldBatches oldBatches;

    @Autowired
    private Evidence evidence;

    @Autowired
    private Stock stock;

    @Autowired
    private JdbcClient database;

    private UUID nursery;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people).id();
    }

    @Test
    void aGoodFileIsPreviewedThenKeptWhole() {
        Preview preview = preview("history", GOOD);
        assertThat(preview.makes()).extracting(Preview.PreviewRow::name).containsExactly("A1", "A2");
        assertThat(preview.makes()).extracting(Preview.PreviewRow::newPlant).containsExactly(true, false);
        assertThat(preview.makes().get(0).stands()).isEqualTo("17 ready, 3 lost by Sun 25 May 2025");
        assertThat(in(() -> evidence.record().ways())).isEmpty();

        assertThat(in(() -> records.keep(waiting))).isEqualTo(5);

        BatchView a1 = in(() -> oldBatches.named("A1").orElseThrow());
        assertThat(a1.code()).isEqualTo("25w18-A");
        assertThat(a1.counts().ready()).isEqualTo(17);
        assertThat(a1.counts().lost()).isEqualTo(3);
        assertThat(a1.closedOn()).isNotNull();
        Way perlite = Way.of(
                new Grown("Sage ‘Lighter Grey’", "sage", "soft"),
                "tip cutting",
                "perlite",
                Treatments.read("covered; hormone 0.3%"),
                Optional.empty());
        assertThat(in(() -> evidence.record().of(perlite)))
                .singleElement()
                .satisfies(b -> assertThat(b.kept()).isEqualTo(22));
    }

    /** No page of ours sends it; learned once, it made every later file with the word fail. */
    @Test
    void aWordThatNobodyCanMeanIsAskedAboutAgain() {
        preview("history", GOOD);
        in(() -> learned.save(new LearnedWord("METHOD", "tip", "=")));
        in(() -> learned.save(new LearnedWord("MEDIUM", "perlite", "no such medium at all")));
        UUID file = in(() -> records.receive(
                "history", "notes", GOOD.replace("tip cutting", "tip").getBytes(StandardCharsets.UTF_8)));
        Findings found = in(() -> records.look(file));
        assertThat(found.words()).extracting(Findings.WordFound::means).doesNotContain("=", "no such medium at all");
        in(() -> {
            records.choose(file, new Choices(null, null, null, null, Map.of("method", Map.of("tip", "=")), null, null));
            return null;
        });
        Findings again = in(() -> records.look(file));
        assertThat(again.words()).extracting(Findings.WordFound::means).doesNotContain("=");
    }

    @Test
    void readingTheSameFileTwiceAddsNothing() {
        keep("history", GOOD);

        Preview again = preview("history", GOOD);

        assertThat(again.isNew()).isFalse();
        assertThat(again.held()).hasSize(2);
    }

    @Test
    void aFileThatHasGrownAddsWhatIsNew() {
        keep("history", GOOD);
        String grown = GOOD
                + "A2,Sage ‘Lighter Grey’,soft,tip cutting,perlite,covered;hormone 0.3%,2025-06-01,30,2025-07-20,,22,8,\n";

        Preview preview = preview("history", grown);

        assertThat(preview.grows())
                .singleElement()
                .satisfies(l -> assertThat(l.looks()).isEqualTo(1));
        assertThat(in(() -> records.keep(waiting))).isEqualTo(1);
    }

    @Test
    void aFileThatContradictsWhatIsHeldIsRefused() {
        keep("history", GOOD);

        Findings found = look("history", GOOD.replace(",16,9,1,", ",16,8,1,"));

        assertThat(found.faults()).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(3);
            assertThat(f.fault()).contains("other counts").contains("9 ready");
        });
    }

    @Test
    void wordsThatNobodyKnowsAreAskedAboutAndFaultyLinesNamed() {
        Findings found = look("history", TEN_FAULTS);

        assertThat(found.words())
                .extracting(Findings.WordFound::typed)
                .containsExactlyInAnyOrder("wishing", "mud", "weeds");
        assertThat(found.words()).allSatisfy(w -> {
            assertThat(w.lines()).isOne();
            assertThat(w.means()).isNull();
            assertThat(w.approved()).isFalse();
        });
        assertThat(found.faults()).extracting(Findings.Fault::line).containsExactly(4L, 5L, 6L, 7L, 8L, 10L, 11L);
        assertThat(found.faults())
                .extracting(Findings.Fault::column)
                .containsExactly("stuck_on", "stuck", "looked_on", "look", "plant", "ready", "");
        assertThat(found.faults()).allSatisfy(f -> {
            assertThat(f.fault()).isNotBlank();
            assertThat(f.remedy()).isNotBlank();
        });
        assertThat(found.isGood()).isFalse();
        assertThatThrownBy(() -> in(() -> records.keep(waiting))).isInstanceOf(NotFound.class);
        assertThat(in(() -> stock.plants())).isEmpty();
        assertThat(in(() -> evidence.record().ways())).isEmpty();
    }

    @Test
    void faultsOfEveryKindAreListedTogether() {
        String mixed = GOOD.replace(",17,17,3,", ",17,8,3,").replace(",,22,8,", ",,25,8,")
                + "A3,Sage ‘Lighter Grey’,soft,tip cutting,water,,2025-05-01,twenty,2025-05-08,6,0,0,\n";

        assertThat(look("history", mixed).faults())
                .extracting(Findings.Fault::line)
                .containsExactly(4L, 6L, 7L);
    }

    @Test
    void aGrownFileThatCannotStandBesideWhatWasLoggedSinceIsRefused() {
        keep("history", GOOD);
        String code = in(() -> oldBatches.named("A2").orElseThrow()).code();
        in(() -> batches.look(code, Growing.count(LocalDate.of(2025, 7, 10), 22, 8)));
        String grown = GOOD
                + "A2,Sage ‘Lighter Grey’,soft,tip cutting,perlite,covered;hormone 0.3%,2025-06-01,30,2025-07-20,,21,9,\n";

        assertThat(look("history", grown).faults()).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(7);
            assertThat(f.fault()).contains("cannot fall from 22 to 21");
        });
    }

    @Test
    void whatTheNurseryHasLoggedSinceThePreviewStopsTheFileWhole() {
        keep("history", GOOD);
        String grown = GOOD
                + "A2,Sage ‘Lighter Grey’,soft,tip cutting,perlite,covered;hormone 0.3%,2025-06-01,30,2025-07-20,,22,8,\n";
        preview("history", grown);
        String code = in(() -> oldBatches.named("A2").orElseThrow()).code();
        UUID last = in(() -> oldBatches.countsOf(code)).get(1).clientId();
        in(() -> batches.takeBack(code, last));
        in(() -> batches.look(code, Growing.count(LocalDate.of(2025, 7, 10), 25, 5)));

        assertThatThrownBy(() -> in(() -> records.keep(waiting))).isInstanceOf(NotFound.class);
        assertThat(in(() -> batches.find(code)).counts().ready()).isEqualTo(25);
    }

    @Test
    void aPlantSpeltWithOtherCapitalsIsTheSamePlant() {
        in(() -> Growing.stockPlant(stock, "SAGE ‘Lighter Grey’"));
        keep("history", GOOD);

        assertThat(in(() -> stock.plants())).hasSize(1);
        assertThat(preview("history", GOOD).isNew()).isFalse();
    }

    @Test
    void namesOfBatchesThatDifferInCapitalsAreTwoBatches() {
        keep(
                "history",
                GOOD
                        + GOOD.lines()
                                .skip(1)
                                .filter(l -> l.startsWith("A1"))
                                .map(l -> "a1" + l.substring(2) + "\n")
                                .collect(Collectors.joining()));

        assertThat(in(() -> oldBatches.named("a1").orElseThrow()).code())
                .isNotEqualTo(in(() -> oldBatches.named("A1").orElseThrow()).code());
    }

    @Test
    void piecesTakenBackMayBeReadInAgain() {
        keep("history", GOOD);
        String pieces = "batch,piece,looked_on,state\nA1,1,2025-05-10,first_sign\n";
        keep("pieces", pieces);
        String code = in(() -> oldBatches.named("A1").orElseThrow()).code();
        assertThat(preview("pieces", pieces).isNew()).isFalse();
        in(() -> batches.takeBack(code, lastPieceCheck(code)));

        assertThat(keep("pieces", pieces)).isOne();
    }

    @Test
    void whatNobodyWroteTheEndOfIsLeftUnjudgedAndCountsForNoRate() {
        keep("history", """
                batch,plant,group,method,medium,stuck_on,stuck,looked_on,ready,lost
                OLD,Sage ‘Lighter Grey’,soft,tip cutting,water,2024-05-01,20,,,
                NEW,Sage ‘Lighter Grey’,soft,tip cutting,water,2026-06-01,20,,,
                """);
        BatchView old = in(() -> oldBatches.named("OLD").orElseThrow());
        assertThat(old.closedOn()).isEqualTo(old.stuckOn());
        assertThat(old.counts().sent()).isEqualTo(20);
        assertThat(in(() -> oldBatches.named("NEW").orElseThrow()).closedOn()).isNull();
        assertThat(in(() -> evidence.record().of(old.way())))
                .filteredOn(b -> b.stuck() == 20 && b.season() == old.season())
                .allSatisfy(b -> assertThat(b.kept()).isZero());
        StrikeRate rate = in(() -> evidence.record().strike(old.way()));
        assertThat(rate.mean()).as("as the guide has it").isCloseTo(rate.guideRate(), within(1e-9));
    }

    @Test
    void aLookTakenBackMayBeReadInAgain() {
        keep("history", GOOD);
        BatchView a1 = in(() -> oldBatches.named("A1").orElseThrow());
        UUID last = in(() -> oldBatches.countsOf(a1.code())).get(2).clientId();
        in(() -> batches.takeBack(a1.code(), last));
        assertThat(in(() -> batches.find(a1.code())).counts().ready()).isEqualTo(9);

        assertThat(keep("history", GOOD)).isEqualTo(1);
        assertThat(in(() -> batches.find(a1.code())).counts().ready()).isEqualTo(17);
    }

    @Test
    void columnsThatAreMissingAreAskedAboutAndOthersLeftOut() {
        Findings found = look("history", "batch,plant,colour\nA,B,red\n");

        assertThat(found.columns()).extracting(Findings.ColumnFound::column).containsExactly("batch", "plant", "");
        assertThat(found.missing())
                .extracting(Findings.Missing::column)
                .containsExactly("method", "medium", "stuck_on", "stuck");
        assertThat(found.isGood()).isFalse();
        assertThatThrownBy(() -> look("history", ""))
                .isInstanceOf(FileRefused.class)
                .hasMessageContaining("empty");
        assertThat(look("history", GOOD.lines().findFirst().orElseThrow()).faults())
                .singleElement()
                .satisfies(f -> assertThat(f.fault()).contains("no line after"));
    }

    @Test
    void looksThatCannotFollowOneAnotherAreNamedWithTheirLine() {
        String falls = GOOD.replace(",17,17,3,", ",17,8,3,");
        assertThat(look("history", falls).faults()).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(4);
            assertThat(f.column()).isEqualTo("ready");
            assertThat(f.fault()).contains("cannot fall from 9 to 8");
        });
        String tooMany = GOOD.replace(",,22,8,", ",,25,8,");
        assertThat(look("history", tooMany).faults())
                .singleElement()
                .satisfies(f -> assertThat(f.fault()).contains("more than the 30 stuck"));
        String differs = GOOD.replace("30,2025-07-05", "31,2025-07-05");
        assertThat(look("history", differs).faults()).singleElement().satisfies(f -> {
            assertThat(f.column()).isEqualTo("stuck");
            assertThat(f.fault()).contains("line 5");
        });
    }

    @Test
    void piecesAddReadingsToBatchesThatAreHeld() {
        keep("history", GOOD);
        String pieces = """
                batch,piece,length_mm,looked_on,look,state,cause,root_mm,top_growth
                A1,1,80,2025-05-10,lifted,first_sign,,4,no
                A1,2,90,2025-05-10,lifted,none,,,yes
                """;

        assertThat(keep("pieces", pieces)).isEqualTo(2);
        assertThat(preview("pieces", pieces).isNew()).isFalse();
        assertThat(in(() -> oldBatches.named("A1").orElseThrow()).counts().ready())
                .isEqualTo(17);
    }

    @Test
    void piecesThatCannotBeAreRefused() {
        keep("history", GOOD);
        String header = "batch,piece,looked_on,state,side_roots\n";
        Findings found = look(
                "pieces",
                header
                        + "A1,21,2025-05-10,none,\nZ9,1,2025-05-10,none,\nA1,1,2025-05-10,asleep,\nA1,2,2025-05-10,none,maybe\n");
        assertThat(found.faults()).extracting(Findings.Fault::column).containsExactly("state", "side_roots");

        Findings second = look("pieces", header + "A1,21,2025-05-10,none,\nZ9,1,2025-05-10,none,\n");
        assertThat(second.faults())
                .extracting(Findings.Fault::fault)
                .anySatisfy(f -> assertThat(f).contains("not in this batch of 20"))
                .anySatisfy(f -> assertThat(f).contains("No batch “Z9”"));
    }

    @Test
    void whatWaitsIsForItsOwnNurseryOnly() {
        preview("history", GOOD);
        UUID upload = waiting;
        UUID other = Nurseries.make(people).id();

        assertThatThrownBy(() -> current.workingFor(other, () -> records.keep(upload)))
                .isInstanceOf(NotFound.class);
        assertThat(in(() -> records.keep(upload))).isEqualTo(5);
        assertThatThrownBy(() -> in(() -> records.keep(upload))).isInstanceOf(NotFound.class);
    }

    private UUID lastPieceCheck(String code) {
        return database.sql("select c.id from batch_check c join batch b on b.id = c.batch_id"
                        + " where b.code = ? and b.nursery_id = ? and c.by_count = 0")
                .params(code, nursery.toString())
                .query(UUID.class)
                .single();
    }

    private UUID waiting;

    private Findings look(String kind, String text) {
        waiting = in(() -> records.receive(kind, "old.csv", text.getBytes(StandardCharsets.UTF_8)));
        return in(() -> records.look(waiting));
    }

    private Preview preview(String kind, String text) {
        Findings found = look(kind, text);
        assertThat(found.isGood()).isTrue();
        return found.preview();
    }

    private int keep(String kind, String text) {
        preview(kind, text);
        return in(() -> records.keep(waiting));
    }

    private <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, work);
    }

    @Test
    void fewerTakenThanStuckIsNamed() {
        Findings found = look("history", """
                batch,plant,group,method,medium,taken_on,taken,stuck_on,stuck,looked_on,ready,lost
                B1,Fuchsia,soft,tip cutting,water,2025-04-28,19,2025-05-01,20,2025-05-08,0,0
                B2,Fuchsia,soft,tip cutting,water,2025-04-28,20,2025-05-01,20,2025-05-08,0,0
                """);
        assertThat(found.faults()).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(2);
            assertThat(f.column()).isEqualTo("taken");
            assertThat(f.fault()).isEqualTo("19 taken are fewer than 20 stuck.");
        });
    }

    @Test
    void ofFilesThatWaitTheOldestGoesWhereThereAreTwenty() {
        List<UUID> received = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            byte[] text = ("nonsense " + i).getBytes(StandardCharsets.UTF_8);
            UUID id = in(() -> records.receive("history", "old.csv", text));
            database.sql(
                            "update record_import set state = 'REFUSED', made_at = made_at + interval ? second where id = ?")
                    .params(received.size(), id.toString())
                    .update();
            received.add(id);
        }
        List<String> left = database.sql("select id from record_import where nursery_id = ?")
                .param(nursery.toString())
                .query(String.class)
                .list();
        assertThat(left)
                .hasSize(20)
                .contains(received.get(23).toString())
                .doesNotContain(received.get(0).toString());
    }
}
