package garden.vivarium.app.photo;

/** What the head of a picture's file says of how it has to be read, before a dot of it is. */
final class PictureHead {

    /** Where PNG says whether it is interlaced: in its header's last byte. */
    private static final int PNG_INTERLACED = 28;

    private static final int START_OF_SCAN = 0xDA;

    private PictureHead() {}

    /** Whether nothing of it can be left out while it is read: progressive JPEG, interlaced PNG, any WebP. */
    static boolean mustBeReadWhole(byte[] head) {
        if (byteAt(head, 0) == 'R' && byteAt(head, 8) == 'W') {
            return true;
        }
        if (byteAt(head, 0) == 0x89) {
            return byteAt(head, PNG_INTERLACED) == 1;
        }
        return isProgressive(head);
    }

    /**
     * By the frame header, a marker from C0 to CF but for C4, C8 and CC; C0 and C1 alone are sequential (ITU-T T.81, table B.1). What does not show
     * it within its head is taken for the worse.
     */
    private static boolean isProgressive(byte[] head) {
        int at = 2;
        while (at + 4 <= head.length) {
            int marker = byteAt(head, at + 1);
            if (byteAt(head, at) != 0xFF || marker == START_OF_SCAN) {
                return true;
            }
            if (marker == 0xFF) {
                at++;
                continue;
            }
            boolean frame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
            if (frame) {
                return marker > 0xC1;
            }
            at += 2 + (byteAt(head, at + 2) << 8 | byteAt(head, at + 3));
        }
        return true;
    }

    /** How many scans a JPEG is made of: each is a pass over all of its dots. */
    static int scans(byte[] jpeg) {
        int scans = 0;
        for (int i = 0; i + 1 < jpeg.length; i++) {
            if ((jpeg[i] & 0xFF) == 0xFF && (jpeg[i + 1] & 0xFF) == START_OF_SCAN) {
                scans++;
            }
        }
        return scans;
    }

    private static int byteAt(byte[] head, int at) {
        return at < head.length ? head[at] & 0xFF : -1;
    }
}
