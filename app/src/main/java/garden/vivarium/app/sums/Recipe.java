package garden.vivarium.app.sums;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.Instant;

/** A nursery's own mix, in one of its versions: what was mixed once keeps its version. */
@Entity
class Recipe extends NurseryRow {

    private String name;
    private int version;
    private String parts;
    private double settling;
    private String note;
    private String personName;
    private Instant madeAt;
    private boolean dropped;

    protected Recipe() {}

    Recipe(String name, int version, String parts, double settling) {
        this.name = name;
        this.version = version;
        this.parts = parts;
        this.settling = settling;
    }

    void by(String person, Instant at, String why) {
        personName = person;
        madeAt = at;
        note = why;
    }

    void drop() {
        dropped = true;
    }

    boolean isDropped() {
        return dropped;
    }

    String name() {
        return name;
    }

    int version() {
        return version;
    }

    RecipeView view() {
        return new RecipeView(name, version, parts, settling, note, personName);
    }
}
