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

    // Null until it was looked for; empty where the guide does not know it.
    private String kind;

    private String plantGroup;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Protection protection;

    private String licence;
    private boolean nameSure = true;
    private String confirmWhen;
    private boolean flowersOnce;

    protected Plant() {}

    Plant(String name, String kind, String plantGroup, Protection protection, boolean flowersOnce) {
        this.name = name;
        this.kind = kind;
        this.plantGroup = plantGroup;
        this.protection = protection;
        this.flowersOnce = flowersOnce;
    }

    /** Is called otherwise. */
    void rename(String other) {
        name = other;
    }

    /** Is of a kind of the guide; empty where that does not know it. */
    void is(String found) {
        kind = found;
    }

    /** What is known of it. */
    void describe(
            String found,
            String group,
            Protection guarded,
            String licenceNoted,
            boolean sure,
            String confirmed,
            boolean once) {
        kind = found;
        plantGroup = group;
        protection = guarded;
        licence = licenceNoted;
        nameSure = sure;
        confirmWhen = sure ? null : confirmed;
        flowersOnce = once;
    }

    PlantView view() {
        return new PlantView(
                getId(),
                name,
                kind == null ? "" : kind,
                plantGroup,
                protection,
                licence,
                nameSure,
                confirmWhen,
                flowersOnce);
    }
}
