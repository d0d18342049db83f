/** The day’s walk past everything that needs a hand. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "needs",
            "promise",
            "plan",
            "bench",
            "batch",
            "care",
            "guide",
            "people",
            "stock",
            "young",
            "platform"
        })
package garden.vivarium.app.round;

import org.springframework.modulith.ApplicationModule;
