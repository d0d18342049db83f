package garden.vivarium.app.walk;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.time.LocalDate;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A test at the pages, in one browser signed in to a nursery of its own. */
@OnDatabase
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@ExtendWith(IdleBrowsers.class)
abstract class AtThePages {

    static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private CurrentNursery current;

    @Autowired
    Stock stock;

    @Autowired
    Batches batches;

    @Autowired
    Moves moves;

    @Autowired
    Guide guide;

    Browser browser;
    private Nurseries.Made nursery;

    @BeforeAll
    void signIn() {
        nursery = Nurseries.make(people);
        browser = new Browser(port);
        browser.signIn(nursery.signIn(), Nurseries.PASSWORD);
    }

    @AfterAll
    void leave() {
        browser.close();
    }

    int port() {
        return port;
    }

    String signInName() {
        return nursery.signIn();
    }

    /** Does something at the nursery without the browser. */
    <T> T in(Supplier<T> work) {
        return current.workingFor(nursery.id(), work);
    }
}
