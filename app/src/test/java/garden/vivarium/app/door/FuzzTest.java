package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.OnDatabase;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.TestPropertySource;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** No request breaks the application, whatever is in it. Some hundreds here, each address once and more; 20,000 by the bench. */
@OnDatabase
// An application of its own: much is asked of it at once, and others would wait.
@Order(2)
@TestPropertySource(properties = "vivarium.tests=door")
class FuzzTest {

    private static final long SEED = 20_261_127;

    @LocalServerPort
    private int port;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Autowired
    private People people;

    @Autowired
    private DemoNursery demo;

    @Autowired
    private JdbcClient database;

    private Nurseries.Made nursery;

    @BeforeEach
    void aFullNursery() {
        nursery = Nurseries.make(people);
        demo.fill(nursery.id());
    }

    private Fuzz fuzz() {
        Visitor visitor = new Visitor(port);
        Runnable signIn = () -> {
            database.sql("delete from sign_in_attempt where who = ?")
                    .param("name:" + nursery.signIn())
                    .update();
            visitor.signIn(nursery.signIn(), Nurseries.PASSWORD);
            visitor.get("/people");
        };
        signIn.run();
        List<String> known = new ArrayList<>();
        for (String table :
                List.of("batch", "stock_plant", "place", "plant", "plan", "promise", "photo", "trial", "person")) {
            known.addAll(database.sql("select id from " + table + " where nursery_id = ? limit 6")
                    .param(nursery.id().toString())
                    .query(String.class)
                    .list());
        }
        known.addAll(database.sql(
                        "select concat(lpad(code_year % 100, 2, '0'), 'w', lpad(code_week, 2, '0'), '-A') from batch"
                                + " where nursery_id = ? limit 20")
                .param(nursery.id().toString())
                .query(String.class)
                .list());
        known.add("tip-in-plugs");
        known.add("tip cutting");
        return new Fuzz(visitor, mappings.getHandlerMethods(), known, signIn, SEED);
    }

    @Test
    void aHundredOddRequestsBreakNothing() {
        Fuzz fuzz = fuzz();
        assertThat(fuzz.addresses()).isGreaterThan(200);
        Fuzz.Result result = fuzz.ask(120);
        assertThat(result.faults())
                .as(Fuzz.said(result))
                .filteredOn(f -> !f.why().startsWith("took"))
                .isEmpty();
        assertThat(result.byStatus())
                .as("most of them reach more than the door")
                .containsKeys(200, 302);
    }

    @Test
    @EnabledIfSystemProperty(named = "vivarium.bench", matches = "fuzz")
    void twentyThousandOddRequestsBreakNothing() {
        Fuzz.Result result = fuzz().ask(20_000);
        System.out.println(Fuzz.said(result));
        assertThat(result.faults()).isEmpty();
    }
}
