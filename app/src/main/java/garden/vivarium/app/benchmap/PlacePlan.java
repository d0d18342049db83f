package garden.vivarium.app.benchmap;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.watch.PlaceFit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Optional;
import java.util.UUID;

/** Where a bench lies in its house, in cm, and what air it has. */
@Entity
class PlacePlan extends NurseryRow {

    private UUID placeId;
    private String house;
    private double x;
    private double y;
    private double wide;
    private double deep;
    private Double tempFrom;
    private Double tempTo;
    private Double humidityFrom;
    private Double humidityTo;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private PlaceFit.Light light;

    protected PlacePlan() {}

    PlacePlan(UUID placeId, String house, Size size) {
        this.placeId = placeId;
        this.house = house;
        wide = size.wide();
        deep = size.deep();
    }

    void lies(double left, double back) {
        x = left;
        y = back;
    }

    void is(String inHouse, Size size) {
        house = inHouse;
        wide = size.wide();
        deep = size.deep();
    }

    void has(PlaceFit.Air air) {
        tempFrom = air.warmth().map(Warmth::from).orElse(null);
        tempTo = air.warmth().map(Warmth::to).orElse(null);
        humidityFrom = air.humidity().map(PlaceFit.Range::from).orElse(null);
        humidityTo = air.humidity().map(PlaceFit.Range::to).orElse(null);
        light = air.light().orElse(null);
    }

    UUID placeId() {
        return placeId;
    }

    String house() {
        return house;
    }

    double x() {
        return x;
    }

    double y() {
        return y;
    }

    Size size() {
        return new Size(wide, deep);
    }

    PlaceFit.Air air() {
        return new PlaceFit.Air(
                tempFrom == null ? Optional.empty() : Optional.of(Warmth.between(tempFrom, tempTo)),
                humidityFrom == null ? Optional.empty() : Optional.of(new PlaceFit.Range(humidityFrom, humidityTo)),
                Optional.ofNullable(light));
    }
}
