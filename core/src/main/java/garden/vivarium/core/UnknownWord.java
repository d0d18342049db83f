package garden.vivarium.core;

/** A word of a file or form that stands for nothing here: what it should be one of, and what would do. */
public final class UnknownWord extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final String fault;
    private final String remedy;

    /**
     * An unknown word.
     *
     * @param fault what is wrong, without a full stop
     * @param remedy what would do, without a full stop
     */
    public UnknownWord(String fault, String remedy) {
        super("%s; %s".formatted(fault, remedy));
        this.fault = fault;
        this.remedy = remedy;
    }

    /** What is wrong, without a full stop. */
    public String fault() {
        return fault;
    }

    /** What would do, without a full stop. */
    public String remedy() {
        return remedy;
    }
}
