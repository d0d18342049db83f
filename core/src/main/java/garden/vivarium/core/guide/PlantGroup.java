package garden.vivarium.core.guide;

import java.util.List;

/**
 * Plants that propagate alike.
 *
 * @param key the short name kept with a plant
 * @param words as growers read it
 * @param near keys of groups whose protocols serve where it has none for a method, the nearest first
 * @param examples a few genera that belong there
 * @param cautions keys of what to mind whatever is done with them
 * @param rhythm how stock plants of the group bear being cut
 * @param sections stem sections, or leaf-buds, that one shoot gives, 1 and up
 * @param flowersOnce whether a plant dies after flowering, so that its offsets are the succession
 */
public record PlantGroup(
        String key,
        String words,
        List<String> near,
        String examples,
        List<String> cautions,
        Rhythm rhythm,
        int sections,
        boolean flowersOnce) {

    public PlantGroup {
        near = List.copyOf(near);
        cautions = List.copyOf(cautions);
    }

    /**
     * The rhythm of harvest.
     *
     * @param restDays days to leave a plant alone after a harvest, 1 and up
     * @param regrowDays days until all that was cut has grown again, {@code restDays} and up
     * @param share share of what it bears that may be taken at once, above 0 and at most 1
     * @param hardCut whether it may be cut to the lowest live node, from where it shoots again
     */
    public record Rhythm(int restDays, int regrowDays, double share, boolean hardCut) {
        public Rhythm {
            if (restDays < 1 || regrowDays < restDays || !(share > 0) || share > 1) {
                throw new IllegalArgumentException(
                        "a rhythm needs 1 day of rest or more, regrowth no sooner than that, and a share above 0 and at most 1");
            }
        }
    }
}
