/**
 * So many, by then, this sure: ways compared, plans committed, and plans turned into batches. Publishes {@link
 * garden.vivarium.app.plan.Plans}, {@link garden.vivarium.app.plan.Ways} and {@link garden.vivarium.app.plan.TopUps}.
 */
@ApplicationModule(
        allowedDependencies = {"bench", "evidence", "batch", "guide", "stock", "people", "platform", "technique"})
package garden.vivarium.app.plan;

import org.springframework.modulith.ApplicationModule;
