package garden.vivarium.app.calendar;

import java.nio.charset.StandardCharsets;

/** Lines of a calendar as RFC 5545, section 3.1 wants them: folded at 75 octets, never within a letter, and free of control characters. */
final class ContentLines {

    private static final int LONGEST = 75;
    private static final String END = "\r\n";

    private ContentLines() {}

    /** Text without control characters; a line break stays as one. */
    static String plain(String text) {
        return text == null ? "" : text.replaceAll("\\r\\n?", "\n").replaceAll("[\\p{Cntrl}&&[^\\n\\t]]", " ");
    }

    /** The same calendar with its lines folded by octets. */
    static String folded(String calendar) {
        StringBuilder all = new StringBuilder();
        for (String line : calendar.replaceAll("\\r?\\n[ \\t]", "").split("\\r?\\n")) {
            int octets = 0;
            int[] letters = line.codePoints().toArray();
            for (int letter : letters) {
                String text = Character.toString(letter);
                int more = text.getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > LONGEST) {
                    all.append(END).append(' ');
                    // The blank counts too.
                    octets = 1;
                }
                all.append(text);
                octets += more;
            }
            all.append(END);
        }
        return all.toString();
    }
}
