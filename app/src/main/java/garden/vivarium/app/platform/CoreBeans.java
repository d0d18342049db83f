package garden.vivarium.app.platform;

import garden.vivarium.core.guide.Guide;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the core offers, as beans. */
@Configuration
class CoreBeans {

    @Bean
    Guide guide() {
        return Guide.load();
    }

    /** The machine's clock, or a fixed day at noon for screenshots and tests. */
    @Bean
    Clock clock(@Value("${vivarium.today:}") String fixedDay) {
        return fixedDay.isBlank()
                ? Clock.systemUTC()
                : Clock.fixed(LocalDate.parse(fixedDay).atTime(12, 0).toInstant(ZoneOffset.UTC), ZoneOffset.UTC);
    }
}
