package garden.vivarium.app.plan;

import java.util.List;
import java.util.Map;

/** What ways cost in materials. Whoever knows the shed answers. */
public interface Costs {

    /**
     * What the number to take of each way would cost, by the key of its protocol; without those of which something has no price.
     */
    Map<String, Double> costs(List<WayRow> rows);
}
