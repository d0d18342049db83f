package garden.vivarium.core;

/**
 * A plant as far as growing it goes.
 *
 * @param plant its name, as the label has it
 * @param kind key of its kind; empty where the guide does not know it
 * @param group key of its group
 */
public record Grown(String plant, String kind, String group) {

    /** Any plant of a group. */
    public static Grown ofGroup(String group) {
        return new Grown("", "", group);
    }
}
