package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SealTest {

    private static final String SECRET = "JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP";

    private final Seal seal = new Seal("a key that lies beside the database");

    @Test
    void whatIsShutIsReadByItsKeyAlone() {
        String kept = seal.shut(SECRET);

        assertThat(kept).doesNotContain(SECRET).hasSizeLessThan(200);
        assertThat(seal.shut(SECRET)).as("never the same twice").isNotEqualTo(kept);
        assertThat(seal.open(kept)).contains(SECRET);
        assertThat(new Seal("another key").open(kept)).isEmpty();
        assertThat(new Seal("").open(kept)).isEmpty();
        char last = kept.charAt(kept.length() - 5);
        String changed =
                kept.substring(0, kept.length() - 5) + (last == 'A' ? 'B' : 'A') + kept.substring(kept.length() - 4);
        assertThat(seal.open(changed))
                .as("changed by whoever writes to the database")
                .isEmpty();
    }

    @Test
    void whatWasKeptBeforeThereWasAKeyIsReadAsItIs() {
        assertThat(new Seal("").shut(SECRET)).isEqualTo(SECRET);
        assertThat(seal.open(SECRET)).contains(SECRET);
    }
}
