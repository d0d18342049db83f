package garden.vivarium.app.exchange;

import java.util.List;
import java.util.UUID;

/** A kind of file that {@link Records} reads: looked through, then kept. */
interface RecordKind {

    /** The name by which pages and files call it. */
    String name();

    /** What its lines are. */
    Lines of();

    /** Where is seen what it tells. */
    String tellsAt();

    /** What it holds, in words. */
    String words();

    /** The columns that it may have. */
    List<Column> columns();

    /** What its lines would do; what cannot be is noted in them. Nothing is kept. */
    Preview preview(Csv lines);

    /** The column of a name. */
    default Column column(String name) {
        return columns().stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
    }

    /**
     * Keeps them, in the transaction of the caller.
     *
     * @return how many looks, readings, plants or places were kept
     */
    int keep(Csv lines, Keeping keeping);

    /** What the lines of a file are. */
    enum Lines {
        BATCHES,
        PLANTS,
        PLACES;

        public boolean isBatches() {
            return this == BATCHES;
        }

        public boolean isPlants() {
            return this == PLANTS;
        }

        public boolean isPlaces() {
            return this == PLACES;
        }
    }

    /** Who is told what a file made, so that it can be taken back, and how far the work is. */
    interface Keeping {

        /** Something was made. */
        void made(Made what, UUID id);

        /** So many of so many are done. */
        void at(int done, int of);
    }

    /** What a file may make. */
    enum Made {
        BATCH,
        LOOK,
        STOCK_PLANT,
        PLACE
    }
}
