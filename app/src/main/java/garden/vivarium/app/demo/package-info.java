/** The sample nursery: Cold Slipway, on an island that never was. No module uses it. */
@ApplicationModule(
        allowedDependencies = {
            "benchmap",
            "climate",
            "promise",
            "needs",
            "plan",
            "batch",
            "care",
            "guide",
            "stock",
            "people",
            "photo",
            "platform"
        })
package garden.vivarium.app.demo;

import org.springframework.modulith.ApplicationModule;
