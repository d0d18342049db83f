package garden.vivarium.app.exchange;

/** A kind of file that {@link Records} reads: looked through, then kept. */
interface RecordKind {

    /** The name by which pages and uploads call it. */
    String name();

    /** What the file would do. Nothing is kept. */
    Preview preview(String fileName, String text);

    /**
     * Keeps the file, in the transaction of the caller.
     *
     * @return how many looks or readings were kept
     */
    int keep(String text);
}
