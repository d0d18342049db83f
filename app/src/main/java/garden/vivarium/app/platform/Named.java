package garden.vivarium.app.platform;

/** A constant that pages call by a name: its words stand in the messages under its class and its own name. */
public interface Named {

    /** As growers read it, in the reader's language. */
    default String words() {
        return Messages.name((Enum<?>) this);
    }
}
