package garden.vivarium.app.platform;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Lets work be done by the clock. Tests leave it off and ask for what is due themselves. */
@Configuration
@EnableScheduling
@ConditionalOnProperty(name = "vivarium.scheduled", matchIfMissing = true)
class Schedules {}
