package garden.vivarium.app.sums;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.measure.Mix;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A nursery's own mixes, with their versions. */
@Service
class Recipes {

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST = 300;

    private final RecipeRepository recipes;
    private final CurrentNursery nursery;
    private final Today today;

    Recipes(RecipeRepository recipes, CurrentNursery nursery, Today today) {
        this.recipes = recipes;
        this.nursery = nursery;
        this.today = today;
    }

    /** All, by name, the newest version of each first. */
    @Transactional(readOnly = true)
    List<RecipeView> all() {
        return recipes.findByDroppedFalseOrderByNameAscVersionDesc().stream()
                .map(Recipe::view)
                .toList();
    }

    /** A mix is no longer used: it is not offered, and what was mixed by it keeps its version. */
    @Transactional
    void drop(String name) {
        List<Recipe> versions = recipes.findByNameOrderByVersionDesc(name == null ? "" : name.strip());
        if (versions.isEmpty()) {
            throw new NotFound(Messages.text("Recipes.no.such.mix"));
        }
        versions.forEach(Recipe::drop);
    }

    /**
     * Keeps a mix: as the next version where its parts or its sinking are others.
     *
     * @throws InvalidField if it has no name, or is no mix
     */
    @Transactional
    RecipeView keep(String name, Mix mix, double settling, String note) {
        if (name == null || name.isBlank() || name.strip().length() > LONGEST_NAME) {
            throw new InvalidField("name", Messages.text("Recipes.name", "longest", LONGEST_NAME));
        }
        String parts = mix.words();
        if (parts.length() > LONGEST) {
            throw new InvalidField("mix", Messages.text("Stores.shorten.recipe.characters"));
        }
        List<Recipe> before = recipes.findByNameOrderByVersionDesc(name.strip());
        if (!before.isEmpty() && !before.get(0).isDropped()) {
            RecipeView last = before.get(0).view();
            if (last.parts().equals(parts) && last.settling() == settling) {
                return last;
            }
        }
        Recipe recipe =
                new Recipe(name.strip(), before.isEmpty() ? 1 : before.get(0).version() + 1, parts, settling);
        recipe.by(
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now(),
                note == null || note.isBlank()
                        ? null
                        : note.strip()
                                .substring(0, Math.min(LONGEST, note.strip().length())));
        return recipes.save(recipe).view();
    }
}
