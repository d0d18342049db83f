package garden.vivarium.core.looks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** Words that files and pages use are read back as what they stand for, and no others. */
class WordsOfFilesTest {

    @Test
    void eachWordIsReadBack() {
        for (LossCause cause : LossCause.values()) {
            assertThat(LossCause.of(" " + cause.word().toUpperCase(Locale.ROOT)))
                    .isEqualTo(cause);
            assertThat(cause.key()).isLowerCase();
        }
        for (Firmness firmness : Firmness.values()) {
            assertThat(Firmness.of(firmness.word())).isEqualTo(firmness);
        }
        for (PieceState state : PieceState.values()) {
            assertThat(PieceState.of(state.code())).isEqualTo(state);
        }
        assertThat(PieceState.LOST.isEnd()).isTrue();
        assertThat(PieceState.SENT.isEnd()).isTrue();
        assertThat(PieceState.READY.isEnd()).isFalse();
    }

    @Test
    void anotherWordIsRefusedWithWhatWasWanted() {
        assertThatThrownBy(() -> LossCause.of("gales"))
                .isInstanceOfSatisfying(
                        UnknownWord.class, e -> assertThat(e.fault().rule()).isEqualTo(UnknownWord.Wanted.CAUSE));
        assertThatThrownBy(() -> Firmness.of("crisp"))
                .isInstanceOfSatisfying(
                        UnknownWord.class, e -> assertThat(e.fault().figures()).containsEntry("word", "crisp"));
        assertThatThrownBy(() -> PieceState.of("gone")).isInstanceOf(UnknownWord.class);
    }

    @Test
    void aMethodSaysWhatItsPiecesDo() {
        Method tip = Guide.load().method("tip cutting").orElseThrow();
        Method clump = Guide.load().method("clump division").orElseThrow();

        assertThat(tip.planted()).isFalse();
        assertThat(clump.planted()).isTrue();
        assertThat(tip.signs()).isEqualTo(MilestoneSigns.roots());
        assertThat(clump.signs().firstSign()).isEmpty();
    }
}
