package garden.vivarium.core.measure;

/** A measured quantity: a number that means nothing without its unit, and the same in every unit of its kind. */
public sealed interface Quantity
        permits Concentration, Length, Mass, Temperature, TemperatureDifference, TimeSpan, Volume {

    /** The unit in which it is usually told to whoever reads metric measures. */
    Unit unit();

    /**
     * How many of a unit it is.
     *
     * @throws IllegalArgumentException if the unit measures something else
     */
    double in(Unit unit);

    /** The same in a reader's own units, as closely as a ruler, a can or a thermometer tells. */
    default Figure in(UnitSystem units) {
        Unit told = units.of(unit());
        return new Figure(in(told), told, told.decimals(in(told)));
    }

    /** The same to two figures, as one says what nobody measures closer. */
    default Roughly roughly() {
        return new Roughly(this);
    }

    /**
     * A number beside its unit.
     *
     * @param number how many
     * @param unit of what
     * @param decimals at most so many are told, 0 to 3
     */
    record Figure(double number, Unit unit, int decimals) {}

    /** A quantity that is told to two figures. */
    record Roughly(Quantity quantity) {}

    /** From one to another of the same kind, the lower first. */
    record Between(Quantity from, Quantity to) {

        /**
         * A range.
         *
         * @throws IllegalArgumentException if the two are of different kinds or out of order
         */
        public Between {
            if (from.unit().kind() != to.unit().kind() || from.in(from.unit()) > to.in(from.unit())) {
                throw new IllegalArgumentException("a range is of one kind, the lower first: " + from + ", " + to);
            }
        }
    }
}
