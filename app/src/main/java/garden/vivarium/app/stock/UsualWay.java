package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;

/** What a nursery has made its usual way in one respect, for a plant or for all. */
@Entity
class UsualWay extends NurseryRow {

    private String plant;
    private String factor;

    @Column(name = "value")
    private String what;

    private String why;
    private String personName;
    private Instant saidAt;

    protected UsualWay() {}

    UsualWay(String plant, String factor, String what) {
        this.plant = plant;
        this.factor = factor;
        this.what = what;
    }

    void of(String otherName) {
        plant = otherName;
    }

    void because(String reason, String person, Instant at) {
        why = reason;
        personName = person;
        saidAt = at;
    }

    UsualWayView view() {
        return new UsualWayView(getId(), plant, factor, what, why, personName);
    }
}
