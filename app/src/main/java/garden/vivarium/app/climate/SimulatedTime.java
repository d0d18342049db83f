package garden.vivarium.app.climate;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Lets the stand-ins of the sample nursery read on. */
@Configuration
@EnableScheduling
@ConditionalOnProperty("vivarium.demo")
class SimulatedTime {}
