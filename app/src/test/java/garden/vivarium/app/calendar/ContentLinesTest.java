package garden.vivarium.app.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Folded by octets, within no letter, and the same once unfolded. */
class ContentLinesTest {

    @Test
    void linesInAnyScriptAreFoldedByOctetsAndComeBackWhole() {
        String line = "SUMMARY:" + "名前の植物 🌱 ".repeat(30) + "end";
        String calendar =
                "BEGIN:VCALENDAR\r\n" + line.substring(0, 40) + "\r\n " + line.substring(40) + "\r\nEND:VCALENDAR\r\n";
        String folded = ContentLines.folded(calendar);
        for (String l : folded.split("\r\n")) {
            assertThat(l.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
            assertThat(l).doesNotContain("\uFFFD");
        }
        assertThat(folded.replace("\r\n ", "")).isEqualTo("BEGIN:VCALENDAR\r\n" + line + "\r\nEND:VCALENDAR\r\n");
        assertThat(new String(folded.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8))
                .isEqualTo(folded);
    }

    @Test
    void whatIsNoLetterIsABlank() {
        assertThat(ContentLines.plain("a\u0000b\u0008c\u001Bd")).isEqualTo("a b c d");
        assertThat(ContentLines.plain("one\r\ntwo\rthree")).isEqualTo("one\ntwo\nthree");
        assertThat(ContentLines.plain(null)).isEmpty();
    }
}
