package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;

/** What a nursery calls a plant that the guide does not know by that name, and the kind that it behaves like. */
@Entity
class OwnName extends NurseryRow {

    private String name;
    private String kind;

    protected OwnName() {}

    OwnName(String name, String kind) {
        this.name = name;
        this.kind = kind;
    }

    String name() {
        return name;
    }

    String kind() {
        return kind;
    }

    /** It behaves like another kind. */
    void is(String other) {
        kind = other;
    }
}
