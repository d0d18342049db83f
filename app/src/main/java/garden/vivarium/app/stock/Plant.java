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

    private String licence;
    private boolean nameSure = true;
    private String confirmWhen;
    private boolean flowersOnce;

    protected Plant() {}

    Plant(String name, String plantGroup, Protection protection, boolean flowersOnce) {
        this.name = name;
        this.plantGroup = plantGroup;
        this.protection = protection;
        this.flowersOnce = flowersOnce;
    }

    /** What is known of it; batches keep the group they were stuck under. */
    void describe(String group, Protection guarded, String licenceNoted, boolean sure, String confirmed, boolean once) {
        plantGroup = group;
        protection = guarded;
        licence = licenceNoted;
        nameSure = sure;
        confirmWhen = sure ? null : confirmed;
        flowersOnce = once;
    }

    PlantView view() {
        return new PlantView(getId(), name, plantGroup, protection, licence, nameSure, confirmWhen, flowersOnce);
    }
}
