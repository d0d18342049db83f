package garden.vivarium.app.exchange;

/** How much of a file is read at most. What is beyond is refused with a word, before it costs anything. */
final class Caps {

    /** Lines below the header. */
    static final int LINES = 20_000;

    static final int COLUMNS = 60;
    /** Characters of a cell. */
    static final int CELL = 2_000;
    /** Looks at one batch. */
    static final int LOOKS = 200;
    /** Faults that are noted; more say nothing new. */
    static final int FAULTS = 500;
    /** Faults that are shown at once. */
    static final int SHOWN = 40;
    /** Different words of one column that are asked about at once. */
    static final int WORDS = 300;
    /** Different names of plants; of most of them nothing is asked. */
    static final int PLANTS = 3_000;
    /** Files within a spreadsheet. */
    static final int ENTRIES = 200;
    /** Of a row and a column of a spreadsheet, whatever stands there: no office program has further ones. */
    static final int LAST_ROW = 1_048_576;

    static final int LAST_COLUMN = 16_384;
    /** Characters of a cell of a spreadsheet, as office programs have them. */
    static final int SHEET_CELL = 32_767;
    /** Digits of a number when written out, before or behind its point. */
    static final int DIGITS = 30;
    /** Bytes of one file within a spreadsheet. */
    static final long SHEET = 40_000_000;
    /** Bytes of a spreadsheet when unpacked. */
    static final long UNPACKED = 60_000_000;

    private Caps() {}
}
