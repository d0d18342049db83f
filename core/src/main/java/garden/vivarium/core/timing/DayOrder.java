package garden.vivarium.core.timing;

/** In which order somebody writes a day in figures: 12/4/2024 is in April or in December. */
public enum DayOrder {
    DAY_FIRST,
    MONTH_FIRST;

    /** Whether 3/4 is the third of April. */
    public boolean isDayFirst() {
        return this == DAY_FIRST;
    }
}
