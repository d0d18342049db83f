package garden.vivarium.app.benchmap;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;

/** Where a house lies on the site, in cm. */
@Entity
class HousePlan extends NurseryRow {

    private String name;
    private double x;
    private double y;

    protected HousePlan() {}

    HousePlan(String name) {
        this.name = name;
    }

    void lies(double left, double back) {
        x = left;
        y = back;
    }

    String name() {
        return name;
    }

    double x() {
        return x;
    }

    double y() {
        return y;
    }
}
