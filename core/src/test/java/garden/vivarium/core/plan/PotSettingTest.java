package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PotSettingTest {

    @ParameterizedTest
    @CsvSource(nullValues = "-", textBlock = """
            tip cutting,        soft,           true,  COVER_THE_ROOTS,     -,                -,                 -
            tip cutting,        soft,           false, AS_IT_STOOD,         -,                -,                 -
            softwood cutting,   woody,          false, AS_IT_STOOD,         -,                -,                 -
            offset,             succulent,      false, NECK_AT_THE_SURFACE, -,                -,                 GRIT
            fleshy stem or pad, cactus,         false, SHALLOW,             TOP_HEAVY,        -,                 GRIT
            rhizome division,   clumping-orchid,false, RHIZOME_ON_TOP,      UNTIL_ROOTS_HOLD, OLDEST_TO_THE_RIM, -
            rhizome division,   rhizome,        false, RHIZOME_COVERED,     -,                OLDEST_TO_THE_RIM, -
            rhizome division,   clump,          false, RHIZOME_COVERED,     -,                OLDEST_TO_THE_RIM, -
            stem section,       climbing-aroid, true,  COVER_THE_ROOTS,     POLE,             ROOTS_TO_THE_POLE, -
            leaf section,       rosette,        false, CROWN_LEVEL,         -,                -,                 -
            leaf pull,          insect-eater,   false, CROWN_LEVEL,         -,                -,                 MOSS
            bulb scale,         bulb,           false, TWICE_ITS_HEIGHT,    -,                -,                 GRIT
            clump division,     clump,          false, OLD_MARK,            -,                -,                 -
            """)
    void isWhatAGrowerWouldDo(
            String method, String group, boolean water, String depth, String stake, String way, String dressing) {
        String mix = group.matches("succulent|cactus|bulb") ? "gritty mix" : "potting compost";
        PotSetting set = PotSetting.of(method, group, water, mix);
        assertThat(set.depth().rule()).hasToString(depth);
        assertThat(set.stake().map(s -> s.rule().toString())).isEqualTo(Optional.ofNullable(stake));
        assertThat(set.orientation().map(s -> s.rule().toString())).isEqualTo(Optional.ofNullable(way));
        assertThat(set.dressing().map(s -> s.rule().toString())).isEqualTo(Optional.ofNullable(dressing));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "succulent",
                "cactus",
                "tank-rosette",
                "latex",
                "clumping-orchid",
                "single-orchid",
                "soft",
                "bedding",
                "woody",
                "climbing-aroid",
                "runner",
                "insect-eater",
                "bulb",
                "forest-cactus"
            })
    void whatIsSaidOfAGroupIsSaidOfOneThatThereIs(String group) {
        assertThat(Guide.load().group(group)).isPresent();
    }

    @Test
    void everyProtocolOfTheGuideHasOneForEachOfItsGroups() {
        Guide.load()
                .protocols()
                .forEach(p -> p.material()
                        .groups()
                        .forEach(g -> assertThat(PotSetting.of(
                                                p.method(),
                                                g,
                                                p.medium().equals("water"),
                                                p.potting().mix())
                                        .depth())
                                .as(p.key() + " of " + g)
                                .isNotNull()));
    }
}
