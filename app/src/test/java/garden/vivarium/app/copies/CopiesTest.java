package garden.vivarium.app.copies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.BDDMockito.given;
import static org.mockito.BDDMockito.then;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;

import com.fasterxml.jackson.databind.ObjectMapper;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.Leaving;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.treatment.Treatments;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

/** Everything of a nursery out and in again: the same to the byte, of nobody else, and refused in words where it cannot be. */
@Order(2)
@OnDatabase
class CopiesTest {

    @Autowired
    private CopyWriter writer;

    @Autowired
    private CopyReader reader;

    @Autowired
    private Tables tables;

    @Autowired
    private DataSource source;

    @Autowired
    private ObjectMapper json;

    @Autowired
    private Leaving leaving;

    @Autowired
    private DemoNursery demo;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private Benches benches;

    @Autowired
    private Evidence evidence;

    @Autowired
    private Guide guide;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private JdbcClient database;

    @TempDir
    private Path folder;

    private Nurseries.Made nursery;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people);
    }

    @AfterEach
    void signOut() {
        SecurityContextHolder.clearContext();
    }

    private void signIn() {
        UUID person = UUID.fromString(database.sql("select id from person where sign_in = ?")
                .param(nursery.signIn())
                .query(String.class)
                .single());
        SignedIn who = new SignedIn(person, nursery.id(), nursery.signIn(), "Grower", "");
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
    }

    private byte[] written() {
        return current.workingFor(nursery.id(), () -> {
            ByteArrayOutputStream to = new ByteArrayOutputStream();
            writer.write(nursery.id(), to);
            return to.toByteArray();
        });
    }

    private void erase() {
        signIn();
        leaving.erase(leaving.name(), "");
        SecurityContextHolder.clearContext();
    }

    private Path file(byte[] bytes) throws IOException {
        return Files.write(Files.createTempFile(folder, "copy", ".zip"), bytes);
    }

    @Test
    void theSampleNurseryComesBackAsItWasToTheByteAndItsCopyIsReadable() throws IOException {
        current.workingFor(nursery.id(), () -> {
            demo.fill(nursery.id());
            return null;
        });
        byte[] before = written();
        int plants = current.workingFor(nursery.id(), () -> stock.all().size());
        assertThat(plants).isPositive();

        Map<String, byte[]> inside = inside(before);
        assertThat(inside.keySet())
                .contains("vivarium.json", "nursery.csv", "batch.csv", "stock_plant.csv", "reading.csv");
        assertThat(inside.keySet()).anyMatch(f -> f.startsWith("files/photo_file/") && f.endsWith(".jpg"));
        assertThat(inside.keySet()).doesNotContain("person.csv", "membership.csv", "calendar_feed.csv", "logger.csv");
        assertThat(text(inside, "vivarium.json"))
                .contains("\"format\" : 1")
                .contains(nursery.id().toString());
        assertThat(text(inside, "batch.csv")).startsWith("\"id\",");

        assertThatThrownBy(() -> reader.restore(file(before)))
                .isInstanceOf(CopyRefused.class)
                .hasMessageContaining("here already");
        erase();
        assertThat(rowsOf(nursery.id())).isZero();
        assertThat(reader.restore(file(before))).isEqualTo(nursery.id());
        assertThat(current.workingFor(nursery.id(), () -> stock.all().size())).isEqualTo(plants);
        Map<String, byte[]> again = inside(written());
        assertThat(again.keySet()).containsExactlyElementsOf(inside.keySet());
        inside.forEach((file, bytes) -> assertThat(again.get(file)).as(file).isEqualTo(bytes));
        assertThat(written()).isEqualTo(before);
    }

    /** Whoever restores an older copy gets the past of that copy, and nothing of what this node remembers of the other. */
    @Test
    void anOlderCopyTellsOnlyWhatItHolds() throws IOException {
        LocalDate today = LocalDate.parse(OnDatabase.TODAY);
        String code = current.workingFor(nursery.id(), () -> {
            StockPlantView parent = Growing.stockPlant(stock, "Fuchsia");
            LocalDate stuck = today.minusDays(40);
            return batches.make(Growing.newBatch(guide, "tip-in-plugs", parent, 10, stuck, stuck))
                    .code();
        });
        byte[] before = written();
        current.workingFor(nursery.id(), () -> batches.look(code, Growing.count(today.minusDays(2), 9, 1)));
        assertThat(kept()).isEqualTo(9);
        assertThat(lookedAt()).contains(today.minusDays(2));
        erase();
        reader.restore(file(before));

        assertThat(kept()).isZero();
        assertThat(lookedAt()).isEmpty();
        current.workingFor(nursery.id(), () -> batches.look(code, Growing.count(today, 4, 0)));
        assertThat(kept()).isEqualTo(4);
        assertThat(lookedAt()).contains(today);
    }

    @Test
    void treatmentsOfACopyThatHasThemInWordsAreRead() throws IOException {
        LocalDate stuck = LocalDate.parse(OnDatabase.TODAY).minusDays(40);
        String code = current.workingFor(
                nursery.id(),
                () -> batches.make(Growing.newBatch(
                                guide, "tip-in-plugs", Growing.stockPlant(stock, "Fuchsia"), 10, stuck, stuck))
                        .code());
        byte[] now = written();
        String rows = text(inside(now), "batch.csv");
        assertThat(rows).contains("\"HORMONE 3000\"");
        erase();
        reader.restore(
                file(changed(now, "batch.csv", rows.replace("\"HORMONE 3000\"", "\"callus; hormone 3,000 ppm\""))));

        assertThat(current.workingFor(nursery.id(), () -> batches.find(code))
                        .way()
                        .treatment())
                .isEqualTo(Treatments.read("callus; hormone 0.3%"));
        assertThat(text(inside(written()), "batch.csv")).contains("\"DRYING; HORMONE 3000\"");
        assertThat(text(inside(written()), "evidence_batch.csv"))
                .as("what is learned of it too")
                .contains("\"DRYING; HORMONE 3000\"");
    }

    /** How many pieces the nursery's evidence holds to have been kept. */
    private int kept() {
        return current.workingFor(
                nursery.id(),
                () -> evidence.record().ways().values().stream()
                        .flatMap(List::stream)
                        .mapToInt(WayBatch::kept)
                        .sum());
    }

    /** When the one batch was looked at last, as the benches have it. */
    private Optional<LocalDate> lookedAt() {
        return current.workingFor(
                nursery.id(),
                () -> benches.open().stream().findFirst().map(r -> r.batch().lastLook()));
    }

    @Test
    void erasingLeavesNothingAndNobodyElsesIsTouched() {
        Nurseries.Made other = Nurseries.make(people);
        current.workingFor(other.id(), () -> stock.places());
        long before = rowsOf(other.id());
        signIn();
        assertThatThrownBy(() -> leaving.erase("Another name", "")).hasMessageContaining("Nothing was erased");
        erase();
        assertThat(rowsOf(nursery.id())).isZero();
        assertThat(rowsOf(other.id())).isEqualTo(before).isPositive();
        assertThat(database.sql("select count(*) from person where sign_in = ?")
                        .param(nursery.signIn())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void whoeverIsSentAwayForTheSakeOfOthersComesAgainAFewTimesAndNotForEver() throws Exception {
        byte[] before = written();
        erase();
        Connection away = mock(Connection.class);
        given(away.createStatement()).willThrow(new SQLException("Deadlock found", "40001"));
        DataSource always = mock(DataSource.class);
        given(always.getConnection()).willReturn(away);
        assertThatThrownBy(() -> new CopyReader(tables, always, json, back -> {}, List.of()).restore(file(before)))
                .isInstanceOf(CopyRefused.class)
                .hasMessageContaining("Nothing was restored");
        then(always).should(times(4)).getConnection();

        DataSource busy = mock(DataSource.class);
        given(busy.getConnection()).willReturn(away, away, away).willAnswer(call -> source.getConnection());
        assertThat(new CopyReader(tables, busy, json, back -> {}, List.of()).restore(file(before)))
                .isEqualTo(nursery.id());
        assertThat(written()).isEqualTo(before);
    }

    @Test
    void whatCannotBeIsRefusedInWordsAndNothingOfItStays() throws IOException {
        byte[] whole = written();
        erase();
        assertRefused("no zip".getBytes(StandardCharsets.UTF_8), "no zip file");
        assertRefused(changed(whole, "vivarium.json", "nonsense"), "cannot be read");
        assertRefused(without(whole, "nursery.csv"), "nursery.csv is missing");
        String json = text(inside(whole), "vivarium.json");
        assertRefused(
                changed(whole, "vivarium.json", json.replace("\"format\" : 1", "\"format\" : 2")), "later version");
        assertRefused(
                changed(whole, "vivarium.json", json.replace("\"table\" : \"nursery\"", "\"table\" : \"person\"")),
                "no table “person”");
        assertRefused(
                changed(
                        whole,
                        "vivarium.json",
                        json.replaceFirst("\"columns\" : \\[ \"id\"", "\"columns\" : [ \"id) select 1\"")),
                "no column");
        String row = text(inside(whole), "nursery.csv");
        assertRefused(changed(whole, "nursery.csv", row.substring(0, row.indexOf('\n') + 1)), "should have 1 rows");
    }

    @Test
    void everyFaultNamesItsFileAndLineAndABombIsNotUnpacked() throws IOException {
        current.workingFor(nursery.id(), () -> Growing.stockPlant(stock, "Fuchsia ‘Mine’"));
        byte[] whole = written();
        erase();
        String plants = text(inside(whole), "stock_plant.csv");
        String[] lines = plants.split("\r?\n");
        assertRefused(
                changed(whole, "stock_plant.csv", lines[0] + "\n\"one\",\"two\"\n"),
                "stock_plant.csv, line 2: it has 2 cells, and");
        assertRefused(
                changed(whole, "stock_plant.csv", plants.replaceFirst("(?s)\n.*", "\n\"open")), "stock_plant.csv");
        assertRefused(
                changed(whole, "place.csv", text(inside(whole), "place.csv").replace("Bench", "B".repeat(500))),
                "place.csv, of lines 2 to");
        // Of a third of a megabyte when packed, a third of a gigabyte when not.
        byte[] bomb = bomb(whole, "stock_plant.csv", lines[0] + "\n\"", 300_000_000L);
        assertThat(bomb).hasSizeLessThan(400_000);
        assertRefused(bomb, "stock_plant.csv, line 2: a row may have 24 million characters");
        String json = text(inside(whole), "vivarium.json");
        assertRefused(
                changed(whole, "vivarium.json", json.replaceFirst("(?s)\"files\".*", "\"files\" : null }")),
                "leaves out");
        assertRefused(
                changed(whole, "vivarium.json", json.replaceFirst("\"table\" : \"[^\"]+\"", "\"table\" : null")),
                "leaves out");
    }

    /** One file of a copy begins so, and goes on with a letter for very long. */
    private static byte[] bomb(byte[] copy, String of, String begins, long length) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] some = "x".repeat(1_000_000).getBytes(StandardCharsets.UTF_8);
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : inside(copy).entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                if (file.getKey().equals(of)) {
                    zip.write(begins.getBytes(StandardCharsets.UTF_8));
                    for (long written = 0; written < length; written += some.length) {
                        zip.write(some);
                    }
                } else {
                    zip.write(file.getValue());
                }
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @Test
    void aCopyThatNamesRowsOfAnotherNurseryIsRefused() throws IOException {
        current.workingFor(nursery.id(), () -> garden.vivarium.app.batch.Growing.stockPlant(stock, "Fuchsia ‘Mine’"));
        Nurseries.Made other = Nurseries.make(people);
        var theirs = current.workingFor(
                other.id(), () -> garden.vivarium.app.batch.Growing.stockPlant(stock, "Fuchsia ‘Theirs’"));
        byte[] whole = written();
        String mine = database.sql("select place_id from stock_plant where nursery_id = ?")
                .param(nursery.id().toString())
                .query(String.class)
                .single();
        erase();
        String plants = text(inside(whole), "stock_plant.csv")
                .replace(mine, theirs.place().id().toString());
        assertRefused(changed(whole, "stock_plant.csv", plants), "name others that are not in this copy");
    }

    private void assertRefused(byte[] bytes, String why) throws IOException {
        Path file = file(bytes);
        assertThatThrownBy(() -> reader.restore(file))
                .isInstanceOf(CopyRefused.class)
                .hasMessageContaining(why);
        assertThat(rowsOf(nursery.id())).isZero();
    }

    private long rowsOf(UUID id) {
        List<String> tables = database.sql("select table_name from information_schema.columns"
                        + " where table_schema = 'vivarium' and column_name = 'nursery_id'")
                .query(String.class)
                .list();
        long rows = 0;
        for (String t : tables) {
            rows += database.sql("select count(*) from `" + t + "` where nursery_id = ?")
                    .param(id.toString())
                    .query(Long.class)
                    .single();
        }
        return rows;
    }

    @Test
    void whatASpreadsheetWouldReckonIsHarmlessAndReadBackAsItWas() {
        for (String text : List.of("=1+1", "+44", "-5", "@here", "'tis", "\tx", "plain", "", "a=b")) {
            String cell = Cells.harmless(text);
            assertThat(cell.isEmpty() || "=+-@\t\r".indexOf(cell.charAt(0)) < 0).isTrue();
            assertThat(Cells.asItWas(cell)).isEqualTo(text);
        }
    }

    private static Map<String, byte[]> inside(byte[] zip) throws IOException {
        Map<String, byte[]> inside = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip), StandardCharsets.UTF_8)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                inside.put(e.getName(), in.readAllBytes());
            }
        }
        return inside;
    }

    private static String text(Map<String, byte[]> inside, String name) {
        return new String(inside.get(name), StandardCharsets.UTF_8);
    }

    private static byte[] without(byte[] zip, String name) throws IOException {
        Map<String, byte[]> inside = inside(zip);
        inside.remove(name);
        return zipped(inside);
    }

    private static byte[] changed(byte[] zip, String name, String text) throws IOException {
        Map<String, byte[]> inside = inside(zip);
        inside.put(name, text.getBytes(StandardCharsets.UTF_8));
        return zipped(inside);
    }

    private static byte[] zipped(Map<String, byte[]> inside) throws IOException {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8)) {
            for (Map.Entry<String, byte[]> e : inside.entrySet()) {
                zip.putNextEntry(new ZipEntry(e.getKey()));
                zip.write(e.getValue());
                zip.closeEntry();
            }
        }
        return to.toByteArray();
    }
}
