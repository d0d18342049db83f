package garden.vivarium.core;

/** Keys of protocols: one of a nursery's own begins with a prefix that no key of the guide begins with. */
public final class ProtocolKey {

    /** What keys of a nursery's own protocols begin with. */
    public static final String OWN = "own-";

    private ProtocolKey() {}

    /** Whether a key is that of a nursery's own protocol; null is none. */
    public static boolean isOwn(String key) {
        return key != null && key.startsWith(OWN);
    }

    /** The key of a nursery's own protocol of a name. */
    public static String own(String name) {
        return OWN + name;
    }

    /**
     * The name that a nursery gave to its own protocol.
     *
     * @throws IllegalArgumentException if the key is not of its own
     */
    public static String name(String key) {
        if (!isOwn(key)) {
            throw new IllegalArgumentException(key + " is not the key of a nursery's own protocol");
        }
        return key.substring(OWN.length());
    }
}
