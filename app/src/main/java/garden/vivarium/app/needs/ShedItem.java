package garden.vivarium.app.needs;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Version;

/** Something in the shed: how much there is, what a pack holds and costs, and for a mix how it is made here. */
@Entity
class ShedItem extends NurseryRow {

    private String name;
    private double amount;
    private Double pack;
    private Double price;
    private String recipe;

    @Version
    private long version;

    protected ShedItem() {}

    ShedItem(String name) {
        this.name = name;
    }

    void keep(double there, Double inPack, Double ofPack, String howMade) {
        amount = there;
        pack = inPack;
        price = ofPack;
        recipe = howMade;
    }

    String name() {
        return name;
    }

    double amount() {
        return amount;
    }

    Double pack() {
        return pack;
    }

    Double price() {
        return price;
    }

    String recipe() {
        return recipe;
    }
}
