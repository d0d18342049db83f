/** The bench map: houses and benches to scale, what stands on them, and whether their air suits it. */
@ApplicationModule(allowedDependencies = {"bench", "batch", "guide", "stock", "platform"})
package garden.vivarium.app.benchmap;

import org.springframework.modulith.ApplicationModule;
