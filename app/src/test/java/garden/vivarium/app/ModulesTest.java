package garden.vivarium.app;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {

    @Test
    void modulesKeepToTheirBoundariesAndHaveNoCycles() {
        ApplicationModules.of(VivariumApplication.class).verify();
    }
}
