package garden.vivarium.app.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcPrint;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.test.context.ContextConfiguration;

/** A test of the whole application on the tests' own database, serving pages on a port of its own, on one fixed day. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "vivarium.today=" + OnDatabase.TODAY,
            "vivarium.printer=target/printed",
            "vivarium.scheduled=false",
            // What a page needs is reckoned when a test asks for it, and not after each of thousands of saves.
            "vivarium.ahead.most=0",
            "vivarium.key=made up for tests",
            // All tests come from one address, and their clock stands still.
            "vivarium.door.free-by-address=100000"
        })
// What a page was made of is not printed: for a large page that takes longer than the page.
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@ContextConfiguration(initializers = OnDatabase.Initializer.class)
public @interface OnDatabase {

    /** What day it is in every test of the application. */
    String TODAY = "2026-06-15";

    /** Points the application at the private database. */
    class Initializer implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            PrivateDatabase db = PrivateDatabase.one();
            TestPropertyValues.of(
                            "spring.datasource.url=" + db.url(),
                            "spring.datasource.username=" + db.user(),
                            "spring.datasource.password=" + db.password())
                    .applyTo(context);
        }
    }
}
