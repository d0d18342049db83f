package garden.vivarium.app.sums;

import garden.vivarium.app.platform.Messages;

/**
 * A mix in one version.
 *
 * @param parts as {@link garden.vivarium.core.measure.Mix#words()} writes them
 * @param settling by how much it sinks
 * @param note why it was changed, or null
 */
record RecipeView(String name, int version, String parts, double settling, String note, String person) {

    /** Its name with its version. */
    public String title() {
        return version == 1 ? name : Messages.text("Recipes.version", "name", name, "version", version);
    }
}
