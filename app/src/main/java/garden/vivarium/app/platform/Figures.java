package garden.vivarium.app.platform;

/** Numbers as typed into the small forms: nothing typed is null, and what is no number is refused by its field. */
public final class Figures {

    private Figures() {}

    /**
     * A whole number.
     *
     * @throws InvalidField if something else is typed
     */
    public static Integer whole(String field, String typed) {
        try {
            return typed == null || typed.isBlank() ? null : Integer.valueOf(typed.strip());
        } catch (NumberFormatException e) {
            throw new InvalidField(field, Messages.text("Figures.no.whole.number.give", "typed", typed));
        }
    }

    /**
     * A number with decimals, after a point or a comma.
     *
     * @throws InvalidField if something else is typed
     */
    public static Double decimal(String field, String typed) {
        try {
            return typed == null || typed.isBlank()
                    ? null
                    : Double.valueOf(typed.strip().replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new InvalidField(field, Messages.text("Figures.no.number.give.one", "typed", typed));
        }
    }
}
