package garden.vivarium.app.benchmap;

import java.util.List;
import java.util.UUID;

/**
 * The map as its script draws it; lengths in cm.
 *
 * @param houses with their benches
 * @param vessels on them
 */
record BenchMap(List<House> houses, List<Vessel> vessels) {

    /** What stands in air that does not suit it. */
    public List<Vessel> odd() {
        return vessels.stream().filter(v -> !v.misfits().isEmpty()).toList();
    }

    /** A house, to the size of what lies in it. */
    record House(String name, double x, double y, double wide, double deep, List<Bench> benches) {

        /** The same elsewhere on the site. */
        House at(double left, double back) {
            return new House(name, left, back, wide, deep, benches);
        }
    }

    /**
     * A bench in a house.
     *
     * @param x from the house's left wall
     * @param y from its back wall
     * @param trays that it holds; its own figure, or by its size
     * @param taken trays that stand on it
     */
    record Bench(UUID id, String name, double x, double y, double wide, double deep, double trays, double taken) {}

    /**
     * What stands on a bench. Of several batches in one vessel each has its share of it, side by side.
     *
     * @param place the bench; x and y are from its left back corner
     * @param columns cells of a row
     * @param pieces a letter for each piece: n nothing yet, f first sign, r ready, l lost, m moved on or gone
     * @param mark what stands out: behind, ready, long; empty for nothing
     * @param says what is said of it
     * @param misfits what of the place's air does not suit it
     * @param placed whether it found room
     */
    record Vessel(
            String code,
            String plant,
            UUID place,
            Rect at,
            int columns,
            String pieces,
            String mark,
            String says,
            List<String> misfits,
            boolean placed) {}

    /** Where a vessel stands on its bench. */
    record Rect(double x, double y, double wide, double deep) {}
}
