package garden.vivarium.app.demo;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Fills the sample nursery before the first page is asked for, where it is wanted. */
@Component
@ConditionalOnProperty("vivarium.demo")
class DemoStarter implements ApplicationRunner {

    private final DemoNursery demo;
    private final DemoAir air;

    DemoStarter(DemoNursery demo, DemoAir air) {
        this.demo = demo;
        this.air = air;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        air.read(demo.fillOnce());
    }
}
