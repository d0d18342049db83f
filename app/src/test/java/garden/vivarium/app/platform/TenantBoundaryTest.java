package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.core.guide.Guide;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

@OnDatabase
class TenantBoundaryTest {

    private static final LocalDate DAY = LocalDate.parse(OnDatabase.TODAY);

    @Autowired
    private CurrentNursery current;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private StockCounts counts;

    @Autowired
    private Batches batches;

    @Autowired
    private Evidence evidence;

    @Autowired
    private Guide guide;

    @Autowired
    private JdbcClient database;

    private UUID mine;
    private UUID theirs;

    @BeforeEach
    void twoNurseries() {
        mine = Nurseries.make(people).id();
        theirs = Nurseries.make(people).id();
    }

    @Test
    void oneNurseryCannotReadAnothers() {
        var parent = in(theirs, () -> Growing.stockPlant(stock, "Fuchsia ‘Theirs’"));
        String code = in(
                theirs,
                () -> Growing.stuck(batches, guide, parent, 12, DAY.minusDays(20))
                        .code());

        assertThat(in(theirs, () -> stock.all())).hasSize(1);
        assertThat(in(mine, () -> stock.all())).isEmpty();
        assertThat(in(mine, () -> stock.find(parent.id()))).isEmpty();
        assertThat(in(mine, () -> evidence.record().ways())).isEmpty();
        assertThat(in(theirs, () -> evidence.record().ways())).hasSize(1);
        assertThatThrownBy(() -> in(mine, () -> batches.find(code))).isInstanceOf(NotFound.class);
    }

    @Test
    void oneNurseryCannotWriteAnothers() {
        var parent = in(theirs, () -> Growing.stockPlant(stock, "Fuchsia ‘Theirs’"));
        var batch = in(theirs, () -> Growing.stuck(batches, guide, parent, 12, DAY.minusDays(20)));

        assertThatThrownBy(() -> in(mine, () -> batches.look(batch.code(), Growing.count(DAY, 3, 1))))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> in(mine, () -> batches.giveUp(batch.code(), DAY)))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> in(mine, () -> {
                    counts.cut(parent.id(), 5, DAY, false);
                    return null;
                }))
                .isInstanceOf(NotFound.class);
        assertThat(in(theirs, () -> batches.find(batch.code()).counts().ready()))
                .isZero();
    }

    @Test
    void twoNurseriesMayUseTheSameNamesAndCodes() {
        for (UUID nursery : List.of(mine, theirs)) {
            var parent = in(nursery, () -> Growing.stockPlant(stock, "Sage ‘Shared’"));
            assertThat(in(
                            nursery,
                            () -> Growing.stuck(batches, guide, parent, 12, DAY.minusDays(20))
                                    .code()))
                    .isEqualTo("26w22-A");
        }
    }

    @Test
    void nobodySignedInReadsAndWritesNothing() {
        in(theirs, () -> Growing.stockPlant(stock, "Fuchsia ‘Theirs’"));

        assertThat(stock.all()).isEmpty();
        assertThatThrownBy(() -> Growing.stockPlant(stock, "Fuchsia ‘Nobody’s’"))
                .hasMessageContaining("nobody is signed in");
    }

    @Test
    void everyTableOfWorkCarriesItsNursery() {
        List<String> tables = database.sql(
                        "select table_name from information_schema.tables where table_schema = 'vivarium'"
                                // What belongs to a person, who may work in several nurseries, goes with the person.
                                + " and table_name not in (select table_name from information_schema.key_column_usage"
                                + " where table_schema = 'vivarium' and column_name = 'person_id' and"
                                + " referenced_table_name = 'person' and table_name <> 'membership')"
                                + " and table_name not in ('nursery', 'sign_in_attempt', 'first_start', 'installation', 'flyway_schema_history')"
                                + " and table_name not like 'SPRING%'")
                .query(String.class)
                .list();
        List<String> bound = database.sql("select table_name from information_schema.key_column_usage"
                        + " where table_schema = 'vivarium' and column_name = 'nursery_id'"
                        + " and referenced_table_name = 'nursery'")
                .query(String.class)
                .list();

        assertThat(bound).containsExactlyInAnyOrderElementsOf(tables).hasSizeGreaterThan(10);
    }

    private <T> T in(UUID nursery, Supplier<T> work) {
        return current.workingFor(nursery, work);
    }
}
