package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.timing.Climate;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;

/** Where things stand, in walking order. */
@Entity
class Place extends NurseryRow {

    private String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Climate climate;

    private int walkOrder;
    private Double trays;

    @Version
    private long version;

    protected Place() {}

    Place(String name, Climate climate, int walkOrder) {
        this.name = name;
        this.climate = climate;
        this.walkOrder = walkOrder;
    }

    PlaceView view() {
        return new PlaceView(getId(), name, climate, walkOrder, trays, Seen.mark(mark(), version));
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "place " + name;
    }

    long version() {
        return version;
    }

    void holds(Double howMany) {
        trays = howMany;
    }

    String name() {
        return name;
    }
}
