package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/** A kind of plant: what the label says. */
@Entity
class Plant extends NurseryRow {

    private String name;
    private String plantGroup;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Protection protection;

    protected Plant() {}

    Plant(String name, String plantGroup, Protection protection) {
        this.name = name;
        this.plantGroup = plantGroup;
        this.protection = protection;
    }

    PlantView view() {
        return new PlantView(getId(), name, plantGroup, protection);
    }
}
