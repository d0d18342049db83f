/** Which way works better, and how sure. */
@ApplicationModule(
        allowedDependencies = {"batch", "bench", "climate", "evidence", "guide", "label", "people", "platform", "stock"
        })
package garden.vivarium.app.technique;

import org.springframework.modulith.ApplicationModule;
