package garden.vivarium.app.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.KeptProtocol;
import garden.vivarium.core.guide.Protocol;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** A kept protocol is brought up from each older format. */
class KeptProtocolTest {

    @Test
    void formatOneIsReadAsItWas() throws IOException {
        String text;
        try (InputStream in = KeptProtocolTest.class.getResourceAsStream("/data/protocol-format-1.yaml")) {
            text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        Protocol kept = KeptProtocol.read(text);

        assertThat(kept.key()).isEqualTo("own-slipway-plugs");
        assertThat(kept.version()).isEqualTo(3);
        assertThat(kept.tooLong()).isEqualTo(17);
        assertThat(kept.prepare()).isNotEmpty();
        assertThat(KeptProtocol.write(kept)).contains("format: 2").contains("key: \"own-slipway-plugs\"");
        assertThat(KeptProtocol.read(KeptProtocol.write(kept))).isEqualTo(kept);
    }

    @Test
    void aFormatOfALaterVersionAndAFieldThatIsNotKnownAreRefused() {
        String text = KeptProtocol.write(Guide.load().protocols().get(0));

        assertThatThrownBy(() -> KeptProtocol.read(text.replace("format: 2", "format: 9")))
                .hasMessageContaining("format 9");
        assertThatThrownBy(() -> KeptProtocol.read(text.replace("tooLong:", "tooLate:")))
                .hasMessageContaining("tooLong");
        assertThatThrownBy(() -> KeptProtocol.read(text + "extra: 1\n")).hasMessageContaining("extra");
    }
}
